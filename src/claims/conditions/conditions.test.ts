import { resultOf } from '@tests/reference/answers'
import { normal as normalDistribution } from '@/statistics/distributions/normal'
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

test('a mean of few near-normal readings', () => {
  expect(statesOf({ claim: mean, evidence: { kind: 'readings', values: normal, lotSize: 1000 } })).toEqual({
    'random-sample': 'unknown',
    independence: 'unknown',
    'share-of-lot': 'met',
    order: 'doubtful',
    normality: 'no-sign',
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

test('normality is judged by what the shape does to this test, in the direction tested', () => {
  const evidence = { kind: 'readings' as const, values: skewed }
  const below = { ...mean, relation: 'at-least' } as const
  const above = { ...mean, relation: 'at-most' } as const
  // A long tail upwards makes a lower-tailed t test go wrong too often, and an upper-tailed one too seldom.
  expect(statesOf({ claim: below, evidence }).normality).toBe('not-met')
  expect(statesOf({ claim: above, evidence }).normality).toBe('met')
  expect(statesOf({ claim: { ...mean, relation: 'equal-to' }, evidence }).normality).toBe('doubtful')
})

test('many readings of a harmless shape are met, however surely they are not normal', () => {
  // Rounded to a tenth of their spread, as a coarse scale shows them.
  const rounded = Array.from({ length: 2000 }, (_, at) => {
    const score = normalDistribution.quantile((((at * 773) % 2000) + 0.5) / 2000, 'lower')
    return Math.round(score * 10) / 10
  })
  expect(statesOf({ claim: mean, evidence: { kind: 'readings', values: rounded } }).normality).toBe('met')
})

test('of fewer than ten readings no shape is met, of ten it may be', () => {
  // A long tail downwards makes a lower-tailed test go wrong too seldom, whatever else the readings leave open.
  const tail = (count: number) => [...Array.from({ length: count - 1 }, (_, at) => 15 + at / 100), 10]
  const state = (count: number) =>
    statesOf({ claim: mean, evidence: { kind: 'readings', values: tail(count) } }).normality
  expect([state(9), state(10)]).toEqual(['no-sign', 'met'])
})

test('a spread is judged by the tails of its readings, and no size of sample helps it', () => {
  // A twentieth of the readings lies ten times as far out.
  const heavy = Array.from({ length: 400 }, (_, at) => Math.sin(at * 12.9898) * (at % 20 === 0 ? 10 : 1))
  const evidence = { kind: 'readings' as const, values: heavy }
  expect(statesOf({ claim: { ...spread, value: 9 }, evidence }).normality).toBe('not-met')
  expect(statesOf({ claim: spread, evidence, test: { method: 'bonett' } })).not.toHaveProperty('normality')
  expect(
    statesOf({ claim: spread, evidence: { kind: 'summary', n: 60, standardDeviation: 1 } }).normality,
  ).toBe('unknown')
})

test('where the shape is not borne a robust test stands beside, and is the one of that name', () => {
  const document = { claim: mean, evidence: { kind: 'readings' as const, values: skewed } }
  const { beside, finding } = resultOf(document)
  const own = resultOf({ ...document, test: { method: 'bootstrap' } })
  expect(beside).toMatchObject({
    method: 'bootstrap',
    outcome: own.finding.outcome,
    pValue: own.test.pValue,
  })
  expect(finding.beside).toMatch(/^Normality: not met\. By the bootstrap test, which does not rest on it: /)
  expect(resultOf({ claim: mean, evidence: { kind: 'readings', values: normal } }).beside).toBeUndefined()
})

test('outliers are pointed out by their place among all readings', () => {
  const values = [99, ...normal, 16.5]
  const { conditions } = resultOf({ claim: mean, evidence: { kind: 'readings', values, setAside: [0] } })
  expect(conditions.find(({ name }) => name === 'outliers')).toMatchObject({
    state: 'doubtful',
    readings: [13],
  })
})

test('readings that follow one another say what they are worth', () => {
  const drifting = Array.from({ length: 60 }, (_, at) => Math.sin(at / 4) + Math.sin(at * 12.9898) / 2)
  const found = resultOf({ claim: mean, evidence: { kind: 'readings', values: drifting } }).conditions.find(
    ({ name }) => name === 'order',
  )!
  const { n, lag1, effectiveN, level } = found.figures
  expect(effectiveN).toBeCloseTo((n! * (1 - lag1!)) / (1 + lag1!), 9)
  expect(level).toBeGreaterThan(0.1)
  expect(found.sentence).toContain('tell no more than about')
})

test('readings that drift are pointed out', () => {
  const drifting = normal.toSorted((a, b) => a - b)
  expect(statesOf({ claim: mean, evidence: { kind: 'readings', values: drifting } }).order).toBe('not-met')
})

test('a signed-rank test rests on symmetry, a sign test on nothing', () => {
  const claim = { parameter: 'median', relation: 'at-most', value: 0.55 } as const
  const evidence = { kind: 'readings' as const, values: skewed }
  expect(statesOf({ claim, evidence, test: { method: 'signed-rank' } }).symmetry).toBe('doubtful')
  expect(resultOf({ claim, evidence }).test.method).toBe('sign')
  expect(statesOf({ claim, evidence, test: { method: 'sign' } })).not.toHaveProperty('symmetry')
})

test.each([
  [0.95, 100, 'exact-binomial', 'met'],
  [0.95, 200, 'exact-binomial', 'met'],
  [0.9, 100, 'exact-binomial', 'met'],
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
  expect(two).toMatchObject({ firstnormality: 'no-sign', secondnormality: 'not-met' })
})
