import 'server-only'
import { and, asc, eq, getTableColumns, inArray, sql } from 'drizzle-orm'
import type { ColumnBytes, ColumnHead } from '@/desk/columnBytes'
import type { Connection } from './connection'
import { inCopies, int32, readBinaryCopy, writeBinaryCopy } from './binaryCopy'
import { sheetColumns } from './schema'

/** A column's head, where it stands in the sheet, counted from 0, and in which transaction it was stored. */
export type PlacedHead = ColumnHead & Readonly<{ position: number; storedIn: string }>

const CHUNK_COLUMNS = '"sample_id", "column_position", "position", "cells"'

/**
 * Stores the columns of a sheet: their heads as rows, their cells as chunks, by binary copy.
 *
 * @param onStored - told of the share of the columns that are stored, several times while a long one is
 */
export async function insertColumns(
  connection: Connection,
  sampleId: string,
  columns: readonly ColumnBytes[],
  onStored?: (share: number) => Promise<void>,
): Promise<void> {
  for (const [position, { head, chunks }] of columns.entries()) {
    await connection.insert(sheetColumns).values({ ...head, sampleId, position })
    const id = uuidBytes(sampleId)
    let first = 0
    for await (const some of inCopies(chunks)) {
      const rows = some.map((cells, at) => [id, int32(position), int32(first + at), cells])
      await connection.copyIn(`"column_chunks" (${CHUNK_COLUMNS})`, writeBinaryCopy(rows))
      first += some.length
      await onStored?.(position / columns.length)
    }
    await onStored?.((position + 1) / columns.length)
  }
}

/** What columns a sheet has, in their order; those of the names given, where such are. */
export async function findColumnHeads(
  db: Connection,
  sampleId: string,
  names?: readonly string[],
): Promise<readonly PlacedHead[]> {
  const ofSample = eq(sheetColumns.sampleId, sampleId)
  const rows = await db
    .select({ ...getTableColumns(sheetColumns), storedIn: sql<string>`${sheetColumns}.xmin::text` })
    .from(sheetColumns)
    .where(names ? and(ofSample, inArray(sheetColumns.name, [...names])) : ofSample)
    .orderBy(asc(sheetColumns.position))
  return rows.map(({ sampleId: _, ...head }) => head)
}

/**
 * Reads the cells of one column, and of no other; those that were read lately are kept. What is stored of a column never
 * changes: it goes, or is stored anew.
 *
 * @param sampleId - a UUID: it becomes part of a statement
 */
export async function readColumn(db: Connection, sampleId: string, head: PlacedHead): Promise<ColumnBytes> {
  const { position, storedIn, ...words } = head
  const key = `${sampleId} ${position} ${storedIn}`
  const known = db.keptColumns.get(key)
  if (known) return known
  const query = `SELECT "cells" FROM "column_chunks" WHERE "sample_id" = '${sampleId}' AND "column_position" = ${position} ORDER BY "position"`
  const copied = await db.copyOut(`(${query})`)
  const column = { head: words, chunks: readBinaryCopy(copied).map(([cells]) => cells!) }
  db.keptColumns.set(key, column)
  return column
}

export const uuidBytes = (id: string): Uint8Array => Buffer.from(id.replaceAll('-', ''), 'hex')
