import { interquartileRange } from './quantile'

/**
 * The width of a histogram's bins: 2 IQR n^(−1/3), or where the IQR is 0 Sturges' range / ⌈1 + log₂ n⌉.
 *
 * @returns 0 where all readings are equal
 * @see D. Freedman & P. Diaconis (1981), Zeitschrift für Wahrscheinlichkeitstheorie 57, 453-476; H. Sturges (1926),
 *   J. American Statistical Association 21, 65-66
 * @example
 * binWidth([1, 2, 3, 4, 5, 6, 7, 8]) // 3.5
 */
export function binWidth(sorted: ArrayLike<number>): number {
  const n = sorted.length
  const range = interquartileRange(sorted)
  if (range > 0) return (2 * range) / Math.cbrt(n)
  return (sorted[n - 1]! - sorted[0]!) / Math.ceil(1 + Math.log2(n))
}

export type Bin = Readonly<{ from: number; to: number; count: number }>

/** More bins than any picture has room for. */
const MAX_BINS = 1000

/**
 * Counts readings in bins of one width, which start at a whole multiple of it; a reading on an edge counts upwards.
 *
 * @param width - above 0; made wider where it would take more than a thousand bins
 * @example
 * histogram([1, 2, 2.5, 4], 2)
 * // [{ from: 0, to: 2, count: 1 }, { from: 2, to: 4, count: 2 }, { from: 4, to: 6, count: 1 }]
 */
export function histogram(sorted: ArrayLike<number>, width: number): readonly Bin[] {
  const [min, max] = [sorted[0]!, sorted[sorted.length - 1]!]
  const wide = Math.max(width, (max - min) / MAX_BINS)
  if (!(wide > 0)) return [{ from: min, to: max, count: sorted.length }]
  const start = Math.floor(min / wide)
  const counts = new Array<number>(Math.floor(max / wide) - start + 1).fill(0)
  for (let i = 0; i < sorted.length; i += 1) counts[Math.floor(sorted[i]! / wide) - start]! += 1
  return counts.map((count, i) => ({ from: (start + i) * wide, to: (start + i + 1) * wide, count }))
}
