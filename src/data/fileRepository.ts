import 'server-only'
import { eq } from 'drizzle-orm'
import type { Pieces } from '@/desk/pieces'
import type { Connection } from './connection'
import { inCopies, int32, readBinaryCopy, writeBinaryCopy } from './binaryCopy'
import { fileChunks } from './schema'
import { uuidBytes } from './sheetRepository'

const PIECE = 1024 * 1024
/** So many pieces are read at once. */
const READ_AT_ONCE = 8

/** Stores the packed bytes of a file that was brought in, in pieces. */
export async function insertFile(db: Connection, sampleId: string, packed: Pieces): Promise<void> {
  const id = uuidBytes(sampleId)
  let first = 0
  for await (const some of inCopies(cut(packed))) {
    const rows = some.map((bytes, at) => [id, int32(first + at), bytes])
    await db.copyIn('"file_chunks" ("sample_id", "position", "bytes")', writeBinaryCopy(rows))
    first += some.length
  }
}

async function* cut(packed: Pieces): AsyncGenerator<Uint8Array> {
  for await (const bytes of packed)
    for (let at = 0; at < bytes.length; at += PIECE) yield bytes.subarray(at, at + PIECE)
}

/**
 * The packed bytes of a file, as they are read; nothing where it was not kept.
 *
 * @param sampleId - a UUID: it becomes part of a statement
 */
export async function* readPackedFile(db: Connection, sampleId: string): AsyncGenerator<Uint8Array> {
  for (let from = 0; ; from += READ_AT_ONCE) {
    const query = `SELECT "bytes" FROM "file_chunks" WHERE "sample_id" = '${sampleId}' AND "position" >= ${from} AND "position" < ${from + READ_AT_ONCE} ORDER BY "position"`
    const pieces = readBinaryCopy(await db.copyOut(`(${query})`)).map(([bytes]) => bytes!)
    yield* pieces
    if (pieces.length < READ_AT_ONCE) return
  }
}

/**
 * Whether a file was kept.
 *
 * @param sampleId - a UUID
 */
export async function isFileKept(db: Connection, sampleId: string): Promise<boolean> {
  const [kept] = await db
    .select({ position: fileChunks.position })
    .from(fileChunks)
    .where(eq(fileChunks.sampleId, sampleId))
    .limit(1)
  return kept !== undefined
}
