import type { CheckDocument } from './terms/request'
import { areLong, looksOf } from './work'

const readings = (count: number) => ({
  kind: 'readings' as const,
  values: Array.from({ length: count }, (_, i) => i),
})
const mean = { parameter: 'mean', relation: 'at-least', value: 1 } as const

test.each<[string, CheckDocument, boolean]>([
  ['ten thousand readings by t', { claim: mean, evidence: readings(10_000) }, false],
  ['many readings by t', { claim: mean, evidence: readings(50_000) }, true],
  [
    'a summary of any size',
    { claim: mean, evidence: { kind: 'summary', n: 1e9, mean: 1, standardDeviation: 1 } },
    false,
  ],
  ['a few resampled', { claim: mean, evidence: readings(10), test: { method: 'bootstrap' } }, false],
  ['many resampled', { claim: mean, evidence: readings(1000), test: { method: 'bootstrap' } }, true],
  [
    'many with few resamples',
    { claim: mean, evidence: readings(1000), test: { method: 'bootstrap', resamples: 99 } },
    false,
  ],
  [
    'many ranked',
    { claim: { ...mean, parameter: 'median' }, evidence: readings(5000), test: { method: 'signed-rank' } },
    true,
  ],
  ['many counted by sign', { claim: { ...mean, parameter: 'median' }, evidence: readings(5000) }, false],
  [
    'two lists',
    {
      claim: { ...mean, parameter: 'variance-ratio' },
      evidence: { kind: 'two-readings', first: readings(29_000).values, second: readings(1000).values },
    },
    true,
  ],
])('%s: whether a check leaves the page to a worker', (_, document, isLong) => {
  expect(areLong(looksOf(document))).toBe(isLong)
})
