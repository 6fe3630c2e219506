import { firstWhole } from '../numeric/wholeSearch'
import type { Tail, Tails } from './tails'

/** What every discrete distribution of the core can say, of whole numbers k: P(X ≤ k) below, P(X > k) above. */
export type Discrete = Readonly<{
  mass: (k: number) => number
  tails: (k: number) => Tails
  /** The smallest k with P(X ≤ k) ≥ p for the lower tail, with P(X > k) ≤ p for the upper. */
  quantile: (probability: number, tail: Tail) => number
}>

/** Steps of a distribution that a probability meets exactly, but for the rounding of the tails. */
const ROUNDING = 1e-14

/**
 * The quantile of a discrete distribution, by halving its support.
 *
 * @param input.min, input.max - the ends of the support
 * @example
 * discreteQuantile({
 *   probability: 0.05,
 *   tail: 'lower',
 *   tails: (k) => binomial({ trials: 20, probability: 0.5 }).tails(k),
 *   min: 0,
 *   max: 20,
 * })
 * // 6
 */
export function discreteQuantile(
  input: Readonly<{
    probability: number
    tail: Tail
    tails: (k: number) => Tails
    min: number
    max: number
  }>,
): number {
  const { probability, tail, tails } = input
  const isReached = (k: number) =>
    tail === 'lower'
      ? tails(k).lower >= probability * (1 - ROUNDING)
      : tails(k).upper <= probability * (1 + ROUNDING)
  return firstWhole(isReached, input.min, input.max)
}
