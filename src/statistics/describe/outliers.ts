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
  const taken: number[] = []
  let [from, to, found] = [0, n, 0]
  let near: Moments | undefined
  for (let step = 1; step <= max; step += 1) {
    const ends = [sorted[from]!, sorted[to - 1]!] as const
    const limit = criticalEsd(n, step, significanceLevel)
    const known = near && isClear(near, ends, limit) ? near : moments(sorted.subarray(from, to))
    if (!known.standardDeviation) break
    const [low, high] = ends
    const apart = distance(low, known) - distance(high, known)
    const isLow = apart > 0 || (apart === 0 && isBefore(values, ends))
    const one = isLow ? low : high
    taken.push(one)
    if (isLow) from += 1
    else to -= 1
    if (distance(one, known) / known.standardDeviation > limit) found = step
    near = without(known, one)
  }
  return indexesOf(values, taken.slice(0, found))
}

/** Part of a standard deviation, or of a limit, by which a figure has to stand apart where it was not summed anew. */
const CLEARANCE = 1e-9

/**
 * The moments of readings without one of them, from those with it: up to ten times in a row they are right to some twelve digits.
 *
 * @returns undefined where much of the spread went with it, and what is left would be rounding
 */
function without(known: Moments, value: number): Moments | undefined {
  const { sampleSize: n, mean, meanRemainder, standardDeviation } = known
  const apart = value - mean - meanRemainder
  const squares = n - 1 - ((apart / standardDeviation!) ** 2 * n) / (n - 1)
  if (!(squares > n / 2)) return undefined
  return {
    ...{ sampleSize: n - 1, mean, meanRemainder: meanRemainder - apart / (n - 1) },
    standardDeviation: standardDeviation! * Math.sqrt(squares / (n - 2)),
  }
}

/** Whether it is beyond doubt which end lies farther out, and on which side of the limit. */
function isClear(known: Moments, [low, high]: readonly [number, number], limit: number): boolean {
  const s = known.standardDeviation!
  const [below, above] = [distance(low, known) / s, distance(high, known) / s]
  return Math.abs(below - above) > CLEARANCE && Math.abs(Math.max(below, above) - limit) > CLEARANCE * limit
}

/** Of two ends that lie equally far out, whether the low one was taken earlier. */
function isBefore(values: ArrayLike<number>, [low, high]: readonly [number, number]): boolean {
  let index = 0
  while (values[index] !== low && values[index] !== high) index += 1
  return values[index] === low
}

/** Where values stand, each for itself where some are equal. */
function indexesOf(values: ArrayLike<number>, wanted: readonly number[]): readonly number[] {
  const indexes: number[] = []
  for (const value of wanted) {
    let index = 0
    while (values[index] !== value || indexes.includes(index)) index += 1
    indexes.push(index)
  }
  return indexes
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
