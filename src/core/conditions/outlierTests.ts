import { moments } from '../describe/moments'
import type { Moments } from '../describe/moments'
import { studentT } from '../distributions/studentT'
import { upperTail } from '../inference/tailProbability'

export const GRUBBS_LEAST = 3
/** Below this size Rosner's approximation is not accurate enough (Rosner 1983 studied 25 and more; fair from 15). */
const ESD_LEAST = 5
const MOST_OUTLIERS = 10

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
 */
export function grubbs(values: ArrayLike<number>, known: Moments): Grubbs {
  const { sampleSize: n, standardDeviation } = known
  const index = farthest(values, known)
  const g = distance(values[index]!, known) / standardDeviation!
  const room = (n - 1) ** 2 - n * g * g
  // At the largest g there can be the denominator is 0 but for rounding.
  if (room <= 1e-12 * n * n) return { g, index, pValue: 0 }
  const t = Math.sqrt((n * (n - 2) * g * g) / room)
  const tail = upperTail(studentT(n - 2).tails(t)).pValue ?? 0
  return { g, index, pValue: Math.min(1, 2 * n * tail) }
}

/**
 * The generalised extreme Studentised deviate test for up to ten outliers, and at most a fifth of the readings.
 *
 * @param significanceLevel - α, spread over the steps
 * @returns the indexes of the outliers, the farthest first
 * @see B. Rosner (1983), Technometrics 25, 165-172
 */
export function generalizedEsd(values: ArrayLike<number>, significanceLevel: number): readonly number[] {
  const n = values.length
  if (n < ESD_LEAST) return []
  const most = Math.min(MOST_OUTLIERS, Math.floor(n / 5))
  const left = Array.from({ length: n }, (_, i) => i)
  const removed: number[] = []
  let found = 0
  for (let step = 1; step <= most; step += 1) {
    const rest = left.map((i) => values[i]!)
    const known = moments(rest)
    if (!known.standardDeviation) break
    const place = farthest(rest, known)
    removed.push(left[place]!)
    left.splice(place, 1)
    const r = distance(rest[place]!, known) / known.standardDeviation
    if (r > criticalEsd(n, step, significanceLevel)) found = step
  }
  return removed.slice(0, found)
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
