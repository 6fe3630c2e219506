import { plain } from '@tests/plain'
import { testedBy } from '@tests/reference/answers'
import { check } from '@/answers/check'
import type { CheckDocument } from '@/claims/terms/request'
import type { CheckResult } from '@/claims/result'
import { BURDENS, RELATIONS } from '@/claims/terms/relations'
import { normal } from '@/statistics/distributions/normal'
import { deriveHypotheses } from '@/claims/terms/hypotheses'
import { claimLineWords } from './claimLineWords'
import { hypothesisReason, hypothesisSymbols, kindOfTest } from './hypothesisWords'

function resultOf(claim: Partial<CheckDocument['claim']>, evidence: CheckDocument['evidence']): CheckResult {
  const answer = testedBy({
    claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg', quantity: 'net mass', ...claim },
    evidence,
  })
  return answer
}

const sampleAt = (mean: number) =>
  ({ kind: 'summary', n: 25, mean, standardDeviation: 0.1, lotSize: 4000 }) as const

test.each([
  ['at-least', 14.9, 'the sample contradicts the claim that the mean net mass is at least 15 kg.'],
  ['at-least', 15, 'the sample does not contradict the claim that the mean net mass is at least 15 kg.'],
  ['more-than', 15.1, 'the sample supports the claim that the mean net mass is more than 15 kg.'],
  ['more-than', 15, 'the sample does not support the claim that the mean net mass is more than 15 kg.'],
] as const)('%s with a mean of %p is worded as what the test showed', (relation, mean, words) => {
  expect(plain(resultOf({ relation }, sampleAt(mean)).finding.sentence)).toContain(words)
})

test.each([
  [14.9, 'The mean net mass is estimated at 14.900 kg, 0.100 kg below the claimed value.'],
  [15.1, 'The mean net mass is estimated at 15.100 kg, 0.100 kg above the claimed value.'],
  [15, 'The mean net mass is estimated at 15.000 kg, the claimed value itself.'],
  [15.0001, 'The mean net mass is estimated at 15.0001 kg, 0.0001 kg above the claimed value.'],
  [15.0155, 'The mean net mass is estimated at 15.016 kg, 0.016 kg above the claimed value.'],
  [15.00001, 'The mean net mass is estimated at 15.0000 kg, less than 0.0001 kg above the claimed value.'],
])('a mean of %p is set beside the claimed value in the claim’s unit', (mean, words) => {
  expect(plain(resultOf({}, sampleAt(mean)).finding.sentence)).toContain(words)
})

test('what was not found is never said to be shown false, nor what was found to be certain', () => {
  const limits = (relation: 'at-least' | 'more-than', mean: number) =>
    resultOf({ relation }, sampleAt(mean)).finding.limits
  expect(limits('at-least', 15)).toContain('does not show the claim to be true')
  expect(limits('more-than', 15)).toContain('does not show the claim to be false')
  expect(limits('at-least', 14.9)).toContain(
    'can’t be stated, since conditions that it rests on are open: Random sample (not known), Independence (not known), Normality (not known).',
  )
})

const stated = { drawn: 'random', independence: 'independent' } as const
// Two hundred normal scores: no skewness, nothing in their order.
const scattered = (at: number) => (((Math.sin(at * 12.9898) * 917.3) % 1) + 1) % 1
const shuffled = Array.from({ length: 200 }, (_, at) => at).toSorted(
  (one, other) => scattered(one) - scattered(other),
)
const normalScores = shuffled.map((place) => 15 + normal.quantile((place + 0.5) / 200, 'lower') / 10)

