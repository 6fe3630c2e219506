import { moments } from './moments'
import { compensatedSum } from '../numeric/compensatedSum'

/** Which group each value belongs to: places in a list of groups, from 0. */
export type Groups = Readonly<{ codes: ArrayLike<number>; count: number }>

/** A mean of readings taken in clusters, and how it scatters. */
export type ClusterMean = Readonly<{
  mean: number
  meanRemainder: number
  /** Σ (yᵢ − R·nᵢ)² over the clusters. */
  squares: number
  /** √v, without a factor for the lot. */
  standardError: number
  /** v over what readings taken one by one would have; absent where they do not scatter. */
  designEffect?: number
  /** A value for each cluster, taken one by one: their mean and its standard error are the same. */
  linearised: readonly number[]
}>

/**
 * The mean of readings taken in clusters, by the ratio estimator: R = Σyᵢ / Σnᵢ, with the variance
 * m/(m − 1) · Σ(yᵢ − R·nᵢ)² / (Σnᵢ)² of m clusters.
 *
 * @param values - in one unit; at least two of the groups have one
 * @see W. Cochran (1977), Sampling Techniques, 6.4 and 9A
 * @example
 * clusterMean([1, 2, 3, 6], { codes: [0, 0, 1, 1], count: 2 }).standardError // 1.5
 */
export function clusterMean(values: ArrayLike<number>, { codes, count: m }: Groups): ClusterMean {
  const { sampleSize: n, mean, meanRemainder, variance } = moments(values)
  const totals = sumsByGroup(values.length, { codes, count: m }, (i) => values[i]! - mean - meanRemainder)
  const squares = compensatedSum(m, (group) => totals[group]! ** 2)
  const v = ((m / (m - 1)) * squares) / n / n
  return {
    mean,
    meanRemainder,
    squares,
    standardError: Math.sqrt(v),
    ...(variance ? { designEffect: (v / variance) * n } : {}),
    linearised: Array.from(totals, (total) => mean + (m / n) * total),
  }
}

/** Compensated as one sum is, for each group. */
function sumsByGroup(
  length: number,
  { codes, count }: Groups,
  term: (index: number) => number,
): Float64Array {
  const [sums, lost] = [new Float64Array(count), new Float64Array(count)]
  for (let i = 0; i < length; i += 1) {
    const group = codes[i]!
    const sum = sums[group]!
    const value = term(i)
    const next = sum + value
    const part = next - sum
    lost[group]! += sum - (next - part) + (value - part)
    sums[group] = next
  }
  return sums.map((sum, group) => sum + lost[group]!)
}
