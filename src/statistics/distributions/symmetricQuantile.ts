import { solveFalling } from '../numeric/newton'
import type { Tail } from './tails'

/** From this tail probability inwards the middle is solved for, since ln of the tail says little about x near 0. */
const MIDDLE_FROM = 0.2

/**
 * The quantile of a distribution that is symmetric about 0.
 *
 * @param input.middle - P(0 < X < x), for x > 0
 * @param input.logUpper - ln P(X > x), for x > 0
 * @param input.density - the density, for x > 0
 * @returns x with a relative error near that of the functions given; 0 for a probability of exactly one half
 * @example
 * symmetricQuantile({
 *   probability: 0.025,
 *   tail: 'upper',
 *   middle: (x) => 0.5 - normal.tails(x).upper,
 *   logUpper: (x) => normal.tails(x).logUpper,
 *   density: normal.density,
 * })
 * // 1.95996
 */
export function symmetricQuantile(
  input: Readonly<{
    probability: number
    tail: Tail
    middle: (x: number) => number
    logUpper: (x: number) => number
    density: (x: number) => number
  }>,
): number {
  const { probability, tail } = input
  // 1 − p is exact for p ≥ ½ (Sterbenz), so nothing is lost by looking from the other end.
  const beyond = probability > 0.5 ? 1 - probability : probability
  const size = beyond > MIDDLE_FROM ? solveMiddle(input, 0.5 - beyond) : solveTail(input, Math.log(beyond))
  if (size === 0) return 0
  return (tail === 'upper') === probability <= 0.5 ? size : -size
}

type Half = Readonly<{
  middle: (x: number) => number
  logUpper: (x: number) => number
  density: (x: number) => number
}>

/** The middle rises and bends down, so Newton's steps from 0 climb to the root without passing it. */
function solveMiddle({ middle, density }: Half, target: number): number {
  let x = 0
  for (let step = 0; step < 60; step += 1) {
    const next = x + (target - middle(x)) / density(x)
    if (Math.abs(next - x) <= 1e-16 * Math.abs(next)) return next
    x = next
  }
  return x
}

function solveTail({ logUpper, density }: Half, logTarget: number): number {
  return solveFalling({
    value: (x) => logUpper(x) - logTarget,
    slope: (x) => -x * density(x) * Math.exp(-logUpper(x)),
    start: Math.sqrt(-2 * logTarget),
  })
}
