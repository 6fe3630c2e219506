import { normal } from '../distributions/normal'
import { tailProbability } from '../inference/tailProbability'
import { compensatedSum } from '../numeric/compensatedSum'
import type { Moments } from './moments'
import { median } from './quantile'

export type Runs = Readonly<{ runs: number; z: number; pValue: number }>

/**
 * The runs test about the median: whether readings above and below it alternate as chance would have them.
 *
 * Readings equal to the median are dropped; two-sided, without continuity correction.
 *
 * @param values - readings in the order in which they were taken
 * @returns nothing where no two readings on different sides are left, or no spread of the count
 * @see A. Wald & J. Wolfowitz (1940), Annals of Mathematical Statistics 11, 147-162
 * @example
 * runsTest([1, 2, 3, 7, 8, 9], [1, 2, 3, 7, 8, 9])
 * // { runs: 2, z: -1.82574, pValue: 0.0678892 }
 */
export function runsTest(values: ArrayLike<number>, sorted: ArrayLike<number>): Runs | undefined {
  const middle = median(sorted)
  let [above, below, runs, last] = [0, 0, 0, 0]
  for (let i = 0; i < values.length; i += 1) {
    const side = Math.sign(values[i]! - middle)
    if (side === 0) continue
    if (side > 0) above += 1
    else below += 1
    if (side !== last) runs += 1
    last = side
  }
  const n = above + below
  const pairs = 2 * above * below
  if (pairs <= n) return undefined
  const expected = pairs / n + 1
  const variance = ((pairs / n) * ((pairs - n) / n)) / (n - 1)
  const z = (runs - expected) / Math.sqrt(variance)
  return { runs, z, pValue: tailProbability(normal, z, 'two-sided').pValue ?? 0 }
}

/**
 * How far each reading resembles the one before: Σ(xᵢ − x̄)(xᵢ₊₁ − x̄) / Σ(xᵢ − x̄)².
 *
 * @returns nothing where the readings have no spread
 * @see NIST Statistical Reference Datasets, univariate summary statistics
 * @example
 * lag1Autocorrelation([1, 2, 3, 4], moments([1, 2, 3, 4])) // 0.25
 */
export function lag1Autocorrelation(
  values: ArrayLike<number>,
  { sampleSize: n, mean, meanRemainder, standardDeviation }: Moments,
): number | undefined {
  if (!standardDeviation) return undefined
  const deviation = (i: number) => (values[i]! - mean - meanRemainder) / standardDeviation
  return compensatedSum(n - 1, (i) => deviation(i) * deviation(i + 1)) / (n - 1)
}
