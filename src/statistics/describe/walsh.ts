/**
 * The k-th smallest of the averages (xᵢ + xⱼ)/2, i ≤ j, without making them all.
 *
 * Halves the doubles between the least and the greatest reading, counting the averages up to each in one sweep.
 *
 * @param sorted - ascending readings
 * @param k - from 1 to n(n + 1)/2
 * @see M. Hollander & D. Wolfe (1999), Nonparametric Statistical Methods, 3.2
 * @example
 * walshAverage(Float64Array.of(1, 2, 4), 2) // 1.5
 */
export function walshAverage(sorted: Float64Array, k: number): number {
  let [below, reached] = [orderOf(sorted[0]!) - 1n, orderOf(sorted.at(-1)!)]
  while (reached - below > 1n) {
    const middle = (below + reached) >> 1n
    if (countUpTo(sorted, doubleAt(middle)) >= k) reached = middle
    else below = middle
  }
  return doubleAt(reached)
}

/**
 * The median of the averages of all pairs: Hodges and Lehmann's estimate of the centre.
 *
 * @example
 * walshMedian(Float64Array.of(1, 2, 4)) // 2.25
 */
export function walshMedian(sorted: Float64Array): number {
  const pairs = (sorted.length * (sorted.length + 1)) / 2
  const low = walshAverage(sorted, Math.ceil(pairs / 2))
  return pairs % 2 === 1 ? low : low / 2 + walshAverage(sorted, pairs / 2 + 1) / 2
}

function countUpTo(sorted: Float64Array, limit: number): number {
  let count = 0
  let last = sorted.length - 1
  for (let first = 0; first < sorted.length; first += 1) {
    while (last >= first && sorted[first]! / 2 + sorted[last]! / 2 > limit) last -= 1
    if (last < first) break
    count += last - first + 1
  }
  return count
}

const bits = new DataView(new ArrayBuffer(8))

/** The place of a double among all doubles, in their order. */
function orderOf(value: number): bigint {
  bits.setFloat64(0, value)
  const pattern = bits.getBigInt64(0)
  return pattern < 0n ? -(pattern & 0x7fffffffffffffffn) : pattern
}

function doubleAt(order: bigint): number {
  bits.setBigInt64(0, order < 0n ? -order : order)
  return order < 0n ? -bits.getFloat64(0) : bits.getFloat64(0)
}
