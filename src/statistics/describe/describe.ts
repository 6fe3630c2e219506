import { ANDERSON_DARLING_LEAST, type AndersonDarling, andersonDarling } from './andersonDarling'
import { generalizedEsd, type Grubbs, grubbs, GRUBBS_LEAST } from './outliers'
import { SHAPIRO_WILK_SIZES, type ShapiroWilk, shapiroWilk } from './shapiroWilk'
import { binWidth } from './bins'
import { beyondFences, tukeyFences } from './fences'
import { type Moments, moments } from './moments'
import { lag1Autocorrelation, type Runs, runsTest } from './order'
import { median, quartilesOf } from './quantile'
import { type Shape, shape } from './shape'

/** The level at which outliers are looked for. */
const OUTLIER_LEVEL = 0.05

/** What the conditions of a method are judged by. A figure that readings are too few or too equal for is absent. */
export type Appearance = Shape &
  Readonly<{
    lag1Autocorrelation?: number
    fences: readonly [number, number]
    /** Indexes of readings strictly beyond the fences. */
    beyondFences: readonly number[]
    conditions: Readonly<{
      shapiroWilk?: ShapiroWilk
      andersonDarling?: AndersonDarling
      grubbs?: Grubbs
      generalizedEsd?: Readonly<{ outliers: readonly number[] }>
      runs?: Runs
    }>
  }>

/** What readings look like. */
export type Description = Appearance &
  Readonly<{
    n: number
    mean: number
    standardDeviation?: number
    variance?: number
    standardError?: number
    min: number
    max: number
    median: number
    /** The first and the third, by Hyndman and Fan's type 7. */
    quartiles: readonly [number, number]
    quartilesType6: readonly [number, number]
    /** Not scaled. */
    medianAbsoluteDeviation: number
    binWidth: number
  }>

/** A description without what rests on the order of the readings, and without tests. */
export type ShortDescription = Omit<Description, 'lag1Autocorrelation' | 'conditions'>

/**
 * Describes readings: centre, spread, shape, order, and the tests that the conditions of a method rest on.
 *
 * @param values - at least one finite number, all in one unit, in the order in which they were taken
 * @example
 * describe([14.9, 15.1, 15, 14.8]).standardError // 0.0645497
 */
export function describe(values: readonly number[]): Description {
  const sorted = Float64Array.from(values).sort()
  const known = moments(values)
  return {
    ...shortDescription({ values, sorted, known }),
    ...appearanceOf({ values, sorted, known, normality: 'all-tests' }),
  }
}

/**
 * Describes readings by centre, spread, shape and fences only: quick for a million of them.
 *
 * @param values - at least one finite number, all in one unit
 * @param sorted - the same, ascending
 * @example
 * describeShortly([14.9, 15.1, 15, 14.8], Float64Array.of(14.8, 14.9, 15, 15.1)).quartiles
 * // [14.875, 15.025]
 */
export function describeShortly(values: readonly number[], sorted: Float64Array): ShortDescription {
  return shortDescription({ values, sorted, known: moments(values) })
}

function shortDescription({ values, sorted, known }: Omit<Looked, 'normality'>): ShortDescription {
  const quartiles = quartilesOf(sorted)
  const middle = median(sorted)
  const fences = tukeyFences(quartiles)
  const { sampleSize: n, mean, standardDeviation, variance } = known
  return {
    n,
    mean,
    ...(standardDeviation === undefined
      ? {}
      : { standardDeviation, standardError: standardDeviation / Math.sqrt(n) }),
    ...(variance === undefined ? {} : { variance }),
    min: sorted[0]!,
    max: sorted[n - 1]!,
    median: middle,
    quartiles,
    quartilesType6: quartilesOf(sorted, 6),
    medianAbsoluteDeviation: median(sorted.map((value) => Math.abs(value - middle)).sort()),
    binWidth: binWidth(sorted),
    ...shape(values, known),
    fences: [fences.low, fences.high],
    beyondFences: beyondFences(values, fences),
  }
}

/**
 * Shape, order, fences, and the tests of normality, outliers and order that the readings allow.
 *
 * @param input.sorted - the same readings, ascending
 * @param input.known - their moments
 * @param input.normality - every test that they allow, or none
 * @example
 * appearanceOf({
 *   values: [14.9, 15.1, 15, 14.8, 17],
 *   sorted: Float64Array.of(14.8, 14.9, 15, 15.1, 17),
 *   known: moments([14.9, 15.1, 15, 14.8, 17]),
 *   normality: 'none',
 * }).beyondFences
 * // [4]
 */
export function appearanceOf(input: Looked): Appearance {
  const { values, sorted, known } = input
  const fences = tukeyFences(quartilesOf(sorted))
  return {
    ...shape(values, known),
    ...optional('lag1Autocorrelation', lag1Autocorrelation(values, known)),
    fences: [fences.low, fences.high],
    beyondFences: beyondFences(values, fences),
    conditions: conditionsOf(input),
  }
}

type Looked = Readonly<{
  values: ArrayLike<number>
  sorted: Float64Array
  known: Moments
  normality: 'all-tests' | 'none'
}>

function conditionsOf({ values, sorted, known, normality }: Looked): Appearance['conditions'] {
  const { sampleSize: n, standardDeviation } = known
  if (!standardDeviation) return {}
  const isAsked = normality === 'all-tests'
  const isForShapiroWilk = isAsked && n >= SHAPIRO_WILK_SIZES.min && n <= SHAPIRO_WILK_SIZES.max
  const isForAndersonDarling = isAsked && n >= ANDERSON_DARLING_LEAST
  return {
    ...(isForShapiroWilk ? { shapiroWilk: shapiroWilk(sorted) } : {}),
    ...(isForAndersonDarling ? { andersonDarling: andersonDarling(sorted, known) } : {}),
    ...(n >= GRUBBS_LEAST
      ? {
          grubbs: grubbs(values, known),
          generalizedEsd: { outliers: generalizedEsd(values, sorted, OUTLIER_LEVEL) },
        }
      : {}),
    ...optional('runs', runsTest(values, sorted)),
  }
}

function optional<K extends string, V>(key: K, value: V | undefined): Partial<Record<K, V>> {
  return value === undefined ? {} : ({ [key]: value } as Record<K, V>)
}
