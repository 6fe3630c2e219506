import { normal } from '@/statistics/distributions/normal'
import { check } from '@/answers/check'
import { readReference, relativeError } from '@tests/reference/reference'
import { conformance } from './itemFigures'

type Guarded = Readonly<{
  id: string
  input: Readonly<{
    data: string[]
    side: 'at-least' | 'at-most'
    limit: string
    u: string
    k: string
    burden: 'stands-unless-contradicted' | 'must-be-shown'
  }>
  limit_used: string
  counts: string
}>
type OneItem = Readonly<{
  id: string
  reading: string
  u: string
  limit: string
  side: 'at-least' | 'at-most'
  conforms: string
}>

// mpmath at 55 digits and exact decimals: see tests/reference/SOURCES.md. JCGM 106:2012, 7 and 8.
const { guarded, one_item: oneItem } = readReference<{ guarded: Guarded[]; one_item: OneItem[] }>(
  'uncertainty.json',
)

function shareOf(evidence: object, claim: object, test: object = {}) {
  const answered = check({
    claim: { parameter: 'proportion', relation: 'at-least', value: 0.9, ...claim },
    evidence: { kind: 'readings', ...evidence },
    test,
  })
  if (!answered.ok) return answered.error.code
  if (answered.kind !== 'proportion') throw new Error('no share')
  return answered
}

test.each(guarded.map((row) => [row.id, row] as const))('%s: items against a guarded limit', (_, row) => {
  const { data, side, limit, u, k, burden } = row.input
  const answered = shareOf(
    { values: data.map(Number), measurement: { reading: Number(u) } },
    {
      limit: { side, value: Number(limit), guardFactor: Number(k) },
      burden: burden === 'must-be-shown' ? 'substantiate' : 'challenge',
    },
  )
  expect(answered).toMatchObject({ sample: { successes: Number(row.counts) } })
  if (Number(k) > 0 && Number(u) > 0) expect(answered).toMatchObject({ limitUsed: Number(row.limit_used) })
})

test.each(oneItem.map((row) => [row.id, row] as const))(
  '%s: the probability that an item conforms',
  (_, row) => {
    const asked = {
      reading: Number(row.reading),
      side: row.side,
      value: Number(row.limit),
      uncertainty: Number(row.u),
    }
    if (Number(row.conforms) > 1e-300)
      expect(relativeError(conformance(asked), Number(row.conforms))).toBeLessThan(1e-12)
  },
)

test('each item tested has its probability, and one set aside has none', () => {
  const answered = shareOf(
    { values: [15.2, 14.9, 15, 14.8], setAside: [1], measurement: { reading: 0.1 } },
    { limit: { side: 'at-least', value: 15 } },
  )
  expect(answered).toMatchObject({
    sample: { n: 3, successes: 2 },
    items: [
      { index: 0, conforms: expect.closeTo(normal.tails(2).lower, 12) as number },
      { index: 2, conforms: 0.5 },
      { index: 3, conforms: expect.closeTo(normal.tails(-2).lower, 12) as number },
    ],
  })
})

test('what cannot be held against a limit is refused by its code', () => {
  const limit = { side: 'at-least', value: 15 } as const
  const values = [15.2, 14.9, 15, 14.8]
  expect(shareOf({ values }, { limit: { ...limit, guardFactor: 2 } })).toBe('measurement-needed')
  expect(shareOf({ kind: 'count', n: 4, successes: 3 }, { limit })).toBe('evidence-does-not-fit')
  expect(shareOf({ kind: 'summary', n: 4, mean: 15, standardDeviation: 0.1 }, { limit })).toBe(
    'readings-needed',
  )
  expect(shareOf({ values }, {}, { method: 'normal-share' })).toBe('evidence-does-not-fit')
  expect(shareOf({ kind: 'count', n: 4, successes: 3 }, {}, { method: 'normal-share' })).toBe('limit-needed')
  expect(shareOf({ values: [15, 15] }, { limit }, { method: 'normal-share' })).toBe('no-variation')
  expect(shareOf({ values }, { limit, value: 1 }, { method: 'normal-share' })).toBe('share-without-spread')
  expect(shareOf({ values }, { limit }, { method: 'normal-share', interval: 'wilson' })).toBe(
    'interval-does-not-fit',
  )
  expect(shareOf({ values }, { limit, parameter: 'mean' })).toBe('limit-does-not-fit')
  expect(shareOf({ values, lotSize: 2e9 }, { limit }, { method: 'hypergeometric' })).toBe('out-of-range')
})

test('clusters of items by their readings are clusters of those that count', () => {
  const cluster = ['a', 'a', 'b', 'b', 'c', 'c']
  const limit = { side: 'at-least', value: 15 } as const
  const byReadings = shareOf({ values: [15.2, 14.9, 15, 14.8, 15.3, 15.1], cluster }, { limit })
  const byMarks = shareOf({ values: [1, 0, 1, 0, 1, 1], cluster }, {})
  if (typeof byReadings === 'string' || typeof byMarks === 'string') throw new Error('not answered')
  expect(byReadings.test).toEqual(byMarks.test)
  expect(byReadings.sample).toMatchObject({ clusters: 3, successes: 4 })
})
