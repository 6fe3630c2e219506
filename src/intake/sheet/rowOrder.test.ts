import fc from 'fast-check'
import { cellText, type Column } from './columns'
import { findRows, sortedRows } from './rowOrder'

const numbers = (...cells: number[]): Column => ({
  kind: 'number',
  name: 'mass',
  chunks: [Float64Array.from(cells)],
  length: cells.length,
  missing: 0,
})
const texts = (...cells: string[]): Column => ({
  kind: 'text',
  name: 'note',
  texts: cells,
  length: cells.length,
  missing: 0,
})
const codes: Column = {
  kind: 'category',
  name: 'vehicle',
  chunks: [Uint16Array.of(1, 2, 0, 3, 1)],
  dictionary: ['van 10', 'van 2', 'cart'],
  length: 5,
  missing: 1,
}
const rows = (order: Uint32Array) => Array.from(order)

test('numbers go by their value, missing ones last, equal ones in the order of the file', () => {
  const column = numbers(3, Number.NaN, -1, 3, 0)
  expect(rows(sortedRows(column, 'rising'))).toEqual([2, 4, 0, 3, 1])
  expect(rows(sortedRows(column, 'falling'))).toEqual([0, 3, 4, 2, 1])
})

test('texts go as a person sorts them, numbers in them by their value', () => {
  expect(rows(sortedRows(codes, 'rising'))).toEqual([3, 1, 0, 4, 2])
  expect(rows(sortedRows(texts('b', '', 'a10', 'a9'), 'rising'))).toEqual([3, 2, 0, 1])
})

test('an order holds every row once, and its cells rise', () => {
  const cell = fc.oneof(fc.double({ noNaN: true }), fc.constant(Number.NaN))
  fc.assert(
    fc.property(fc.array(cell, { minLength: 1, maxLength: 60 }), (cells) => {
      const order = rows(sortedRows(numbers(...cells), 'rising'))
      expect(order.toSorted((a, b) => a - b)).toEqual(cells.map((_, row) => row))
      const known = order.map((row) => cells[row]!).filter((value) => !Number.isNaN(value))
      known.forEach((value, at) => {
        if (at > 0) expect(value).toBeGreaterThanOrEqual(known[at - 1]!)
      })
    }),
  )
})

test('a text is found in any column, whatever its case, at its place in the order shown', () => {
  const columns = [codes, numbers(14.5, 2, 3, 4, 5)]
  expect(rows(findRows(columns, 'VAN'))).toEqual([0, 1, 4])
  expect(rows(findRows(columns, '4.5'))).toEqual([0])
  expect(rows(findRows(columns, 'van', Uint32Array.of(4, 3, 2, 1, 0)))).toEqual([0, 3, 4])
  expect(rows(findRows(columns, '  '))).toEqual([])
  expect(rows(findRows(columns, 'lorry'))).toEqual([])
})

test('what is found holds the text, and what is not found does not', () => {
  const cells = fc.array(fc.string({ maxLength: 4 }), { minLength: 1, maxLength: 20 })
  fc.assert(
    fc.property(cells, fc.string({ minLength: 1, maxLength: 2 }), (all, wanted) => {
      const column = texts(...all)
      const found = new Set(rows(findRows([column], wanted)))
      const holds = (row: number) =>
        wanted.trim() !== '' && cellText(column, row).toLowerCase().includes(wanted.trim().toLowerCase())
      all.forEach((_, row) => expect(found.has(row)).toBe(holds(row)))
    }),
  )
})