test.each([
  [
    'an exact test of what is stated',
    { parameter: 'proportion', value: 0.9 },
    { kind: 'count', n: 200, successes: 160, ...stated },
    'by at most 5 % of samples',
  ],
  [
    'a test that no sign speaks against',
    {},
    { kind: 'readings', values: normalScores.map((value) => value - 0.1), ...stated },
    'by about 5 % of samples drawn like this one, as far as so few readings tell',
  ],
  [
    'an exact test of units taken in groups',
    { parameter: 'proportion', value: 0.9 },
    { kind: 'count', n: 200, successes: 160, ...stated, independence: 'not-independent' },
    'can’t be stated, since conditions that it rests on are open: Independence (not met).',
  ],
] as const)('the risk of %s is stated as far as it is known', (_, claim, evidence, words) => {
  const { finding } = resultOf(claim, {
    ...evidence,
    ...('values' in evidence ? { values: [...evidence.values] } : {}),
  } as CheckDocument['evidence'])
  expect(finding.outcome).toBe('contradicted')
  expect(plain(finding.limits)).toContain(words)
})

test('every claim that can be tested has hypotheses in symbols, a kind of test and a reason', () => {
  for (const relation of RELATIONS) {
    for (const burden of BURDENS) {
      const claim = {
        parameter: 'mean',
        relation,
        burden,
        value: 15,
        tolerance: { below: 0.1, above: 0.2 },
      } as const
      const hypotheses = deriveHypotheses(claim, 'auto')
      if (!hypotheses.ok) {
        expect([relation, burden]).toEqual(['different-from', 'challenge'])
        continue
      }
      const { null: h0, alternative: h1, claimIs } = hypotheses.value
      expect(hypothesisSymbols(h0, 'kg')).toMatch(/μ/)
      expect(hypothesisSymbols(h1, 'kg')).not.toBe(hypothesisSymbols(h0, 'kg'))
      expect(kindOfTest(hypotheses.value)).toMatch(/tailed$|^two one-sided tests$/)
      expect(hypothesisReason(claim, hypotheses.value)).toMatch(
        claimIs === 'null' ? /null hypothesis/ : /alternative/,
      )
    }
  }
})

test('the limits of a tolerance are written without the digits that adding doubles makes up', () => {
  const hypotheses = deriveHypotheses(
    { parameter: 'mean', relation: 'within', value: 0.3, tolerance: { below: 0.1, above: 0.1 } },
    'auto',
  )
  if (!hypotheses.ok) throw new Error(hypotheses.problem.code)
  expect(hypothesisSymbols(hypotheses.value.alternative, undefined)).toBe('0.2 < μ < 0.4')
})

test('the tolerance of a share is in percentage points', () => {
  const claim = {
    parameter: 'proportion',
    relation: 'within',
    value: 0.95,
    quantity: 'deliveries in time',
  } as const
  const tolerance = { below: 0.07, above: 0.02 }
  const result = resultOf({ ...claim, tolerance }, { kind: 'count', n: 200, successes: 186 })
  expect(plain(result.finding.sentence)).toContain(
    'is within 7 percentage points below and 2 percentage points above 95 %.',
  )
})

// A tenth of the lot: common practice, no source.
test.each([
  [25, 4000, { 'share-of-lot': 'met' }],
  [30, 300, { 'share-of-lot': 'met' }],
  [31, 300, { 'share-of-lot': 'doubtful' }],
  [31, undefined, {}],
])('%i readings of a lot of %p', (n, lotSize, states) => {
  const { conditions } = resultOf({}, { kind: 'summary', n, mean: 15, standardDeviation: 0.1, lotSize })
  const seen = Object.fromEntries(conditions.map(({ name, state }) => [name, state]))
  expect(seen).toEqual({
    'random-sample': 'unknown',
    independence: 'unknown',
    normality: 'unknown',
    ...states,
  })
})

test.each([
  [undefined, undefined, 'unknown', /^Nobody has said whether the units were taken one by one or in groups/],
  // The size of a lot says nothing of how its units were taken.
  [undefined, 10_000, 'unknown', /^Nobody has said/],
  ['independent', 100, 'met', /^It is stated, and was not checked, that the units were taken one by one\.$/],
  ['not-independent', 10_000, 'not-met', /taken in groups.*the risk is not the one stated/],
] as const)('readings said to be %p, of a lot of %p', (independence, lotSize, state, sentence) => {
  const evidence = {
    kind: 'summary',
    n: 24,
    mean: 15,
    standardDeviation: 0.1,
    independence,
    lotSize,
  } as const
  const { conditions } = resultOf({}, evidence)
  const found = conditions.find(({ name }) => name === 'independence')
  expect(found?.state).toBe(state)
  expect(found?.sentence).toMatch(sentence)
})

