import { asUtf8, firstBytes } from './utf16'

const TEXT = 'mass,note\r\n14.93,“Säcke” 重 😀\r\n'

function utf16(text: string, order: 'little' | 'big'): Uint8Array {
  const view = new DataView(new ArrayBuffer(2 * text.length + 2))
  for (const [at, unit] of [...`\ufeff${text}`.split('')].entries())
    view.setUint16(2 * at, unit.charCodeAt(0), order === 'little')
  return new Uint8Array(view.buffer)
}

async function textOf(bytes: Uint8Array, size: number): Promise<string> {
  const pieces = Array.from({ length: Math.ceil(bytes.length / size) }, (_, at) =>
    bytes.subarray(at * size, (at + 1) * size),
  )
  let text = ''
  const decoder = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true })
  for await (const piece of asUtf8(pieces, bytes)) text += decoder.decode(piece, { stream: true })
  return text + decoder.decode()
}

test.each(['little', 'big'] as const)('a text in UTF-16 with the %s end first is read', async (order) => {
  const bytes = utf16(TEXT, order)
  // Also where a character stands across two pieces.
  for (const size of [1, 3, 4, 7, bytes.length]) expect(await textOf(bytes, size)).toBe(TEXT)
})

test('what ends within a character is read with a mark in its place', async () => {
  expect(await textOf(utf16('a', 'little').subarray(0, 3), 2)).toBe('\ufffd')
})

test('any other file is left as it is', () => {
  const pieces = [new TextEncoder().encode(TEXT)]
  expect(asUtf8(pieces, pieces[0]!)).toBe(pieces)
  expect(asUtf8([], Uint8Array.of())).toEqual([])
})

test('of a beginning as much is given as is asked for, and of a short file all', async () => {
  const pieces = [Uint8Array.of(1, 2, 3), Uint8Array.of(4, 5)]
  expect([...(await firstBytes(pieces, 2))]).toEqual([1, 2])
  expect([...(await firstBytes(pieces, 4))]).toEqual([1, 2, 3, 4])
  expect([...(await firstBytes(pieces, 9))]).toEqual([1, 2, 3, 4, 5])
  expect(await firstBytes([], 9)).toHaveLength(0)
})
