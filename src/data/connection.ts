import 'server-only'
import path from 'node:path'
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core'
import type { KeptColumns } from './keptColumns'
import type * as schema from './schema'
import type { Scratch } from './scratch'

/** Copies rows into and out of tables in PostgreSQL's binary form, about twenty times as fast as by parameters. */
export type Copier = Readonly<{
  /** @param target - a table with its columns: `"table" ("one", "other")` */
  copyIn: (target: string, parts: readonly Uint8Array[]) => Promise<void>
  /** @param source - a table with its columns, or a query in brackets */
  copyOut: (source: string) => Promise<Uint8Array>
}>

export type Tables = PgDatabase<PgQueryResultHKT, typeof schema>
/** A database or one transaction in it. */
export type Connection = Pick<
  Tables,
  'query' | 'select' | 'selectDistinctOn' | 'insert' | 'update' | 'delete' | 'execute'
> &
  Copier &
  Readonly<{ keptColumns: KeptColumns }>
export type Database = Connection &
  Readonly<{
    /** Does several things as one: in the end all of it is there, or nothing. */
    inTransaction: <T>(work: (connection: Connection) => Promise<T>) => Promise<T>
    /** Reads several things as all of them were at one moment, whoever writes meanwhile. */
    inSnapshot: <T>(read: (connection: Connection) => Promise<T>) => Promise<T>
    /** Begins a file for what is too large to be held in memory; whoever begins it closes it. */
    scratch: () => Scratch
    close: () => Promise<void>
  }>

export const MIGRATIONS = path.join(process.cwd(), 'src/data/migrations')
