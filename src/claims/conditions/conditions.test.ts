import { resultOf } from '@tests/reference/answers'
import type { CheckDocument } from '../terms/request'

const normal = [14.93, 15.02, 14.88, 14.91, 14.97, 14.86, 15.05, 14.95, 14.9, 14.99, 14.94, 15.0]
const skewed = [0.1, 0.2, 0.2, 0.3, 0.3, 0.4, 0.5, 0.7, 1.1, 2.4, 6.3, 19.2]
const mean = { parameter: 'mean', relation: 'at-least', value: 15 } as const
const spread = { parameter: 'standard-deviation', relation: 'at-most', value: 0.1 } as const

function statesOf(document: CheckDocument) {
  return Object.fromEntries(
    resultOf(document).conditions.map(({ name, of = '', state }) => [`${of}${name}`, state]),
  )
}

// Thirty readings, a tenth of the lot, ten expected: common practice, no source.
test('a mean of few near-normal readings', () => {
  expect(statesOf({ claim: mean, evidence: { kind: 'readings', values: normal, lotSize: 1000 } })).toEqual({
    'random-sample': 'unknown',
    independence: 'met',
    order: 'met',
    normality: 'met',
    'sample-size': 'doubtful',
    outliers: 'met',
  })
})

test.each([
  [undefined, 'unknown'],
  ['random', 'met'],
  ['not-random', 'not-met'],
] as const)('a sample that is stated to be drawn %p', (drawn, state) => {
  const evidence = { kind: 'readings' as const, values: normal, ...(drawn ? { drawn } : {}) }
  expect(statesOf({ claim: mean, evidence })['random-sample']).toBe(state)
})

test('skewed readings are borne by a large sample for a mean, and by none for a spread', () => {
  const large = Array.from({ length: 60 }, (_, i) => skewed[i % 8]! + i / 1000)
  const evidence = { kind: 'readings' as const, values: large }
  expect(statesOf({ claim: mean, evidence: { kind: 'readings', values: skewed } }).normality).toBe('not-met')
  expect(statesOf({ claim: mean, evidence }).normality).toBe('doubtful')
  expect(statesOf({ claim: spread, evidence }).normality).toBe('not-met')
  expect(statesOf({ claim: spread, evidence, test: { method: 'bonett' } })).not.toHaveProperty('normality')
  expect(
    statesOf({ claim: spread, evidence: { kind: 'summary', n: 60, standardDeviation: 1 } }).normality,
  ).toBe('unknown')
})

test('outliers are pointed out by their place among all readings', () => {
  const values = [99, ...normal, 16.5]
  const { conditions } = resultOf({ claim: mean, evidence: { kind: 'readings', values, setAside: [0] } })
  expect(conditions.find(({ name }) => name === 'outliers')).toMatchObject({
    state: 'doubtful',
    readings: [13],
  })
})

test('readings that drift are pointed out', () => {
  const drifting = normal.toSorted((a, b) => a - b)
  expect(statesOf({ claim: mean, evidence: { kind: 'readings', values: drifting } }).order).toBe('doubtful')
})

test('a signed-rank test rests on symmetry, a sign test on nothing', () => {
  const claim = { parameter: 'median', relation: 'at-most', value: 0.5 } as const
  const evidence = { kind: 'readings' as const, values: skewed }
  expect(statesOf({ claim, evidence }).symmetry).toBe('doubtful')
  expect(statesOf({ claim, evidence, test: { method: 'sign' } })).not.toHaveProperty('symmetry')
})

test.each([
  [0.95, 100, 'exact-binomial', 'met'],
  [0.95, 200, 'score-z', 'met'],
  [0.9, 100, 'score-z', 'met'],
] as const)('a share of %f, %i units: %s', (value, n, method, state) => {
  const result = resultOf({
    claim: { parameter: 'proportion', relation: 'at-least', value },
    evidence: { kind: 'count', n, successes: Math.round(0.93 * n) },
  })
  expect(result.test.method).toBe(method)
  expect(result.conditions.find(({ name }) => name === 'expected-counts')?.state).toBe(state)
})

test('the score test with too few expected is not met, and two samples are judged each by itself', () => {
  const claim = { parameter: 'proportion', relation: 'at-least', value: 0.95 } as const
  const evidence = { kind: 'count' as const, n: 40, successes: 36 }
  expect(statesOf({ claim, evidence, test: { method: 'score-z' } })['expected-counts']).toBe('not-met')
  const two = statesOf({
    claim: { parameter: 'variance-ratio', relation: 'equal-to', value: 1 },
    evidence: { kind: 'two-readings', first: normal, second: skewed },
  })
  expect(two).toMatchObject({ firstnormality: 'met', secondnormality: 'not-met' })
})
