import { likelyColumn, type NumberColumn } from './columns'

/** A column of such cells, in chunks of three. */
function numbers(name: string, cells: readonly number[]): NumberColumn {
  const chunks = Array.from({ length: Math.ceil(cells.length / 3) }, (_, at) =>
    Float64Array.from(cells.slice(3 * at, 3 * at + 3)),
  )
  return { kind: 'number', name, chunks, length: cells.length, missing: 0 }
}
const upTo = (count: number) => Array.from({ length: count }, (_, at) => at)
/** So many different whole numbers, each twice, and none of them rising to the end. */
const codes = (count: number) => [...upTo(count), ...upTo(count)]

test.each([
  ['measurements', [14.2, 15.1, 14.9, 15], true],
  ['numbers of rows', upTo(10), false],
  ['numbers of rows with gaps', [1, 5, 9, 12, 40], false],
  ['whole numbers that rise, but for the last', [...upTo(99), 3], true],
  ['numbers that rise and are not whole', [1, 2, 3.5, 4, 5], true],
  ['a single whole number', [5], true],
  ['fifty codes', codes(50), false],
  ['fifty-one codes', codes(51), true],
  ['codes that come once each', [3, 1, 2], true],
  ['codes, some of them missing', [1, 2, Number.NaN, 1, 2, Number.NaN, 1, 2], false],
])('%s: are they readings?', (_, cells, isLikely) => {
  expect(likelyColumn([numbers('own', cells)])).toBe(isLikely ? 'own' : '')
})

test('the only column that can hold readings is named, and none where several could', () => {
  const text = { kind: 'text', name: 'note', texts: ['x'], length: 1, missing: 0 } as const
  const [row, mass, hours] = [
    numbers('row', upTo(4)),
    numbers('mass', [14.2, 15.1, 14.9, 15]),
    numbers('hours', [2.5, 1.5, 3, 4]),
  ]
  expect(likelyColumn([text, row, mass])).toBe('mass')
  expect(likelyColumn([mass, hours])).toBe('')
  expect(likelyColumn([text, row])).toBe('')
  expect(likelyColumn([])).toBe('')
})
