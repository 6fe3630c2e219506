import 'server-only'
import { createHash } from 'node:crypto'
import { setImmediate } from 'node:timers/promises'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { Scratch } from '@/data/scratch'
import { GUESSED_FROM } from '@/intake/sheet/format'
import { MAX_BYTES, sheetProblems } from '@/intake/sheet/sheetProblems'

const PIECE = 1024 * 1024

/** Bytes that are gone through from the first, as often as they are asked for; others go on between the pieces. */
export type InPieces = Readonly<{
  length: number
  pieces: (signal: AbortSignal, size?: number) => AsyncGenerator<Uint8Array>
}>

/** A file that came in, on the disk. */
export type IncomingFile = InPieces &
  Readonly<{
    sha256: string
    beginning: Uint8Array
    /** All of it, in memory. */
    whole: () => Uint8Array<ArrayBuffer>
  }>

/** @param read - so many bytes from a place on */
export const inPieces = (length: number, read: (at: number, length: number) => Uint8Array): InPieces => ({
  length,
  async *pieces(signal, size = PIECE) {
    for (let at = 0; at < length; at += size) {
      await setImmediate()
      signal.throwIfAborted()
      yield read(at, Math.min(size, length - at))
    }
  },
})

/**
 * Puts a file on the disk as it comes in.
 *
 * @param scratch - in which nothing stands yet
 * @returns the file, or the problem `file-too-large`
 */
export async function takeIn(
  scratch: Scratch,
  body: AsyncIterable<Uint8Array>,
  signal: AbortSignal,
): Promise<Outcome<IncomingFile>> {
  const hash = createHash('sha256')
  let length = 0
  for await (const piece of body) {
    signal.throwIfAborted()
    length += piece.length
    if (length > MAX_BYTES) return failure(sheetProblems.fileTooLarge(length, MAX_BYTES))
    scratch.append(piece)
    hash.update(piece)
  }
  return success({
    ...inPieces(length, (at, size) => scratch.read(at, size)),
    sha256: hash.digest('hex'),
    beginning: scratch.read(0, Math.min(GUESSED_FROM, length)),
    whole: () => scratch.read(0, length),
  })
}
