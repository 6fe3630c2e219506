import { figuresOf, testedBy } from '@tests/reference/answers'
import { check } from '@/answers/check'
import { plan } from '@/answers/plan'
import type { PlanFigures } from './plan/planRequest'
import type { CheckDocument } from './terms/request'

const readings = (values: readonly number[]) => ({ kind: 'readings' as const, values: [...values] })
const codeOf = (document: CheckDocument) => {
  const answer = check(document)
  return answer.ok ? 'answered' : answer.error.code
}

test.each([
  ['mean', 10, 't test'],
  ['median', 10, 'sign test'],
  ['standard-deviation', 30, 'Bonett test'],
  ['variance', 30, 'Bonett test'],
] as const)(
  'a bootstrap of a %s takes %i readings, and says what does with fewer',
  (parameter, least, instead) => {
    const claim = { parameter, relation: 'at-most', value: 1 } as const
    const of = (count: number) =>
      check({
        claim,
        evidence: readings(Array.from({ length: count }, (_, i) => 1 + Math.sin(i))),
        test: { method: 'bootstrap' },
      })
    expect(of(least).ok).toBe(true)
    const refused = of(least - 1)
    expect(refused.ok || refused.error).toMatchObject({ code: 'too-few-readings', path: 'evidence' })
    expect(refused.ok || refused.error.message).toContain(
      `at least ${least} readings, and there are ${least - 1}`,
    )
    expect(refused.ok || refused.error.message).toContain(instead)
  },
)

test.each([
  ['mean', 't'],
  ['standard-deviation', 'chi-square'],
  ['variance', 'chi-square'],
] as const)('two readings are enough for a %s by %s, and one is not', (parameter, method) => {
  const claim = { parameter, relation: 'at-most', value: 1 } as const
  expect(codeOf({ claim, evidence: readings([1, 2]), test: { method } })).toBe('answered')
  expect(codeOf({ claim, evidence: readings([1]), test: { method } })).toBe('too-few-readings')
})

test('one reading is enough where its spread is known, five for Bonett, two of either source', () => {
  const mean = { parameter: 'mean', relation: 'at-most', value: 1 } as const
  expect(
    codeOf({ claim: mean, evidence: readings([1]), test: { method: 'z', knownStandardDeviation: 1 } }),
  ).toBe('answered')
  const spread = { parameter: 'standard-deviation', relation: 'at-most', value: 1 } as const
  const test = { method: 'bonett' } as const
  expect(codeOf({ claim: spread, evidence: readings([1, 2, 4, 5, 7]), test })).toBe('answered')
  expect(codeOf({ claim: spread, evidence: readings([1, 2, 4, 5]), test })).toBe('too-few-readings')
  const ratio = { parameter: 'variance-ratio', relation: 'equal-to', value: 1 } as const
  for (const method of ['f', 'levene', 'brown-forsythe'] as const) {
    const two = (first: number[], second: number[]) =>
      codeOf({ claim: ratio, evidence: { kind: 'two-readings', first, second }, test: { method } })
    expect(two([1, 2, 5], [1, 3])).not.toBe('too-few-readings')
    expect(two([1, 2, 5], [1])).toBe('too-few-readings')
    expect(two([1], [1, 2, 5])).toBe('too-few-readings')
  }
})

test('the chi-square test of two readings is the one of its formula', () => {
  const { test: made } = testedBy({
    claim: { parameter: 'standard-deviation', relation: 'at-most', value: 2 },
    evidence: { kind: 'summary', n: 2, standardDeviation: 3 },
  })
  // χ² = 1 · 3² / 2² on one degree of freedom: P(χ² > 2.25) = P(|Z| > 1.5) = 0.13361.
  expect(made).toMatchObject({
    statistic: 2.25,
    distribution: { name: 'chi-square', df: 1 },
  })
  expect(made.pValue).toBeCloseTo(0.13361, 5)
})

test.each([
  ['mean', 't', 2],
  ['mean', 'z', 1],
  ['standard-deviation', 'chi-square', 2],
  ['proportion', 'score-z', 1],
  ['proportion', 'exact-binomial', 1],
] as const)('a plan for a %s by %s takes %i units at least', (parameter, method, min) => {
  const value = parameter === 'proportion' ? 0.5 : 1
  const request = (find: 'power' | 'difference', n: number) => ({
    plan: {
      claim: { parameter, relation: 'at-most', value },
      test: { method },
      assume: { value: parameter === 'proportion' ? 0.9 : 3, standardDeviation: 1.5 },
      find,
      n,
      ...(find === 'difference' ? { power: 0.3 } : {}),
    },
  })
  expect(figuresOf<PlanFigures>(request('power', min))).toMatchObject({ n: min, method })
  if (min === 1) return
  for (const find of ['power', 'difference'] as const) {
    const short = plan(request(find, min - 1))
    expect(short.ok || short.error).toMatchObject({ code: 'out-of-range', path: 'plan.n' })
    expect(short.ok || short.error.message).toContain(`needs at least ${min}`)
  }
})

test('outliers are pointed out in the order of the readings, however far out each lies', () => {
  const values = [
    15, 40, 15.1, 14.9, 15.05, 14.95, 15.02, 14.98, 15.03, 14.97, 15.01, 14.99, 60, 15, 15.04, 14.96, 15.06,
    14.94, 15, 15.02,
  ]
  const answer = testedBy({
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: readings(values),
  })
  expect(answer.conditions.find(({ name }) => name === 'outliers')!.readings).toEqual([1, 12])
})

test('the method that a plan was made by is the one that it names', () => {
  const planned = figuresOf<PlanFigures>({
    plan: {
      claim: { parameter: 'proportion', relation: 'at-least', value: 0.95 },
      assume: { value: 0.6 },
      find: 'n',
      power: 0.8,
    },
  })
  expect(planned.method).toBe('exact-binomial')
  expect(planned.n * 0.05).toBeLessThan(10)
})
