import { binomial } from '../distributions/binomial'
import { noncentralT } from '../distributions/noncentralT'
import { normal } from '../distributions/normal'
import { firstWhole, lastWhole } from '../numeric/wholeSearch'
import { isWithin } from './tailProbability'

/** So large a sample is looked for at most. */
const MAX_NEEDED = 1e9

/** A share of the items, and the probability that a limit may hold less of them than that. */
export type ToleranceQuestion = Readonly<{
  n: number
  /** Between 0 and 1. */
  share: number
  /** 1 − the confidence. */
  beyond: number
}>

/**
 * The factor k of a one-sided tolerance limit of a normal population: with the confidence at least the share of items lies
 * above x̄ − k·s.
 *
 * k = t'(n − 1, √n·z) / √n, the quantile of the noncentral t distribution, n ≥ 2.
 *
 * @see D. Owen (1968), Technometrics 10, 445-478; ISO 16269-6:2014
 * @example
 * toleranceFactor({ n: 10, share: 0.95, beyond: 0.05 }) // 2.91096
 */
export function toleranceFactor({ n, share, beyond }: ToleranceQuestion): number {
  const noncentrality = Math.sqrt(n) * normal.quantile(share, 'lower')
  return noncentralT({ degreesOfFreedom: n - 1, noncentrality }).quantile(beyond, 'upper') / Math.sqrt(n)
}

/**
 * Which reading, counted from the end of a sample, is a tolerance limit whatever the population: the largest r for which
 * P(Binomial(n, 1 − share) ≥ r) is the confidence or more.
 *
 * @returns the rank; or the size of sample from which on the outermost reading is such a limit, where n is too small
 * @see S. Wilks (1941), Annals of Mathematical Statistics 12, 91-96; ISO 16269-6:2014
 * @example
 * toleranceRank({ n: 100, share: 0.95, beyond: 0.05 }) // { rank: 2 }
 */
export function toleranceRank({
  n,
  share,
  beyond,
}: ToleranceQuestion): Readonly<{ rank: number }> | Readonly<{ neededN: number | undefined }> {
  // Fewer than r of n lie outside where more than n − r lie inside.
  const { tails } = binomial({ trials: n, probability: share })
  const rank = lastWhole((r) => r === 0 || isWithin(tails(n - r).upper, beyond), 0, n)
  if (rank > 0) return { rank }
  const reaches = (size: number) => isWithin(Math.exp(size * Math.log(share)), beyond)
  return { neededN: reaches(MAX_NEEDED) ? firstWhole(reaches, n, MAX_NEEDED) : undefined }
}
