/**
 * A sample quantile, by linear interpolation between order statistics.
 *
 * @param sorted - at least one reading, ascending
 * @param share - between 0 and 1
 * @param type - 7 for position (n − 1)p + 1, 6 for (n + 1)p, kept within 1 to n
 * @see R. Hyndman & Y. Fan (1996), American Statistician 50, 361-365, definitions 7 and 6
 */
export function sampleQuantile(sorted: ArrayLike<number>, share: number, type: 6 | 7 = 7): number {
  const n = sorted.length
  const position = type === 7 ? (n - 1) * share + 1 : (n + 1) * share
  const bounded = Math.min(Math.max(position, 1), n)
  const below = Math.floor(bounded)
  const weight = bounded - below
  const low = sorted[below - 1]!
  if (weight === 0) return low
  const high = sorted[below]!
  // By halves, since the difference of two readings can leave the range of a double.
  return low + 2 * (weight * (high / 2 - low / 2))
}

/** The middle of ascending readings, or of the two in the middle. */
export function median(sorted: ArrayLike<number>): number {
  return sampleQuantile(sorted, 0.5)
}
