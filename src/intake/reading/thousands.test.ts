import fc from 'fast-check'
import { withoutThousands } from './thousands'

const [POINT, COMMA] = [0x2e, 0x2c]

test.each([
  ['1,234', ',', POINT, 1234],
  ['-1,234,567.5', ',', POINT, -1234567.5],
  ['1.234,5', '.', COMMA, 1234.5],
  ['1\u202f234', ' ', POINT, 1234],
  ['1 234,25', ' ', COMMA, 1234.25],
  ["12'345", "'", POINT, 12345],
  ['12’345', "'", POINT, 12345],
] as const)('%j with %j between thousands is %d', (text, thousands, mark, expected) => {
  expect(withoutThousands(text, thousands, mark)).toBe(expected)
})

test.each(['1,23', '1,2345', ',123', '1234,567', '1,234,56', '1,234.5.6', '1,234 kg', ''])(
  '%j is no number with commas between thousands',
  (text) => expect(withoutThousands(text, ',', POINT)).toBeUndefined(),
)

test('nothing is read where nothing stands between thousands', () => {
  expect(withoutThousands('1,234', 'none', POINT)).toBeUndefined()
})

test('a number that is written in groups is read back', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1000, max: 10 ** 12 }), fc.integer({ min: 0, max: 99 }), (whole, cents) => {
      const text = `${whole.toLocaleString('en')}.${String(cents).padStart(2, '0')}`
      expect(withoutThousands(text, ',', POINT)).toBe(Number(`${whole}.${String(cents).padStart(2, '0')}`))
    }),
  )
})
