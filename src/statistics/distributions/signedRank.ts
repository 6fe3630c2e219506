import { memoized } from '../numeric/memoized'
import { type Discrete, discreteQuantile } from './discrete'
import { type Tails, tailsFromLog } from './tails'

/**
 * Wilcoxon's signed-rank distribution: the sum of those of the ranks 1 to n that carry a positive sign, when each sign
 * is as likely as the other.
 *
 * @param n - ranks, whole, ≥ 1; the work grows as its cube
 * @see F. Wilcoxon (1945), Biometrics Bulletin 1, 80-83; M. Hollander & D. Wolfe (1999), Nonparametric Statistical
 *   Methods, 3.1
 * @example
 * signedRank(10).tails(8).lower // 0.0244141
 */
export const signedRank = (n: number): Discrete => sumOfSigned(Array.from({ length: n }, (_, at) => at + 1))

/**
 * The same of any whole numbers in the place of the ranks: of ranks that are tied, twice their middle ranks.
 *
 * Exact, by counting sign patterns; both tails summed from their own end.
 *
 * @param ranks - whole, ≥ 1
 * @see M. Hollander & D. Wolfe (1999), Nonparametric Statistical Methods, 3.1, the conditional distribution given ties
 * @example
 * sumOfSigned([4, 4, 4]).tails(11).upper // 0.125
 */
export function sumOfSigned(ranks: readonly number[]): Discrete {
  const max = ranks.reduce((sum, rank) => sum + rank, 0)
  const below = cumulative(ranks.join())
  const tails = (k: number): Tails => {
    const whole = Math.floor(k)
    if (whole < 0) return tailsFromLog(-Infinity, 'lower')
    if (whole >= max) return tailsFromLog(-Infinity, 'upper')
    // The distribution is symmetric: P(W > k) = P(W ≤ most − k − 1).
    const isLower = whole < max - whole
    const log = Math.log(below[isLower ? whole : max - whole - 1]!)
    return tailsFromLog(log, isLower ? 'lower' : 'upper')
  }
  const mass = (k: number) => {
    if (!Number.isInteger(k) || k < 0 || k > max) return 0
    const near = Math.min(k, max - k)
    return below[near]! - (near === 0 ? 0 : below[near - 1]!)
  }
  return {
    mass,
    tails,
    quantile: (probability, tail) => discreteQuantile({ probability, tail, tails, min: 0, max }),
  }
}

/** P(W ≤ k) for k from 0 to the sum of the ranks. */
const cumulative = memoized(8, (listed: string): Float64Array => {
  const ranks = listed.split(',').map(Number)
  const mass = new Float64Array(ranks.reduce((sum, rank) => sum + rank, 0) + 1)
  mass[0] = 1
  let largestSum = 0
  for (const rank of ranks) {
    largestSum += rank
    for (let sum = largestSum; sum >= rank; sum -= 1) mass[sum] = (mass[sum]! + mass[sum - rank]!) / 2
    for (let sum = rank - 1; sum >= 0; sum -= 1) mass[sum] = mass[sum]! / 2
  }
  for (let sum = 1; sum < mass.length; sum += 1) mass[sum] = mass[sum]! + mass[sum - 1]!
  return mass
})
