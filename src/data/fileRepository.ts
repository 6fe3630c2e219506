import 'server-only'
import type { Connection } from './connection'
import { int32, readBinaryCopy, writeBinaryCopy } from './binaryCopy'
import { uuidBytes } from './sheetRepository'

const PIECE = 1024 * 1024

/** Stores the packed bytes of a file that was brought in, in pieces. */
export async function insertFile(db: Connection, sampleId: string, packed: Uint8Array): Promise<void> {
  const id = uuidBytes(sampleId)
  const rows: Uint8Array[][] = []
  for (let at = 0; at * PIECE < packed.length; at += 1)
    rows.push([id, int32(at), packed.subarray(at * PIECE, (at + 1) * PIECE)])
  await db.copyIn('"file_chunks" ("sample_id", "position", "bytes")', writeBinaryCopy(rows))
}

/**
 * The packed bytes of a file; undefined where it was not kept.
 *
 * @param sampleId - a UUID: it becomes part of a statement
 */
export async function readPackedFile(db: Connection, sampleId: string): Promise<Uint8Array | undefined> {
  const query = `SELECT "bytes" FROM "file_chunks" WHERE "sample_id" = '${sampleId}' ORDER BY "position"`
  const pieces = readBinaryCopy(await db.copyOut(`(${query})`)).map(([bytes]) => bytes!)
  return pieces.length === 0 ? undefined : Buffer.concat(pieces)
}
