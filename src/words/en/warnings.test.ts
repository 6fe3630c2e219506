import { resultOf } from '@tests/reference/answers'
import type { CheckDocument } from '@/claims/terms/request'

const values = [14.93, 15.02, 14.88, 14.91, 14.97, 14.86]
const mean = { parameter: 'mean', relation: 'at-least', value: 15 } as const
const share = { parameter: 'proportion', relation: 'at-least', value: 0.8 } as const
const readings = (more: object = {}) => ({ kind: 'readings' as const, values, ...more })
const codes = (document: CheckDocument) => resultOf(document).warnings.map(({ code }) => code)

test('an everyday check has no warning', () => {
  expect(codes({ claim: mean, evidence: readings({ lotSize: 4000 }) })).toEqual([])
})

test.each<readonly [string, CheckDocument]>([
  [
    'unusual-known-standard-deviation',
    { claim: mean, evidence: readings(), test: { knownStandardDeviation: 0.6 } },
  ],
  [
    'no-variation',
    {
      claim: mean,
      evidence: { kind: 'readings', values: [15, 15, 15, 15, 15] },
      test: { knownStandardDeviation: 0.1 },
    },
  ],
  ['few-readings', { claim: mean, evidence: { kind: 'readings', values: [14.9, 14.8] } }],
  ['sample-too-small-to-reject', { claim: share, evidence: { kind: 'count', n: 1, successes: 0 } }],
  ['alternative-points-away', { claim: { ...mean, value: 14 }, evidence: readings() }],
  [
    'alternative-disagrees-with-claim',
    { claim: mean, evidence: readings(), test: { alternative: 'greater' } },
  ],
  ['large-share-of-lot', { claim: mean, evidence: readings({ lotSize: 59 }) }],
  [
    'wald-interval',
    { claim: share, evidence: { kind: 'count', n: 100, successes: 70 }, test: { interval: 'wald' } },
  ],
  [
    'unusual-level',
    { claim: mean, evidence: readings(), test: { significanceLevel: 0.95, confidenceLevel: 0.95 } },
  ],
  ['mid-p', { claim: share, evidence: { kind: 'count', n: 20, successes: 12 }, test: { midP: true } }],
  [
    'exact-options-not-used',
    {
      claim: share,
      evidence: { kind: 'count', n: 100, successes: 70 },
      test: { method: 'score-z', midP: true },
    },
  ],
  [
    'continuity-correction-not-used',
    { claim: mean, evidence: readings(), test: { continuityCorrection: true } },
  ],
  [
    'known-standard-deviation-not-used',
    { claim: mean, evidence: readings(), test: { method: 't', knownStandardDeviation: 0.06 } },
  ],
  [
    'no-interval',
    {
      claim: { parameter: 'variance-ratio', relation: 'equal-to', value: 1 },
      evidence: { kind: 'two-readings', first: values, second: values.map((value) => 2 * value) },
      test: { method: 'levene' },
    },
  ],
  [
    'interval-without-end',
    {
      claim: { ...mean, relation: 'equal-to' },
      evidence: { kind: 'readings', values: [1, 1.1, 1.2, 1.3, 1.1, 1.2, 1.3, 1.1, 9, 30] },
      test: { method: 'bootstrap', resamples: 99, confidenceLevel: 0.97 },
    },
  ],
  [
    'no-critical-estimates',
    {
      claim: { parameter: 'median', relation: 'at-least', value: 14.93 },
      evidence: readings(),
      test: { method: 'signed-rank' },
    },
  ],
])('%s', (code, document) => {
  const warning = resultOf(document).warnings.find((one) => one.code === code)
  expect(warning?.message).toMatch(/^[A-Z].{20,}\.$/)
})

test('a known standard deviation that the sample bears out is not warned of', () => {
  expect(codes({ claim: mean, evidence: readings(), test: { knownStandardDeviation: 0.06 } })).toEqual([])
})

test.each([
  [80, 'If 80 % is meant, state 0.8.'],
  [100, 'If 100 % is meant, state 1.'],
  [101, 'State one between 0 and 1.'],
])('a share stated as %d is refused, with the share that is meant', (value, words) => {
  expect(() =>
    resultOf({ claim: { ...share, value }, evidence: { kind: 'count', n: 20, successes: 12 } }),
  ).toThrow(words)
})
