/**
 * The first whole number in a range from which on a condition holds, by halving; `high` where it holds nowhere before.
 *
 * @param isReached - false, then true as its argument rises
 * @example
 * firstWhole((whole) => whole * whole >= 50, 0, 100) // 8
 */
export function firstWhole(isReached: (whole: number) => boolean, low: number, high: number): number {
  let [before, reached] = [low - 1, high]
  while (reached - before > 1) {
    const middle = Math.floor((before + reached) / 2)
    if (isReached(middle)) reached = middle
    else before = middle
  }
  return reached
}

/**
 * The last whole number in a range up to which a condition holds; `low` where it holds nowhere after.
 *
 * @example
 * lastWhole((whole) => whole * whole <= 50, 0, 100) // 7
 */
export function lastWhole(holds: (whole: number) => boolean, low: number, high: number): number {
  // Subtracted, since the negative of 0 is another zero.
  return 0 - firstWhole((negated) => holds(0 - negated), -high, -low)
}
