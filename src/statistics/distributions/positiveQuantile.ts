import { memoized } from '../numeric/memoized'
import { solveFalling } from '../numeric/newton'
import type { Tail, Tails } from './tails'

/** More points than a root takes. */
const POINTS = 512

/**
 * The quantile of a distribution on x > 0, from whichever tail is the smaller.
 *
 * @param input.tails - both tails at x
 * @param input.logDensity - ln of the density at x
 * @param input.start - a point near the middle, positive
 * @returns x, with a relative error near that of the functions given
 * @example
 * positiveQuantile({
 *   probability: 0.05,
 *   tail: 'upper',
 *   tails: (x) => tailsFromLog(-x, 'upper'),
 *   logDensity: (x) => -x,
 *   start: 1,
 * })
 * // 2.99573
 */
export function positiveQuantile(
  input: Readonly<{
    probability: number
    tail: Tail
    tails: (x: number) => Tails
    logDensity: (x: number) => number
    start: number
  }>,
): number {
  const { probability, tail, tails, logDensity, start } = input
  // 1 − p is exact for p ≥ ½ (Sterbenz), so nothing is lost by looking from the other end.
  const isNear = probability <= 0.5
  const target = Math.log(isNear ? probability : 1 - probability)
  const isUpper = (tail === 'upper') === isNear
  // The bracket, the step and its slope ask for the same points.
  const logTail = memoized(POINTS, (x: number) => (isUpper ? tails(x).logUpper : tails(x).logLower))
  return solveFalling({
    value: (x) => (isUpper ? logTail(x) - target : target - logTail(x)),
    slope: (x) => -x * Math.exp(logDensity(x) - logTail(x)),
    start,
  })
}
