import { asUtf8, isUtf16 } from './utf16'

const TEXT = 'mass,note\r\n14.93,“Säcke” 重 😀\r\n'

function utf16(text: string, order: 'little' | 'big'): Uint8Array {
  const view = new DataView(new ArrayBuffer(2 * text.length + 2))
  for (const [at, unit] of [...`\ufeff${text}`.split('')].entries())
    view.setUint16(2 * at, unit.charCodeAt(0), order === 'little')
  return new Uint8Array(view.buffer)
}

test.each(['little', 'big'] as const)('a text in UTF-16 with the %s end first is read', (order) => {
  const bytes = utf16(TEXT, order)
  expect(isUtf16(bytes)).toBe(true)
  expect(new TextDecoder().decode(asUtf8(bytes))).toBe(TEXT)
})

test('any other file is left as it is', () => {
  const bytes = new TextEncoder().encode(TEXT)
  expect(asUtf8(bytes)).toBe(bytes)
  expect(asUtf8(Uint8Array.of())).toHaveLength(0)
})
