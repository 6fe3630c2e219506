import type { z } from 'zod/mini'
import { check } from '@/answers/check'
import type { CheckDocument } from '@/claims/terms/request'
import type { CheckAnswer } from '@/claims/checkAnswer'
import { checkAnswerSchema } from '@/claims/checkAnswer'

// What the schema lets through is what the compiler knows, and the other way round.
type Schema = z.infer<typeof checkAnswerSchema>
const asSchema = (answer: CheckAnswer) => answer as Schema
const asAnswer = (answer: Schema) => answer as CheckAnswer

const values = [14.93, 15.02, 14.88, 15.11, 14.79, 14.97, 15.03, 14.9, 14.95, 15.0, 14.7, 15.2]
const claim = { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' } as const
const readings = { kind: 'readings', values, lotSize: 400, drawn: 'random' } as const
const mean = { claim, evidence: readings }

const DOCUMENTS: readonly (readonly [string, unknown])[] = [
  ['a t test', mean],
  ['with something set aside', { ...mean, evidence: { ...readings, setAside: [2] } }],
  ['a z test', { ...mean, test: { knownStandardDeviation: 0.1 } }],
  ['a bootstrap', { ...mean, test: { method: 'bootstrap', resamples: 199 } }],
  ['a one-sided bound', { ...mean, test: { intervalSides: 'lower' } }],
  [
    'a tolerance',
    { ...mean, claim: { ...claim, relation: 'within', tolerance: { below: 0.1, above: 0.1 } } },
  ],
  ['a standard deviation', { ...mean, claim: { ...claim, parameter: 'standard-deviation', value: 0.2 } }],
  [
    'a variance by Bonett',
    { ...mean, claim: { ...claim, parameter: 'variance', value: 0.04 }, test: { method: 'bonett' } },
  ],
  ['a median', { ...mean, claim: { ...claim, parameter: 'median' } }],
  ['a sign test', { ...mean, claim: { ...claim, parameter: 'median' }, test: { method: 'sign' } }],
  [
    'a share',
    {
      claim: { ...claim, parameter: 'proportion', value: 0.9 },
      evidence: { kind: 'count', n: 200, successes: 170 },
    },
  ],
  [
    'an exact share',
    {
      claim: { ...claim, parameter: 'proportion', value: 0.9 },
      evidence: { kind: 'count', n: 20, successes: 17 },
    },
  ],
  [
    'a share of a lot',
    {
      claim: { ...claim, parameter: 'proportion', value: 0.9 },
      evidence: { kind: 'count', n: 20, successes: 17, lotSize: 100 },
      test: { method: 'hypergeometric' },
    },
  ],
  [
    'two spreads',
    {
      claim: { ...claim, parameter: 'variance-ratio', relation: 'equal-to', value: 1 },
      evidence: { kind: 'two-readings', first: values, second: values.toReversed() },
    },
  ],
  [
    'two spreads by Levene',
    {
      claim: { ...claim, parameter: 'variance-ratio', relation: 'equal-to', value: 1 },
      evidence: { kind: 'two-readings', first: values, second: values },
      test: { method: 'levene' },
    },
  ],
  [
    'a p-value below every double',
    { claim, evidence: { kind: 'summary', n: 1_000_000, mean: 10, standardDeviation: 0.1 } },
  ],
  ['an error', { claim: {} }],
]

test.each(DOCUMENTS)('the result of %s is as the published schema says', (_, document) => {
  const answer = check(document as CheckDocument)
  expect(checkAnswerSchema.parse(answer)).toEqual(answer)
  expect(asAnswer(asSchema(answer))).toBe(answer)
})
