import { moments } from './moments'
import type { Moments } from './moments'
import { studentT } from '../distributions/studentT'
import { upperTail } from '../inference/tailProbability'

export const GRUBBS_LEAST = 3
/** Below this size Rosner's approximation is not accurate enough (Rosner 1983 studied 25 and more; fair from 15). */
const ESD_LEAST = 5
const MAX_OUTLIERS = 10
/** Part of n² below which what is left of it is rounding. */
const ROUNDING = 1e-12

export type Grubbs = Readonly<{
  /** The largest distance from the mean, in standard deviations. */
  g: number
  /** Whose reading that is, from 0. */
  index: number
  /** Two-sided, by Bonferroni's bound: exact where it is small. */
  pValue: number
}>

/**
 * Grubbs' test for one outlier on either side.
 *
 * @param values - at least three readings, not all equal
 * @see F. Grubbs (1969), Technometrics 11, 1-21
 * @example
 * grubbs([1, 2, 3, 4, 20], moments([1, 2, 3, 4, 20]))
 * // { g: 1.77088, index: 4, pValue: 0.00603851 }
 */
export function grubbs(values: ArrayLike<number>, known: Moments): Grubbs {
  const { sampleSize: n, standardDeviation } = known
  const index = farthest(values, known)
  const g = distance(values[index]!, known) / standardDeviation!
  const room = (n - 1) ** 2 - n * g * g
  // At the largest g there can be the denominator is 0 but for rounding.
  if (room <= ROUNDING * n * n) return { g, index, pValue: 0 }
  const t = Math.sqrt((n * (n - 2) * g * g) / room)
  const tail = upperTail(studentT(n - 2).tails(t)).pValue ?? 0
  return { g, index, pValue: Math.min(1, 2 * n * tail) }
}

/**
 * The generalised extreme Studentised deviate test for up to ten outliers, and at most a fifth of the readings.
 *
 * @param sorted - the same readings, ascending: the farthest from their mean is always the first or the last
 * @param significanceLevel - α, spread over the steps
 * @returns the indexes of the outliers, the farthest first
 * @see B. Rosner (1983), Technometrics 25, 165-172
 * @example
 * generalizedEsd([1, 2, 3, 4, 90, 5], Float64Array.of(1, 2, 3, 4, 5, 90), 0.05) // [4]
 */
export function generalizedEsd(
  values: ArrayLike<number>,
  sorted: Float64Array,
  significanceLevel: number,
): readonly number[] {
  const n = values.length
  if (n < ESD_LEAST) return []
  const max = Math.min(MAX_OUTLIERS, Math.floor(n / 5))
  const removed: number[] = []
  let [from, to, found] = [0, n, 0]
  for (let step = 1; step <= max; step += 1) {
    const known = moments(sorted.subarray(from, to))
    if (!known.standardDeviation) break
    const [low, high] = [sorted[from]!, sorted[to - 1]!]
    const apart = distance(low, known) - distance(high, known)
    const [first, last] = [indexOf(values, low, removed), indexOf(values, high, removed)]
    const isLow = apart > 0 || (apart === 0 && first < last)
    removed.push(isLow ? first : last)
    const r = distance(isLow ? low : high, known) / known.standardDeviation
    if (isLow) from += 1
    else to -= 1
    if (r > criticalEsd(n, step, significanceLevel)) found = step
  }
  return removed.slice(0, found)
}

/** The first index of a value that is not among those removed. */
function indexOf(values: ArrayLike<number>, value: number, removed: readonly number[]): number {
  let index = 0
  while (values[index] !== value || removed.includes(index)) index += 1
  return index
}

/** λᵢ; it depends on n, the step and the level alone. */
function criticalEsd(n: number, step: number, significanceLevel: number): number {
  const df = n - step - 1
  const t = studentT(df).quantile(significanceLevel / (2 * (n - step + 1)), 'upper')
  return ((n - step) * t) / Math.sqrt((df + t * t) * (n - step + 1))
}

function distance(value: number, { mean, meanRemainder }: Moments): number {
  return Math.abs(value - mean - meanRemainder)
}

function farthest(values: ArrayLike<number>, known: Moments): number {
  let index = 0
  for (let i = 1; i < values.length; i += 1) {
    if (distance(values[i]!, known) > distance(values[index]!, known)) index = i
  }
  return index
}
