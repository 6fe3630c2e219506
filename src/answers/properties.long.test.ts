import fc from 'fast-check'
import { resultOf } from '@tests/reference/answers'
import type { CheckDocument } from '@/claims/terms/request'
import type { CheckResult } from '@/claims/result'

type Evidence = CheckDocument['evidence']
type Options = NonNullable<CheckDocument['test']>

const reading = fc.integer({ min: 1, max: 4000 }).map((k) => k / 100)
const readings = fc
  .array(reading, { minLength: 6, maxLength: 30 })
  .filter((values) => new Set(values).size > 2)
/** Enough of them to resample a mean or a median, and a spread. */
const [tenAndMore, thirtyAndMore] = [10, 30].map((minLength) =>
  fc.array(reading, { minLength, maxLength: minLength + 20 }).filter((values) => new Set(values).size > 2),
)
const resampled = (values: fc.Arbitrary<number[]>) =>
  values.map((list) => ({ kind: 'readings' as const, values: list }))
const level = fc.double({ min: 0.001, max: 0.4, noNaN: true })
const count = fc
  .tuple(fc.integer({ min: 1, max: 400 }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([n, share]) => ({ kind: 'count' as const, n, successes: Math.round(n * share) }))
const share = fc.integer({ min: 1, max: 999 }).map((k) => k / 1000)
const ofReadings = readings.map((values) => ({ kind: 'readings' as const, values }))
const ofTwo = fc
  .tuple(readings, readings)
  .map(([first, second]) => ({ kind: 'two-readings' as const, first, second }))

type OfReadings = fc.Arbitrary<Extract<Evidence, { kind: 'readings' }>>
const inLot = (evidence: OfReadings): OfReadings => evidence.map((one) => ({ ...one, lotSize: 40 }))
const measuredWith = (evidence: OfReadings): OfReadings =>
  fc
    .tuple(evidence, reading, fc.option(fc.integer({ min: 1, max: 60 }), { nil: undefined }))
    .map(([one, systematic, df]) => ({
      ...one,
      measurement: { systematic, ...(df === undefined ? {} : { degreesOfFreedom: df }) },
    }))
/** In three groups by turns, so that each has two or more. */
const inGroups = (evidence: OfReadings, as: 'cluster' | 'stratum'): OfReadings =>
  evidence.map((one) => {
    const groups = one.values.map((_, at) => ['a', 'b', 'c'][at % 3]!)
    return as === 'cluster'
      ? { ...one, cluster: groups }
      : { ...one, stratum: groups, strata: { a: 400, b: 90, c: 31 } }
  })
/** Rows that count or do not, of which each group has some of either. */
const marks = (as: 'cluster' | 'stratum'): fc.Arbitrary<Evidence> =>
  inGroups(
    fc
      .array(fc.constantFrom(0, 1), { minLength: 12, maxLength: 60 })
      .map((values) => [0, 0, 1, 1, 0, 0, 0, 1, 1, ...values])
      // Groups that are all alike tell nothing of how they differ.
      .filter((values) => {
        const sharesOf = [0, 1, 2].map((group) => values.filter((_, at) => at % 3 === group))
        return new Set(sharesOf.map((own) => own.reduce((sum, one) => sum + one, 0) / own.length)).size > 1
      })
      .map((values) => ({ kind: 'readings' as const, values })),
    as,
  )

/** Every method whose two-sided test has an interval that mirrors it, with evidence and values to claim. */
const MIRRORED: readonly (readonly [
  string,
  CheckDocument['claim']['parameter'],
  Options,
  fc.Arbitrary<Evidence>,
  fc.Arbitrary<number>,
])[] = [
  ['t', 'mean', { method: 't' }, ofReadings, reading],
  ['z', 'mean', { method: 'z', knownStandardDeviation: 3 }, ofReadings, reading],
  ['chi-square', 'standard-deviation', { method: 'chi-square' }, ofReadings, reading],
  ['chi-square of a variance', 'variance', { method: 'chi-square' }, ofReadings, reading],
  ['Bonett', 'standard-deviation', { method: 'bonett' }, ofReadings, reading],
  ['F', 'variance-ratio', { method: 'f' }, ofTwo, reading.map((value) => value / 10)],
  ['score z', 'proportion', { method: 'score-z', interval: 'wilson' }, count, share],
  [
    'score z, corrected',
    'proportion',
    { method: 'score-z', continuityCorrection: true, interval: 'wilson-corrected' },
    count,
    share,
  ],
  [
    'exact binomial',
    'proportion',
    { method: 'exact-binomial', twoSidedRule: 'doubled', interval: 'clopper-pearson' },
    count,
    share,
  ],
  [
    'bootstrap of a median',
    'median',
    { method: 'bootstrap', resamples: 199 },
    resampled(tenAndMore!),
    reading,
  ],
  [
    'bootstrap of a spread',
    'standard-deviation',
    { method: 'bootstrap', resamples: 199 },
    resampled(thirtyAndMore!),
    reading.map((value) => value / 2),
  ],
  ['t in a finite lot', 'mean', { method: 't', finiteLot: true }, inLot(ofReadings), reading],
  [
    't allowing for the measurement',
    'mean',
    { method: 't', allowForMeasurement: true },
    measuredWith(ofReadings),
    reading,
  ],
  ['t by clusters', 'mean', { method: 'cluster-t' }, inGroups(ofReadings, 'cluster'), reading],
  ['t by layers', 'mean', { method: 'stratified-t' }, inGroups(ofReadings, 'stratum'), reading],
  ['t by clusters of a share', 'proportion', { method: 'cluster-t' }, marks('cluster'), share],
  ['t by layers of a share', 'proportion', { method: 'stratified-t' }, marks('stratum'), share],
  [
    'hypergeometric',
    'proportion',
    { method: 'hypergeometric' },
    count.map((sample) => ({ ...sample, lotSize: 500 })),
    share,
  ],
]

test('the normal test of a share rejects at α exactly when its interval leaves the claimed share out', () => {
  fc.assert(
    fc.property(ofReadings, reading, share, level, (evidence, value, claimed, significanceLevel) => {
      const result = resultOf({
        claim: {
          parameter: 'proportion',
          relation: 'equal-to',
          value: claimed,
          limit: { side: 'at-least', value },
        },
        evidence,
        test: { method: 'normal-share', significanceLevel },
      })
      if (Math.abs((result.test.pValue ?? 0) / significanceLevel - 1) < 1e-8) return
      expect(result.test.decision === 'rejected').toBe(result.interval?.holdsClaimedValue === false)
      expect(new Set(result.test.ways.map(({ rejects }) => rejects)).size).toBe(1)
    }),
    { numRuns: 60 },
  )
})

/** So near to the edge a double cannot tell the sides apart. */
const isOnTheEdge = ({ test }: CheckResult) =>
  Math.abs((test.pValue ?? 0) / test.significanceLevel - 1) < 1e-9

test.each(MIRRORED)(
  '%s rejects at α exactly when the 1 − α interval leaves the claimed value out',
  (_, parameter, options, evidence, value) => {
    fc.assert(
      fc.property(
        evidence,
        value,
        level,
        fc.constantFrom('less', 'greater', 'two-sided'),
        (sample, claimed, significanceLevel, alternative) => {
          const intervalSides = ({ less: 'upper', greater: 'lower', 'two-sided': 'two-sided' } as const)[
            alternative as 'less'
          ]
          const result = resultOf({
            claim: { parameter, relation: 'equal-to', value: claimed },
            evidence: sample,
            test: { ...options, significanceLevel, alternative: alternative as 'less', intervalSides },
          })
          if (isOnTheEdge(result)) return
          // A bootstrap's end may lie beyond every resample; then nothing is rejected on that side.
          expect(result.test.decision === 'rejected').toBe(result.interval?.holdsClaimedValue === false)
          expect(new Set(result.test.ways.map(({ rejects }) => rejects)).size).toBe(1)
        },
      ),
      { numRuns: 150 },
    )
  },
)

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
