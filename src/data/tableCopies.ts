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

/** Rows of a table in PostgreSQL's binary form. */
export type TableCopy = Readonly<{ table: TableName; columns: readonly string[]; bytes: Uint8Array }>

/** So many rows of a column, and so many pieces of a file, are in one copy at most. */
const AT_ONCE: Readonly<Partial<Record<TableName, number>>> = { column_chunks: 16, file_chunks: 64 }

/** Whether a table is copied a sample at a time, and so not at all where there is none. */
export const isBySample = (table: TableName): boolean => AT_ONCE[table] !== undefined

/** Copies every table; the cells and the file of each sample by themselves, and of a long one in several, so that little is in memory at once. */
export async function* copyTables(db: Connection): AsyncGenerator<TableCopy> {
  for (const table of TABLES) {
    const columns = await columnsOf(db, table)
    const list = columns.map((name) => `"${name}"`).join(', ')
    const { [table]: some } = AT_ONCE
    if (some === undefined) {
      yield { table, columns, bytes: await db.copyOut(`"${table}" (${list})`) }
      continue
    }
    const { rows } = (await db.execute(
      sql.raw(
        `select distinct sample_id::text as id, position / ${some} as part from "${table}" order by 1, 2`,
      ),
    )) as unknown as Readonly<{ rows: readonly Readonly<{ id: string; part: number }>[] }>
    for (const { id, part } of rows) {
      const own = `"sample_id" = '${id}' and "position" / ${some} = ${part}`
      yield { table, columns, bytes: await db.copyOut(`(select ${list} from "${table}" where ${own})`) }
    }
  }
}

/**
 * Puts copies in the place of everything that is in some tables. The transaction that it is done in is all or nothing.
 *
 * @param copies - those of a table first that others refer to
 * @param tables - those that are replaced: what an earlier backup does not know of stays
 */
export async function replaceTables(
  db: Connection,
  copies: AsyncIterable<TableCopy>,
  tables: readonly TableName[],
): Promise<void> {
  await db.execute(sql.raw(`truncate table ${tables.map((table) => `"${table}"`).join(', ')}`))
  for await (const { table, columns, bytes } of copies)
    await db.copyIn(`"${table}" (${columns.map((name) => `"${name}"`).join(', ')})`, [bytes])
}

/** The columns of a table, in their order. */
export async function columnsOf(db: Connection, table: TableName): Promise<readonly string[]> {
  const { rows } = (await db.execute(
    sql`select column_name as name from information_schema.columns where table_schema = 'public' and table_name = ${table} order by ordinal_position`,
  )) as unknown as Readonly<{ rows: readonly Readonly<{ name: string }>[] }>
  return rows.map(({ name }) => name)
}
