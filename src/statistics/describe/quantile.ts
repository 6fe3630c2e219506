/**
 * A sample quantile, by linear interpolation between order statistics.
 *
 * @param sorted - at least one reading, ascending
 * @param share - between 0 and 1
 * @param type - 7 for position (n − 1)p + 1, 6 for (n + 1)p, kept within 1 to n
 * @see R. Hyndman & Y. Fan (1996), American Statistician 50, 361-365, definitions 7 and 6
 * @example
 * sampleQuantile([1, 2, 3, 4], 0.25) // 1.75
 */
export function sampleQuantile(sorted: ArrayLike<number>, share: number, type: 6 | 7 = 7): number {
  const { low, part } = quantileParts(sorted, share, type)
  return low + part
}

/**
 * The first and the third quartile.
 *
 * @example
 * quartilesOf([1, 2, 3, 4], 6) // [1.25, 3.75]
 */
export function quartilesOf(sorted: ArrayLike<number>, type: 6 | 7 = 7): readonly [number, number] {
  return [sampleQuantile(sorted, 0.25, type), sampleQuantile(sorted, 0.75, type)]
}

/**
 * The distance between the quartiles (type 7), with the digits that readings close to one another would lose if each
 * quartile were rounded first.
 *
 * @example
 * interquartileRange([1, 2, 3, 4]) // 1.5
 */
export function interquartileRange(sorted: ArrayLike<number>): number {
  const [first, third] = [quantileParts(sorted, 0.25, 7), quantileParts(sorted, 0.75, 7)]
  return third.low - first.low + (third.part - first.part)
}

/** The order statistic at or below the place of a quantile, and what is to be added to it. */
function quantileParts(sorted: ArrayLike<number>, share: number, type: 6 | 7): { low: number; part: number } {
  const n = sorted.length
  const position = type === 7 ? (n - 1) * share + 1 : (n + 1) * share
  const bounded = Math.min(Math.max(position, 1), n)
  const below = Math.floor(bounded)
  const weight = bounded - below
  const low = sorted[below - 1]!
  if (weight === 0) return { low, part: 0 }
  const high = sorted[below]!
  // By halves, since the difference of two readings can leave the range of a double.
  return { low, part: 2 * (weight * (high / 2 - low / 2)) }
}

/**
 * The middle of ascending readings, or of the two in the middle.
 *
 * @example
 * median([1, 2, 3, 4]) // 2.5
 */
export function median(sorted: ArrayLike<number>): number {
  return sampleQuantile(sorted, 0.5)
}
