import { runsOf } from './oneGo'

const entry = (number: number, seconds: number, other: object = {}) => ({
  number,
  at: new Date(Date.UTC(2026, 0, 14, 9) + seconds * 1000).toISOString(),
  who: 'A. Officer',
  action: 'claim-changed' as const,
  claimId: 'a',
  sampleId: null,
  ...other,
})
const numbers = (entries: readonly ReturnType<typeof entry>[]) =>
  runsOf(entries).map((run) => run.map(({ number }) => number))

test('what one person types without a long pause is one run, in either order', () => {
  const entries = [entry(1, 0), entry(2, 30), entry(3, 89), entry(4, 150)]
  expect(numbers(entries)).toEqual([[1, 2, 3], [4]])
  expect(numbers(entries.toReversed())).toEqual([[4], [3, 2, 1]])
})

test.each([
  ['somebody else', { who: 'B. Officer' }],
  ['another claim', { claimId: 'b' }],
  ['a deed', { action: 'signed' as const }],
])('%s ends a run', (_, other) => {
  expect(numbers([entry(1, 0), entry(2, 1, other), entry(3, 2)])).toEqual([[1], [2], [3]])
})

test('entries between which one is not shown are no run, and deeds never are', () => {
  expect(numbers([entry(1, 0), entry(3, 1)])).toEqual([[1], [3]])
  const deed = { action: 'set-aside' as const }
  expect(numbers([entry(1, 0, deed), entry(2, 1, deed)])).toEqual([[1], [2]])
})
