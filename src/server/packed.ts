import 'server-only'
import { pipeline, Readable } from 'node:stream'
import { createGunzip, createGzip } from 'node:zlib'
import type { Connection } from '@/data/client'
import type { Pieces } from '@/desk/pieces'
import { isFileKept, readPackedFile } from '@/data/fileRepository'
import { MAX_BYTES } from '@/intake/sheet/sheetProblems'

/** Quick enough for a large file; a higher one makes files little smaller. */
const LEVEL = 3
/** What is packed is taken over in pieces, each of which waits until nothing else is done here: few of them, large enough. */
const [LEAST_PIECE, LARGEST_PIECE] = [16 * 1024, 8 * 1024 * 1024]

/** One piece is made when the one before is taken. */
const ONE = { highWaterMark: 1 }

/**
 * A file as it is kept: compressed, beside the work of others.
 *
 * @param length - about how many bytes it has
 */
export function packFile(pieces: Pieces, length: number): AsyncIterable<Uint8Array> {
  const chunkSize = Math.min(LARGEST_PIECE, Math.max(LEAST_PIECE, length))
  return pipeline(Readable.from(pieces, ONE), createGzip({ level: LEVEL, chunkSize }), () => {})
}

/**
 * The file that a sample was brought in from, byte for byte, as it is unpacked; undefined where it was not kept.
 *
 * @throws (where it is gone through) where it is damaged, or larger than any file that is taken
 */
export async function originalOf(
  db: Connection,
  sampleId: string,
): Promise<AsyncIterable<Uint8Array> | undefined> {
  if (!(await isFileKept(db, sampleId))) return undefined
  const packed = Readable.from(readPackedFile(db, sampleId), ONE)
  return noLargerThan(
    MAX_BYTES,
    pipeline(packed, createGunzip({ chunkSize: LARGEST_PIECE }), () => {}),
  )
}

async function* noLargerThan(max: number, pieces: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  let length = 0
  for await (const piece of pieces) {
    length += piece.length
    if (length > max) throw new RangeError(`It has more than ${max} bytes.`)
    yield piece
  }
}
