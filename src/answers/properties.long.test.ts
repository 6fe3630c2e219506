import fc from 'fast-check'
import { resultOf } from '@tests/reference/answers'
import type { CheckResult } from '@/claims/result'
import {
  ofReadings,
  reading,
  ofTwo,
  count,
  share,
  resampled,
  tenAndMore,
  type Evidence,
  level,
  isOnTheEdge,
  thirtyAndMore,
  readings,
} from '@tests/arbitraries'

test.each([
  ['signed-rank', 'median', { method: 'signed-rank' }, ofReadings, reading],
  ['sign', 'median', { method: 'sign' }, ofReadings, reading],
  [
    'Brown-Forsythe',
    'variance-ratio',
    { method: 'brown-forsythe' },
    ofTwo,
    reading.map((value) => value / 10),
  ],
  [
    'exact binomial by likelihood',
    'proportion',
    { method: 'exact-binomial', twoSidedRule: 'minimum-likelihood' },
    count,
    share,
  ],
  ['exact binomial by mid-p', 'proportion', { method: 'exact-binomial', midP: true }, count, share],
  ['bootstrap', 'mean', { method: 'bootstrap', resamples: 199 }, resampled(tenAndMore!), reading],
] as const)('all ways to decide by the %s test agree', (_, parameter, options, evidence, value) => {
  fc.assert(
    fc.property(evidence as fc.Arbitrary<Evidence>, value, level, (sample, claimed, significanceLevel) => {
      const result = resultOf({
        claim: { parameter, relation: 'equal-to', value: claimed },
        evidence: sample,
        test: { ...options, significanceLevel },
      })
      if (isOnTheEdge(result)) return
      expect(new Set(result.test.ways.map(({ rejects }) => rejects)).size).toBe(1)
    }),
    { numRuns: 100 },
  )
})

const SCALED = [
  ['mean', 't'],
  ['mean', 'bootstrap'],
  ['median', 'signed-rank'],
  ['median', 'sign'],
  ['median', 'bootstrap'],
  ['standard-deviation', 'chi-square'],
  ['standard-deviation', 'bonett'],
  ['standard-deviation', 'bootstrap'],
] as const

test.each(SCALED)(
  'a change of unit changes a %s by %s in the same way, and no p-value',
  (parameter, method) => {
    fc.assert(
      fc.property(method === 'bootstrap' ? thirtyAndMore! : readings, reading, (values, value) => {
        const resultIn = (factor: number) =>
          resultOf({
            claim: { parameter, relation: 'at-least', value: value * factor },
            evidence: { kind: 'readings', values: values.map((reading) => reading * factor) },
            test: { method, resamples: 99 },
          })
        // A power of two, so that no rounding comes between.
        const [plain, scaled] = [resultIn(1), resultIn(1024)]
        expect(scaled.test.logPValue).toBe(plain.test.logPValue)
        expect(scaled.estimate.value).toBeCloseTo(plain.estimate.value * 1024, 8)
        if (plain.interval?.lower !== undefined) {
          expect(scaled.interval!.lower! / plain.interval.lower).toBeCloseTo(1024, 8)
        }
      }),
      { numRuns: 40 },
    )
  },
)

test.each([
  ['mean', 't'],
  ['median', 'signed-rank'],
  ['standard-deviation', 'chi-square'],
] as const)('shifting every reading shifts a %s by %s, and no spread', (parameter, method) => {
  fc.assert(
    fc.property(readings, reading, (values, value) => {
      const shiftOfClaim = parameter === 'standard-deviation' ? 0 : 4096
      const resultAt = (shift: number, claimed: number) =>
        resultOf({
          claim: { parameter, relation: 'at-least', value: claimed },
          evidence: { kind: 'readings', values: values.map((reading) => reading + shift) },
          test: { method },
        })
      const [plain, shifted] = [resultAt(0, value), resultAt(4096, value + shiftOfClaim)]
      expect(shifted.estimate.value - plain.estimate.value).toBeCloseTo(shiftOfClaim, 8)
      expect(shifted.test.logPValue).toBeCloseTo(plain.test.logPValue!, 6)
    }),
    { numRuns: 60 },
  )
})

test('the order of readings changes only what depends on it', () => {
  fc.assert(
    fc.property(tenAndMore!, fc.constantFrom('t', 'bootstrap'), (values, method) => {
      const resultFor = (ordered: readonly number[]) =>
        resultOf({
          claim: { parameter: 'mean', relation: 'at-least', value: 15 },
          evidence: { kind: 'readings', values: [...ordered] },
          test: { method: method as 't', resamples: 99 },
        })
      const [forwards, backwards] = [resultFor(values), resultFor(values.toReversed())]
      expect(backwards.sample.median).toBe(forwards.sample.median)
      if (method === 't') expect(backwards.test.logPValue).toBeCloseTo(forwards.test.logPValue!, 9)
      const unordered = ({ conditions }: CheckResult) =>
        conditions.filter(({ name }) => name === 'normality').map(({ state }) => state)
      expect(unordered(backwards)).toEqual(unordered(forwards))
    }),
    { numRuns: 60 },
  )
})

test('summaries say what readings say, of one spread and of two', () => {
  fc.assert(
    fc.property(readings, readings, reading, (first, second, value) => {
      const spread = (evidence: Evidence) =>
        resultOf({ claim: { parameter: 'variance', relation: 'at-most', value }, evidence })
      const ofReadings = spread({ kind: 'readings', values: first })
      const ofSummary = spread({ kind: 'summary', n: first.length, variance: ofReadings.sample.variance! })
      expect(ofSummary.test.logPValue).toBe(ofReadings.test.logPValue)
      const ratio = (evidence: Evidence) =>
        resultOf({ claim: { parameter: 'variance-ratio', relation: 'equal-to', value: 1 }, evidence })
      const two = ratio({ kind: 'two-readings', first, second })
      const summaries = ratio({
        kind: 'two-summaries',
        first: { n: first.length, variance: two.sample.first!.variance! },
        second: { n: second.length, variance: two.sample.second!.variance! },
      })
      expect(summaries.test.logPValue).toBe(two.test.logPValue)
      expect(summaries.interval).toEqual(two.interval)
    }),
    { numRuns: 60 },
  )
})

test('one-sided p-values of a continuous statistic add to 1', () => {
  fc.assert(
    fc.property(readings, reading, (values, value) => {
      const p = (alternative: 'less' | 'greater') =>
        resultOf({
          claim: { parameter: 'standard-deviation', relation: 'equal-to', value },
          evidence: { kind: 'readings', values },
          test: { alternative },
        }).test.pValue ?? 0
      expect(p('less') + p('greater')).toBeCloseTo(1, 12)
    }),
    { numRuns: 60 },
  )
})

test('the same seed gives the same resamples, another seed others', () => {
  const values = [14.93, 15.02, 14.88, 14.91, 14.97, 14.86, 15.1, 15.04, 14.9, 14.99]
  const interval = (seed: number) =>
    resultOf({
      claim: { parameter: 'mean', relation: 'at-least', value: 15 },
      evidence: { kind: 'readings', values },
      test: { method: 'bootstrap', seed },
    }).interval
  expect(interval(1)).toEqual(interval(1))
  expect(interval(2)).not.toEqual(interval(1))
})
