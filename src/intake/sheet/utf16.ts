const MARKS: readonly (readonly [number, number, string])[] = [
  [0xff, 0xfe, 'utf-16le'],
  [0xfe, 0xff, 'utf-16be'],
]

/** Whether a text file says by its first two bytes that it is written in UTF-16, as some spreadsheets write theirs. */
export const isUtf16 = (bytes: Uint8Array): boolean => encodingOf(bytes) !== undefined

/** A text file in UTF-8: one in UTF-16 made anew, any other as it is. */
export function asUtf8(bytes: Uint8Array): Uint8Array {
  const encoding = encodingOf(bytes)
  return encoding === undefined ? bytes : new TextEncoder().encode(new TextDecoder(encoding).decode(bytes))
}

function encodingOf(bytes: Uint8Array): string | undefined {
  return MARKS.find(([first, second]) => bytes[0] === first && bytes[1] === second)?.[2]
}
