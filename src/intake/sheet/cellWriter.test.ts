import { cellWriter } from './cellWriter'
import { CHUNK_LENGTH, type Column } from './columns'

const inQuotes = jest.fn((text: string) => `“${text}”`)
const allOf = (column: Column) => {
  const cellAt = cellWriter(column, inQuotes)
  return Array.from({ length: column.length }, (_, row) => cellAt(row))
}
beforeEach(() => inQuotes.mockClear())

test('numbers are written as the language writes them, zero with its sign, and a missing one as nothing', () => {
  const chunks = [Float64Array.of(12.5, -0, 0, Number.NaN, 1e21, -3)]
  const written = allOf({ kind: 'number', name: 'x', chunks, length: 6, missing: 1 })
  expect(written).toEqual(['12.5', '-0', '0', '', '1e+21', '-3'])
})

test('days are written as ISO 8601 has them, those that come again too', () => {
  const chunks = [Float64Array.of(0, 20_000, 0, Number.NaN, 0.5, 20_000)]
  const written = allOf({ kind: 'date', name: 'x', chunks, length: 6, missing: 1 })
  expect(written).toEqual(['1970-01-01', '2024-10-04', '1970-01-01', '', '1970-01-01 12:00', '2024-10-04'])
})

test('a text that comes again is asked for once, in whichever chunk it stands', () => {
  const chunks = [new Uint16Array(CHUNK_LENGTH).fill(1), Uint16Array.of(2, 0, 1)]
  const dictionary = ['north', 'south']
  const written = allOf({
    kind: 'category',
    name: 'x',
    chunks,
    dictionary,
    length: CHUNK_LENGTH + 3,
    missing: 1,
  })
  expect(written.slice(-4)).toEqual(['“north”', '“south”', '', '“north”'])
  expect(inQuotes).toHaveBeenCalledTimes(2)
})

test('free texts are asked for one by one', () => {
  const texts = ['one', '', 'two']
  expect(allOf({ kind: 'text', name: 'x', texts, length: 3, missing: 1 })).toEqual(['“one”', '“”', '“two”'])
})
