import type { Pieces } from '@/desk/pieces'

const MARKS: readonly (readonly [number, number, string])[] = [
  [0xff, 0xfe, 'utf-16le'],
  [0xfe, 0xff, 'utf-16be'],
]

/**
 * The pieces of a text file in UTF-8: one in UTF-16, as some spreadsheets write theirs, is made anew, any other as it is.
 *
 * @param beginning - the first two bytes at least: a file in UTF-16 says by them that it is
 */
export function asUtf8(pieces: Pieces, beginning: Uint8Array): Pieces {
  const encoding = MARKS.find(([first, second]) => beginning[0] === first && beginning[1] === second)?.[2]
  return encoding === undefined ? pieces : recoded(pieces, encoding)
}

async function* recoded(pieces: Pieces, encoding: string): AsyncGenerator<Uint8Array> {
  const [decoder, encoder] = [new TextDecoder(encoding), new TextEncoder()]
  for await (const piece of pieces) yield encoder.encode(decoder.decode(piece, { stream: true }))
  yield encoder.encode(decoder.decode())
}

/** The first bytes of a file, as many as there are. */
export async function firstBytes(pieces: Pieces, length: number): Promise<Uint8Array> {
  let beginning = new Uint8Array(0)
  for await (const piece of pieces) {
    const more = new Uint8Array(Math.min(length, beginning.length + piece.length))
    more.set(beginning)
    more.set(piece.subarray(0, more.length - beginning.length), beginning.length)
    beginning = more
    if (beginning.length === length) break
  }
  return beginning
}
