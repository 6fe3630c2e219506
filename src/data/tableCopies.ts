import 'server-only'
import { sql } from 'drizzle-orm'
import type { Connection } from './connection'

/** Every table, those first that others refer to. */
export const TABLES = [
  'cases',
  'samples',
  'sheet_columns',
  'column_chunks',
  'file_chunks',
  'claims',
  'findings',
  'trail_entries',
  'key_entries',
  'seals',
  'instruments',
  'control_plans',
  'office',
] as const
export type TableName = (typeof TABLES)[number]

/** What belongs to the office, and to no case. */
export const REGISTERS: readonly TableName[] = ['key_entries', 'instruments', 'control_plans', 'office']

/** Those that are copied a sample at a time, and so not at all where there is none. */
export const BY_SAMPLE: readonly TableName[] = ['column_chunks', 'file_chunks']

/** Rows of a table in PostgreSQL's binary form. */
export type TableCopy = Readonly<{ table: TableName; columns: readonly string[]; bytes: Uint8Array }>

/** Copies every table, the cells of each sample by themselves, so that no more than those of one are in memory at once. */
export async function* copyTables(db: Connection): AsyncGenerator<TableCopy> {
  for (const table of TABLES) {
    const columns = await columnsOf(db, table)
    const list = columns.map((name) => `"${name}"`).join(', ')
    if (!BY_SAMPLE.includes(table)) {
      yield { table, columns, bytes: await db.copyOut(`"${table}" (${list})`) }
      continue
    }
    const { rows } = (await db.execute(
      sql.raw(`select distinct sample_id::text as id from "${table}" order by 1`),
    )) as unknown as Readonly<{ rows: readonly Readonly<{ id: string }>[] }>
    for (const { id } of rows)
      yield {
        table,
        columns,
        bytes: await db.copyOut(`(select ${list} from "${table}" where "sample_id" = '${id}')`),
      }
  }
}

/**
 * Puts copies in the place of everything that is in some tables. The transaction that it is done in is all or nothing.
 *
 * @param tables - those that are replaced: what an earlier backup does not know of stays
 */
export async function replaceTables(
  db: Connection,
  copies: readonly TableCopy[],
  tables: readonly TableName[],
): Promise<void> {
  await db.execute(sql.raw(`truncate table ${tables.map((table) => `"${table}"`).join(', ')}`))
  const rising = copies.toSorted((a, b) => TABLES.indexOf(a.table) - TABLES.indexOf(b.table))
  for (const { table, columns, bytes } of rising)
    await db.copyIn(`"${table}" (${columns.map((name) => `"${name}"`).join(', ')})`, [bytes])
}

/** The columns of a table, in their order. */
export async function columnsOf(db: Connection, table: TableName): Promise<readonly string[]> {
  const { rows } = (await db.execute(
    sql`select column_name as name from information_schema.columns where table_schema = 'public' and table_name = ${table} order by ordinal_position`,
  )) as unknown as Readonly<{ rows: readonly Readonly<{ name: string }>[] }>
  return rows.map(({ name }) => name)
}
