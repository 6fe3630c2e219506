import { type Appearance, appearanceOf } from '@/statistics/describe/describe'
import { type Moments, moments } from '@/statistics/describe/moments'
import type { MethodDefinition } from '../terms/definition'
import { type MeasuredSample, type Sample, SMALL_SHARE, unitsTaken } from '../terms/sample'
import { type Condition, conditions } from '../terms/condition'
import { countsAbout } from '../median/differences'
import { eventConditions } from './events'
import { asGrouped, isTakenAsClusters, linearisedOf } from './grouped'
import { measurementConditions } from './measurement'
import { normality, symmetry } from './populationShape'
import { FAR, levelWithCorrelation, stateOf, type Tested } from './trueLevel'

/** Expected successes and failures from which the normal distribution stands in for the count: common practice. */
export const EXPECTED_COUNT = 10
/** Below this p-value the order of readings is pointed out: common practice, no source. */
const UNUSUAL = 0.05

/** What of a method the conditions depend on. */
type Resting = Pick<
  MethodDefinition,
  'name' | 'needs' | 'restsOn' | 'needsExpectedCounts' | 'leavesOutEqual'
> &
  Readonly<{ allowsForLot: boolean }>

/**
 * What a test rests on, as far as it can be told from the figures.
 *
 * @param input.claimedValues - the value claimed, or the two limits of a tolerance
 */
export function conditionsFor(
  input: Readonly<{ sample: Sample; method: Resting; claimedValues: readonly number[]; tested: Tested }>,
): readonly Condition[] {
  const { sample, method, claimedValues, tested } = input
  const shared = [
    randomSample(sample),
    ...asGrouped(sample, method),
    ...(isTakenAsClusters(sample, method) ? [] : [independence(sample)]),
    ...shareOfLot(sample, method),
  ]
  const linearised = linearisedOf(sample, method)
  switch (sample.kind) {
    case 'measured':
      return [
        ...shared,
        ...(linearised
          ? groupedShape(linearised, tested)
          : measuredConditions(sample.measured, method, tested)),
        ...measurementConditions(sample),
        ...(method.leavesOutEqual ? equalReadings(sample.measured, claimedValues) : []),
      ]
    case 'counted':
      return [
        ...shared,
        ...(linearised
          ? groupedShape(linearised, tested)
          : [expectedCounts(sample.counted.sampleSize, method, claimedValues)]),
      ]
    case 'limited':
      return [
        ...shared,
        ...(linearised
          ? groupedShape(linearised, tested)
          : method.restsOn === 'none'
            ? [expectedCounts(sample.measured.sampleSize, method, claimedValues)]
            : measuredConditions(sample.measured, method, tested)),
        ...measurementConditions(sample),
      ]
    case 'events':
      return [...shared, ...eventConditions(sample.events, method, claimedValues)]
    case 'two':
      return [
        ...shared,
        ...(['first', 'second'] as const).flatMap((of) =>
          measuredConditions(sample.two[of], method, tested).map((condition) => ({ ...condition, of })),
        ),
      ]
    default:
      return sample satisfies never
  }
}

/** The shape of the totals or of the layers, as of readings taken one by one that come to the same mean and standard error. */
function groupedShape(values: readonly number[], tested: Tested): readonly Condition[] {
  const sample = { ...moments(values), values, sorted: Float64Array.from(values).sort() }
  const shape = normality({
    n: values.length,
    need: 'mean',
    described: appearanceIn(sample),
    tested,
    isSpreadKnown: false,
  })
  return [shape.code === 'shape-of-mean' ? conditions.shapeOfGroups(shape.figures, shape.state) : shape]
}

function measuredConditions(sample: MeasuredSample, method: Resting, tested: Tested): readonly Condition[] {
  const { sampleSize: n, all, setAside } = sample
  const need = method.restsOn
  const described = appearanceIn(sample)
  const whole = all && { ...moments(all), values: all, sorted: Float64Array.from(all).sort() }
  const before = whole ? shapeConditions(whole, appearanceIn(whole), { method, tested }) : []
  return [
    ...(described ? order(described, n, need === 'mean' ? tested : undefined) : []),
    ...(need === 'symmetry' ? [symmetry(n, described)] : []),
    ...shapeConditions(sample, described, { method, tested }).map((condition) =>
      setAside === 0
        ? condition
        : afterSettingAside(
            condition,
            setAside,
            before.find(({ name }) => name === condition.name),
          ),
    ),
  ]
}

