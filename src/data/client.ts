import 'server-only'
import { mkdirSync } from 'node:fs'
import path from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'
import { lockFolder } from './folderLock'
import * as schema from './schema'

/** Copies bytes into and out of tables, about twenty times as fast as by parameters. */
export type Copier = Readonly<{
  /** @param statement - a COPY from `/dev/blob` */
  copyIn: (statement: string, parts: readonly Uint8Array[]) => Promise<void>
  /** @param statement - a COPY to `/dev/blob` */
  copyOut: (statement: string) => Promise<Uint8Array>
}>

type Tables = PgliteDatabase<typeof schema>
/** A database or one transaction in it. */
export type Connection = Pick<Tables, 'query' | 'select' | 'insert' | 'update'> & Copier
export type Database = Tables & Copier & Readonly<{ $client: PGlite }>

const MIGRATIONS = path.join(process.cwd(), 'src/data/migrations')

/**
 * Opens the database in a folder, which it locks against every other process, and brings its tables up to date.
 *
 * @param folder - an absolute path; made where it does not exist
 * @throws FolderInUse where another process holds the folder
 */
export async function openDatabase(folder: string): Promise<Database> {
  mkdirSync(folder, { recursive: true })
  await lockFolder(folder)
  return migrated(new PGlite(path.join(folder, 'postgres')))
}

/** A new database that is gone with the process: for tests. */
export function openMemoryDatabase(): Promise<Database> {
  return migrated(new PGlite())
}

/** Does several things as one: in the end all of it is there, or nothing. */
export function inTransaction<T>(
  database: Database,
  work: (connection: Connection) => Promise<T>,
): Promise<T> {
  return database.$client.transaction((client) => work(connectionOf(client)))
}

/** Drizzle's own transactions can't copy. */
function connectionOf(client: Pick<PGlite, 'query'>) {
  // Drizzle asks nothing of a client but its queries.
  const tables = drizzle(client as PGlite, { schema })
  const copier: Copier = {
    copyIn: async (statement, parts) => {
      await client.query(statement, [], { blob: new Blob([...parts] as BlobPart[]) })
    },
    copyOut: async (statement) => {
      const { blob } = await client.query(statement)
      return new Uint8Array(await blob!.arrayBuffer())
    },
  }
  return Object.assign(tables, copier)
}

async function migrated(client: PGlite): Promise<Database> {
  const database: Database = Object.assign(connectionOf(client), { $client: client })
  await migrate(database, { migrationsFolder: MIGRATIONS })
  return database
}
