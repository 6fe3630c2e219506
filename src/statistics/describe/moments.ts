import { compensatedTotal } from '../numeric/compensatedSum'

/** Below and above these sizes squares of readings could leave the range of a double. */
const SMALL = 2 ** -300
const LARGE = 2 ** 300

export type Moments = Readonly<{
  sampleSize: number
  /** The mean, rounded to a double. */
  mean: number
  /** What rounding took from the mean: `mean + meanRemainder` has about 32 digits. */
  meanRemainder: number
  /** Divisor n − 1, in the readings' unit; absent for fewer than two readings. */
  standardDeviation?: number
  /** In the unit squared; absent for fewer than two readings, and where it leaves the range of a double. */
  variance?: number
}>

/**
 * Mean, standard deviation and variance of readings.
 *
 * Two passes with compensated sums, so that the figures are right to the last digit or two even where the
 * readings share many leading digits.
 *
 * @param values - at least one finite number, all in one unit
 * @see T. Chan, G. Golub & R. LeVeque (1983), Algorithms for Computing the Sample Variance
 * @example
 * moments([14.9, 15.1, 15, 14.8]).standardDeviation // 0.129099
 */
export function moments(values: ArrayLike<number>): Moments {
  const sampleSize = values.length
  const scale = scaleFor(values)
  const scaled = new Float64Array(sampleSize)
  for (let i = 0; i < sampleSize; i += 1) scaled[i] = values[i]! / scale
  const terms = new Float64Array(sampleSize)
  const high = compensatedTotal(scaled) / sampleSize
  for (let i = 0; i < sampleSize; i += 1) terms[i] = scaled[i]! - high
  const low = compensatedTotal(terms) / sampleSize
  const centre = { sampleSize, mean: high * scale, meanRemainder: low * scale }
  if (sampleSize < 2) return centre

  for (let i = 0; i < sampleSize; i += 1) terms[i] = (scaled[i]! - high - low) ** 2
  const scaledVariance = compensatedTotal(terms) / (sampleSize - 1)
  return { ...centre, ...spread(Math.sqrt(scaledVariance) * scale, scaledVariance * scale * scale) }
}

/**
 * Both figures of spread, without a variance that left the range of a double.
 *
 * @example
 * spread(0.1, 0.01) // { standardDeviation: 0.1, variance: 0.01 }
 */
export function spread(
  standardDeviation: number,
  variance: number,
): Pick<Moments, 'standardDeviation' | 'variance'> {
  const isInRange = Number.isFinite(variance) && variance > 0 === standardDeviation > 0
  return isInRange ? { standardDeviation, variance } : { standardDeviation }
}

/** Of a double with all its digits. */
const [SMALLEST_EXPONENT, LARGEST_EXPONENT] = [-1022, 1023]

/** 1 for ordinary readings, else near the largest of them. A power of two, so that scaling rounds nothing. */
function scaleFor(values: ArrayLike<number>): number {
  let largest = 0
  for (let i = 0; i < values.length; i += 1) largest = Math.max(largest, Math.abs(values[i]!))
  if (largest === 0 || (largest > SMALL && largest < LARGE)) return 1
  return 2 ** Math.min(LARGEST_EXPONENT, Math.max(SMALLEST_EXPONENT, Math.floor(Math.log2(largest))))
}

/** So many units in the last place come from reading, adding and subtracting decimals. */
const ROUNDING = 8 * Number.EPSILON

/**
 * A gap between two figures: none where it is no more than reading decimals into doubles explains.
 *
 * @example
 * gapOf(0.1 + 0.2 - 0.3, [0.3, 0.3]) // 0
 */
export function gapOf(gap: number, figures: readonly number[]): number {
  return Math.abs(gap) <= ROUNDING * Math.max(...figures.map(Math.abs)) ? 0 : gap
}
