import 'server-only'
import type { Scratch } from '@/data/scratch'
import { CHUNK_LENGTH, type Keeping, type Kept } from '@/intake/sheet/columns'

/** Keeps columns on the disk as they are read. */
export const onDisk = (scratch: Scratch): Keeping => ({
  numbers: () => new KeptChunks<Float64Array>(scratch, (buffer) => new Float64Array(buffer)),
  codes: () => new KeptChunks<Uint16Array>(scratch, (buffer) => new Uint16Array(buffer)),
  texts: () => new KeptTexts(scratch),
})

/** Pieces of bytes on the disk, each read where it is come to. */
export class KeptPieces implements Kept<Uint8Array> {
  readonly #scratch: Scratch
  readonly #places: (readonly [at: number, length: number])[] = []

  constructor(scratch: Scratch) {
    this.#scratch = scratch
  }

  push(bytes: Uint8Array): void {
    this.#places.push([this.#scratch.append(bytes), bytes.length])
  }

  *[Symbol.iterator](): Generator<Uint8Array<ArrayBuffer>> {
    for (const [at, length] of this.#places) yield this.#scratch.read(at, length)
  }
}

class KeptChunks<T extends Float64Array | Uint16Array> implements Kept<T> {
  readonly #pieces: KeptPieces
  readonly #chunkOf: (buffer: ArrayBuffer) => T

  constructor(scratch: Scratch, chunkOf: (buffer: ArrayBuffer) => T) {
    this.#pieces = new KeptPieces(scratch)
    this.#chunkOf = chunkOf
  }

  push({ buffer, byteOffset, byteLength }: T): void {
    this.#pieces.push(new Uint8Array(buffer, byteOffset, byteLength))
  }

  *[Symbol.iterator](): Generator<T> {
    for (const { buffer } of this.#pieces) yield this.#chunkOf(buffer)
  }
}

/** Texts, so many of them in a piece. */
class KeptTexts implements Kept<string> {
  readonly #pieces: KeptPieces
  #last: string[] = []

  constructor(scratch: Scratch) {
    this.#pieces = new KeptPieces(scratch)
  }

  push(text: string): void {
    this.#last.push(text)
    if (this.#last.length < CHUNK_LENGTH) return
    this.#pieces.push(new TextEncoder().encode(JSON.stringify(this.#last)))
    this.#last = []
  }

  *[Symbol.iterator](): Generator<string> {
    const decoder = new TextDecoder('utf-8', { ignoreBOM: true })
    for (const bytes of this.#pieces) yield* JSON.parse(decoder.decode(bytes)) as string[]
    yield* this.#last
  }
}
