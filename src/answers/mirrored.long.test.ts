import fc from 'fast-check'
import { resultOf } from '@tests/reference/answers'
import type { CheckDocument } from '@/claims/terms/request'
import {
  type Evidence,
  reading,
  ofReadings,
  ofTwo,
  count,
  share,
  resampled,
  tenAndMore,
  thirtyAndMore,
  level,
  isOnTheEdge,
} from '@tests/arbitraries'

type Options = NonNullable<CheckDocument['test']>

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
