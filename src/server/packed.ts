import 'server-only'
import { promisify } from 'node:util'
import { gunzip, gzip } from 'node:zlib'
import type { Connection } from '@/data/client'
import { readPackedFile } from '@/data/fileRepository'
import { MAX_BYTES } from '@/intake/sheet/sheetProblems'

/** Quick enough for a large file; a higher one makes files little smaller. */
const LEVEL = 3

/** What is packed is taken over in pieces, each of which waits until nothing else is done here: few of them, large enough. */
const [LEAST_PIECE, LARGEST_PIECE] = [16 * 1024, 8 * 1024 * 1024]

/** A file as it is kept: compressed, beside the work of others. */
export const packFile = (bytes: Uint8Array): Promise<Uint8Array> =>
  promisify(gzip)(bytes, {
    level: LEVEL,
    chunkSize: Math.min(LARGEST_PIECE, Math.max(LEAST_PIECE, bytes.length)),
  })

/** The file that a sample was brought in from, byte for byte; undefined where it was not kept. */
export async function originalOf(db: Connection, sampleId: string): Promise<Uint8Array | undefined> {
  const packed = await readPackedFile(db, sampleId)
  return packed && promisify(gunzip)(packed, { maxOutputLength: MAX_BYTES })
}
