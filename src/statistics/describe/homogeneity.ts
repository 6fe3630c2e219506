import { chiSquare } from '../distributions/chiSquare'
import { fDistribution } from '../distributions/fDistribution'
import type { Moments } from './moments'
import { compensatedSum } from '../numeric/compensatedSum'

/** Whether groups differ by more than chance, and by how much their means scatter beside the readings in each. */
export type Homogeneity = Readonly<{
  statistic: number
  /** Of F the first; of chi-square the only one. */
  df: number
  /** Of F the second: readings less groups. */
  dfWithin?: number
  pValue: number
  /** Of readings: the variance between the true means of groups, never below 0, and the one within groups. */
  betweenVariance?: number
  withinVariance?: number
}>

/**
 * The one-way analysis of variance of groups of readings: F = MS between / MS within; the variance between groups is
 * (MS between − MS within) / n₀, n₀ = (N − Σnᵢ²/N)/(k − 1), and 0 where that is below it.
 *
 * Assumes that the readings of all groups scatter alike about a mean of their own.
 *
 * @param groups - at least two, together with more readings than groups
 * @returns undefined where nothing scatters within groups
 * @see R. Fisher (1925), Statistical Methods for Research Workers; S. Searle, G. Casella & C. McCulloch (1992), Variance
 *   Components, 3.6
 * @example
 * oneWay([moments([1, 2, 3]), moments([2, 3, 4])]).statistic // 1.5
 */
export function oneWay(groups: readonly Moments[]): Homogeneity | undefined {
  const k = groups.length
  const total = groups.reduce((sum, { sampleSize }) => sum + sampleSize, 0)
  // Distances from one of the means keep the digits that large readings share.
  const { mean: origin, meanRemainder: rest } = groups[0]!
  const distances = groups.map(({ mean, meanRemainder }) => mean - origin + (meanRemainder - rest))
  const centre = compensatedSum(k, (i) => groups[i]!.sampleSize * distances[i]!) / total
  const between = compensatedSum(k, (i) => groups[i]!.sampleSize * (distances[i]! - centre) ** 2) / (k - 1)
  const dfWithin = total - k
  const within =
    compensatedSum(k, (i) => (groups[i]!.sampleSize - 1) * (groups[i]!.standardDeviation ?? 0) ** 2) /
    dfWithin
  if (!(within > 0)) return undefined
  const squares = groups.reduce((sum, { sampleSize }) => sum + sampleSize ** 2, 0)
  const size = (total - squares / total) / (k - 1)
  const df = k - 1
  const statistic = between / within
  return {
    ...{ statistic, df, dfWithin },
    pValue: fDistribution({ numerator: df, denominator: dfWithin }).tails(statistic).upper,
    betweenVariance: Math.max(0, (between - within) / size),
    withinVariance: within,
  }
}

/**
 * The chi-square test that groups of units have one share: Σ (xᵢ − nᵢ·p)² / (nᵢ·p·(1 − p)), p the share of all together, on k − 1
 * degrees of freedom.
 *
 * @param groups - at least two, each with at least one unit
 * @returns undefined where all units count, or none
 * @see K. Pearson (1900), Philosophical Magazine 50, 157-175
 * @example
 * homogeneityOfShares([{ n: 50, x: 10 }, { n: 50, x: 20 }]).statistic // 4.7619
 */
export function homogeneityOfShares(
  groups: readonly Readonly<{ n: number; x: number }>[],
): Homogeneity | undefined {
  const n = groups.reduce((sum, group) => sum + group.n, 0)
  const share = groups.reduce((sum, group) => sum + group.x, 0) / n
  if (share === 0 || share === 1) return undefined
  return ofCounts(groups.map((group) => (group.x - group.n * share) ** 2 / (group.n * share * (1 - share))))
}

/**
 * The chi-square test that groups of events have one rate: Σ (xᵢ − tᵢ·r)² / (tᵢ·r), r the rate of all together, on k − 1 degrees
 * of freedom.
 *
 * @param groups - at least two, each with an exposure above 0
 * @returns undefined where there are no events
 * @see R. Fisher (1925), Statistical Methods for Research Workers
 * @example
 * homogeneityOfRates([{ events: 3, exposure: 10 }, { events: 9, exposure: 10 }]).statistic // 3
 */
export function homogeneityOfRates(
  groups: readonly Readonly<{ events: number; exposure: number }>[],
): Homogeneity | undefined {
  const exposure = groups.reduce((sum, group) => sum + group.exposure, 0)
  const rate = groups.reduce((sum, group) => sum + group.events, 0) / exposure
  if (rate === 0) return undefined
  return ofCounts(
    groups.map((group) => (group.events - group.exposure * rate) ** 2 / (group.exposure * rate)),
  )
}

function ofCounts(terms: readonly number[]): Homogeneity {
  const statistic = compensatedSum(terms.length, (i) => terms[i]!)
  const df = terms.length - 1
  return { statistic, df, pValue: chiSquare(df).tails(statistic).upper }
}
