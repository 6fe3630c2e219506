/** A size of sample from which on a power holds, and the first that reached it. */
export type StableSize = Readonly<{ firstN: number; n: number; power: number }>

/**
 * The sizes for a power that goes up and down from unit to unit.
 *
 * @param input.powerAt - asked of 1, 2, 3, … in this order
 * @param input.power - the power wanted
 * @param input.max - the most units that are looked at
 * @param input.isAll - whether there are no more units than these
 * @returns the first n that reaches the power, and the smallest from which on it holds, looked at up to twice as many and 100
 *   units more; nothing where `max` units do not tell
 * @example
 * stableSize({ powerAt: (n) => (n % 2 === 0 ? 1 : n / 10), power: 0.5, max: 1000 }) // { firstN: 2, n: 4, power: 1 }
 */
export function stableSize(
  input: Readonly<{ powerAt: (n: number) => number; power: number; max: number; isAll?: boolean }>,
): StableSize | undefined {
  const { powerAt, power: wanted, max, isAll = false } = input
  let [firstN, lastShort, powerAfter] = [0, 0, 0]
  for (let n = 1; n <= max; n += 1) {
    const power = powerAt(n)
    if (power < wanted) {
      lastShort = n
    } else {
      firstN ||= n
      if (n === lastShort + 1) powerAfter = power
    }
    // As many units again, to see that the power holds.
    if (firstN > 0 && n > 2 * lastShort + 100) return { firstN, n: lastShort + 1, power: powerAfter }
  }
  return isAll && lastShort < max ? { firstN, n: lastShort + 1, power: powerAfter } : undefined
}
