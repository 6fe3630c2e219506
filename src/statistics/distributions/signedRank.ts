import { memoized } from '../numeric/memoized'
import { type Discrete, discreteQuantile } from './discrete'
import { type Tails, tailsFromLog } from './tails'

/**
 * Wilcoxon's signed-rank distribution: the sum of those of the ranks 1 to n that carry a positive sign, when each sign
 * is as likely as the other.
 *
 * Exact, by counting sign patterns; both tails summed from their own end.
 *
 * @param n - ranks, whole, ≥ 1; the work grows as its cube
 * @see F. Wilcoxon (1945), Biometrics Bulletin 1, 80-83; M. Hollander & D. Wolfe (1999), Nonparametric Statistical
 *   Methods, 3.1
 * @example
 * signedRank(10).tails(8).lower // 0.0244141
 */
export function signedRank(n: number): Discrete {
  const max = (n * (n + 1)) / 2
  const below = cumulative(n)
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

/** P(W ≤ k) for k = 0 to n(n + 1)/2. */
const cumulative = memoized(8, (n: number): Float64Array => {
  const mass = new Float64Array((n * (n + 1)) / 2 + 1)
  mass[0] = 1
  let largestSum = 0
  for (let rank = 1; rank <= n; rank += 1) {
    largestSum += rank
    for (let sum = largestSum; sum >= rank; sum -= 1) mass[sum] = (mass[sum]! + mass[sum - rank]!) / 2
    for (let sum = rank - 1; sum >= 0; sum -= 1) mass[sum] = mass[sum]! / 2
  }
  for (let sum = 1; sum < mass.length; sum += 1) mass[sum] = mass[sum]! + mass[sum - 1]!
  return mass
})
