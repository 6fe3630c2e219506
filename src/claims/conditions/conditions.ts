import { type Appearance, appearanceOf } from '@/statistics/describe/describe'
import type { MethodDefinition } from '../terms/definition'
import { type MeasuredSample, type Sample, SMALL_SHARE, unitsTaken } from '../terms/sample'
import { type Condition, conditions } from '../terms/condition'
import { LARGE_SAMPLE, normality, symmetry } from './populationShape'

/** Expected successes and failures from which the normal distribution stands in for the count: common practice. */
export const EXPECTED_COUNT = 10
/** Below this p-value the order of readings is pointed out: common practice, no source. */
const UNUSUAL = 0.01

/** What of a method the conditions depend on. */
type Resting = Pick<MethodDefinition, 'restsOn' | 'needsExpectedCounts'>

/**
 * What a test rests on, as far as it can be told from the figures.
 *
 * @param input.claimedValues - the value claimed, or the two limits of a tolerance
 */
export function conditionsFor(
  input: Readonly<{ sample: Sample; method: Resting; claimedValues: readonly number[] }>,
): readonly Condition[] {
  const { sample, method, claimedValues } = input
  const shared = [randomSample(sample), independence(sample)]
  switch (sample.kind) {
    case 'measured':
      return [...shared, ...measuredConditions(sample.measured, method)]
    case 'counted':
      return [...shared, expectedCounts(sample.counted.sampleSize, method, claimedValues)]
    case 'two':
      return [
        ...shared,
        ...(['first', 'second'] as const).flatMap((of) =>
          measuredConditions(sample.two[of], method).map((condition) => ({ ...condition, of })),
        ),
      ]
    default:
      return sample satisfies never
  }
}

function measuredConditions(sample: MeasuredSample, { restsOn: need }: Resting): readonly Condition[] {
  const { values, sorted, sampleSize: n, mean } = sample
  const described =
    values && sorted && mean !== undefined
      ? appearanceOf({ values, sorted, known: { ...sample, mean }, normality: 'one-test' })
      : undefined
  const size = { n, largeFrom: LARGE_SAMPLE }
  return [
    ...(described ? order(described) : []),
    ...(need === 'symmetry' ? [symmetry(n, described)] : []),
    ...(need === 'mean' || need === 'readings' ? [normality({ n, need, described })] : []),
    ...(need === 'mean'
      ? [n >= LARGE_SAMPLE ? conditions.sampleLarge(size) : conditions.sampleSmall(size)]
      : []),
    ...(described?.conditions.grubbs ? [outliers(described, sample)] : []),
  ]
}

function randomSample({ drawn }: Sample): Condition {
  if (drawn === undefined) return conditions.randomUnknown()
  return drawn === 'random' ? conditions.randomStated() : conditions.notRandom()
}

function independence(sample: Sample): Condition {
  const n = unitsTaken(sample)
  const { lotSize, independence: stated } = sample
  const lot = lotSize === undefined ? undefined : { n, lotSize, share: n / lotSize }
  if (stated === 'not-independent') return conditions.notIndependent(lot ?? { n })
  if (!lot) return stated ? conditions.independentStated(n) : conditions.independenceUnknown(n)
  if (lot.share <= SMALL_SHARE) return stated ? conditions.smallShareStated(lot) : conditions.smallShare(lot)
  return stated ? conditions.largeShareStated(lot) : conditions.largeShare(lot)
}

/** Whether the readings, as they stand, look like chance: it says something only if that is how they were taken. */
function order({ conditions: { runs }, lag1Autocorrelation }: Appearance): readonly Condition[] {
  if (!runs || lag1Autocorrelation === undefined) return []
  const figures = { runs: runs.runs, z: runs.z, p: runs.pValue, lag1: lag1Autocorrelation }
  return [runs.pValue >= UNUSUAL ? conditions.orderUsual(figures) : conditions.orderUnusual(figures)]
}

function outliers(described: Appearance, { places }: MeasuredSample): Condition {
  const { grubbs, generalizedEsd } = described.conditions
  const found = generalizedEsd?.outliers ?? []
  const readings = found.map((index) => places?.[index] ?? index).toSorted((a, b) => a - b)
  const figures = {
    outliers: found.length,
    beyondFences: described.beyondFences.length,
    ...(grubbs ? { g: grubbs.g, p: grubbs.pValue } : {}),
  }
  return {
    ...(found.length === 0 ? conditions.noOutliers(figures) : conditions.outliers(figures)),
    readings,
  }
}

function expectedCounts(n: number, method: Resting, claimedValues: readonly number[]): Condition {
  const least = leastExpectedCount(n, claimedValues)
  const figures = { least, needed: EXPECTED_COUNT }
  if (least >= EXPECTED_COUNT) return conditions.countsEnough(figures)
  return method.needsExpectedCounts ? conditions.countsFew(figures) : conditions.countsFewButExact(figures)
}

/** The smallest of n·p₀ and n·(1 − p₀), without what 1 − p₀ loses in floating point. */
export function leastExpectedCount(n: number, claimedValues: readonly number[]): number {
  const counts = claimedValues.flatMap((value) => [n * value, n * (1 - value)])
  return Number(Math.min(...counts).toPrecision(12))
}