type Seen = Pick<MeasuredSample, 'sampleSize' | 'values' | 'sorted' | 'places'> &
  Omit<Moments, 'mean'> &
  Readonly<{ mean?: number }>

function appearanceIn({ values, sorted, mean, ...known }: Seen): Appearance | undefined {
  return values && sorted && mean !== undefined
    ? appearanceOf({ values, sorted, known: { ...known, mean }, normality: 'none' })
    : undefined
}

/** Of the shape of the readings, and of those that stand out. */
function shapeConditions(
  sample: Seen,
  described: Appearance | undefined,
  { method: { name, restsOn: need }, tested }: Readonly<{ method: Resting; tested: Tested }>,
): readonly Condition[] {
  const judged = { n: sample.sampleSize, need, described, tested, isSpreadKnown: name === 'z' }
  return [
    ...(need === 'mean' || need === 'readings' ? [normality(judged)] : []),
    ...(described?.conditions.grubbs ? [outliers(described, sample)] : []),
  ]
}

/** What is set aside first bears on what is seen: it is said, with what was seen before. */
function afterSettingAside(condition: Condition, setAside: number, before: Condition | undefined): Condition {
  return {
    ...condition,
    figures: { ...condition.figures, setAside },
    ...(before ? { withSetAside: { state: before.state, figures: before.figures } } : {}),
  } as Condition
}

function randomSample({ drawn }: Sample): Condition {
  if (drawn === undefined) return conditions.randomUnknown()
  return drawn === 'random' ? conditions.randomStated() : conditions.notRandom()
}

/** Only whoever took the units can say. */
function independence(sample: Sample): Condition {
  const isTotal = sample.kind === 'events' && !sample.events.stretches
  const n = isTotal ? {} : { n: unitsTaken(sample) }
  switch (sample.independence) {
    case 'independent':
      return conditions.independentStated(n)
    case 'not-independent':
      return conditions.notIndependent(n)
    default:
      return conditions.independenceUnknown(n)
  }
}

function shareOfLot(sample: Sample, { allowsForLot }: Resting): readonly Condition[] {
  const { lotSize } = sample
  if (lotSize === undefined || allowsForLot) return []
  const n = unitsTaken(sample)
  const lot = { n, lotSize, share: n / lotSize }
  return [lot.share <= SMALL_SHARE ? conditions.smallShare(lot) : conditions.largeShare(lot)]
}

/**
 * Whether the readings, as they stand, look like chance: it says something only if that is how they were taken.
 *
 * @param tested - of a test of a mean, whose level a correlation changes
 */
function order(
  { conditions: { runs }, lag1Autocorrelation: lag1 }: Appearance,
  n: number,
  tested: Tested | undefined,
): readonly Condition[] {
  if (!runs || lag1 === undefined) return []
  const bound = FAR / Math.sqrt(n)
  const isCorrelated = tested !== undefined && lag1 > 0
  const seen = isCorrelated ? levelWithCorrelation(tested, lag1) : 0
  const figures = {
    n,
    runs: runs.runs,
    z: runs.z,
    p: runs.pValue,
    lag1,
    bound,
    ...(isCorrelated
      ? { effectiveN: (n * (1 - lag1)) / (1 + lag1), level: seen, stated: tested.significanceLevel }
      : {}),
  }
  const isUsual = runs.pValue >= UNUSUAL && Math.abs(lag1) <= bound
  if (isUsual) {
    const far = tested ? levelWithCorrelation(tested, lag1 + bound) : 1
    const isMet = tested !== undefined && stateOf({ seen, far }, tested.significanceLevel) === 'met'
    return [conditions.orderUsual(figures, isMet ? 'met' : 'no-sign')]
  }
  const isBroken = isCorrelated && stateOf({ seen, far: 1 }, tested.significanceLevel) === 'not-met'
  return [conditions.orderUnusual(figures, isBroken ? 'not-met' : 'doubtful')]
}

/** A test that leaves out readings equal to the claimed value says of the others where they lie, and not where the median does. */
function equalReadings(
  { values = [], sampleSize: n }: MeasuredSample,
  claimedValues: readonly number[],
): readonly Condition[] {
  const equal = Math.max(...claimedValues.map((value) => countsAbout(values, value).equal))
  return equal === 0 ? [] : [conditions.equalLeftOut({ equal, n })]
}

function outliers(described: Appearance, { places }: Pick<Seen, 'places'>): Condition {
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