test('readings set aside of either of two sources are kept out of its figures and pointed at by their own places', () => {
  const [first, second] = [
    [1, 2, 3, 40, 5],
    [2, 99, 4, 6, 1],
  ]
  const claim = { parameter: 'variance-ratio', relation: 'equal-to', value: 1, unit: 'mm' } as const
  const aside = resultOf(claim, { kind: 'two-readings', first, second, secondSetAside: [1] })
  const without = resultOf(claim, { kind: 'two-readings', first, second: [2, 4, 6, 1] })
  expect(aside.test).toEqual(without.test)
  expect(aside.sample).toEqual({ ...without.sample, setAside: 1 })
  const wrong = check({ claim, evidence: { kind: 'two-readings', first, second, firstSetAside: [9] } })
  expect(wrong).toMatchObject({ ok: false })
})

test('the claim line is told in words, before and after there is a finding', () => {
  const values = [14.9, 15.1, 15.3]
  const shared = { values, display: { scale: 1, unit: 'kg', decimals: 2 } } as const
  expect(plain(claimLineWords({ ...shared, result: undefined }))).toBe(
    'Claim line: 3 readings from 14.9 kg to 15.3 kg. ',
  )
  const result = resultOf({}, { kind: 'readings', values })
  expect(plain(claimLineWords({ ...shared, result }))).toContain(
    'Mean 15.10 kg, 95 % interval 14.60 to 15.60.',
  )
  const tolerance = { below: 0.1, above: 0.1 }
  const within = resultOf({ relation: 'within', value: 0.3, tolerance }, { kind: 'readings', values })
  expect(plain(claimLineWords({ ...shared, result: within }))).toContain('Limits 0.2 and 0.4 kg.')
})

const count = { kind: 'count', n: 100, successes: 91 } as const
const spread = { kind: 'summary', n: 20, standardDeviation: 0.37 } as const

test.each([
  [
    { parameter: 'proportion', relation: 'at-least', value: 0.95, quantity: 'deliveries within two days' },
    count,
    'At the 5 % significance level the sample does not contradict the claim that the share of deliveries within two days is at least 95 %. The share of deliveries within two days is estimated at 91.0 %, 4.0 percentage points below the claimed value.',
  ],
  [
    {
      parameter: 'standard-deviation',
      relation: 'at-most',
      value: 0.3,
      unit: '°C',
      quantity: 'switching temperature',
    },
    spread,
    'At the 5 % significance level the sample does not contradict the claim that the standard deviation of the switching temperature is at most 0.3 °C. The standard deviation of the switching temperature is estimated at 0.370 °C, 0.070 °C above the claimed value.',
  ],
  [
    { parameter: 'variance', relation: 'less-than', value: 0.4, unit: 'kg' },
    spread,
    'At the 5 % significance level the sample supports the claim that the variance is less than 0.4 kg². The variance is estimated at 0.137 kg², 0.263 kg² below the claimed value.',
  ],
] as const)('the finding for %j', (claim, evidence, sentence) => {
  const answer = testedBy({ claim: { ...claim }, evidence: { ...evidence } })
  const { finding } = answer
  expect(plain(finding.sentence)).toBe(sentence)
})

test('no wording of any finding accepts or proves', () => {
  const readings = [14.9, 15.1, 15.3, 14.8, 15.05]
  for (const relation of RELATIONS) {
    for (const parameter of ['mean', 'median', 'standard-deviation'] as const) {
      const tolerance = { below: 0.01, above: 0.01 }
      const answer = testedBy({
        claim: { parameter, relation, value: 0.2, tolerance },
        evidence: { kind: 'readings', values: readings },
      })
      expect(`${answer.finding.sentence} ${answer.finding.limits}`).not.toMatch(/accept|prove|true mean is/i)
    }
  }
})
