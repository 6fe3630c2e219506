/** How many of some values lie in each of as many stretches of one width. */
export type Binned = Readonly<{ from: number; width: number; counts: readonly number[] }>

/**
 * Values counted in a number of stretches of one width, from the least to the greatest of them.
 *
 * @param values - at least one
 * @example
 * binned([1, 2, 2.5, 5], 4) // { from: 1, width: 1, counts: [1, 2, 0, 1] }
 */
export function binned(values: ArrayLike<number>, count: number): Binned {
  let [from, to] = [Infinity, -Infinity]
  for (let i = 0; i < values.length; i += 1) {
    from = Math.min(from, values[i]!)
    to = Math.max(to, values[i]!)
  }
  const width = (to - from) / count
  const counts = new Array<number>(count).fill(0)
  for (let i = 0; i < values.length; i += 1) {
    const place = width > 0 ? Math.floor((values[i]! - from) / width) : 0
    counts[Math.min(count - 1, place)]! += 1
  }
  return { from, width, counts }
}
