const SPLITTER = 2 ** 27 + 1

/**
 * What rounding takes from a product: a·b less the double nearest to it, exactly.
 *
 * @param a, b - well inside the range of a double, below 1e290 in size
 * @see T. Dekker (1971), Numerische Mathematik 18, 224-242
 * @example
 * productRemainder(1 + 2 ** -30, 1 + 2 ** -30) // 8.67362e-19
 */
export function productRemainder(a: number, b: number): number {
  const product = a * b
  const [highA, lowA] = halves(a)
  const [highB, lowB] = halves(b)
  return lowA * lowB - (product - highA * highB - lowA * highB - highA * lowB)
}

function halves(value: number): readonly [number, number] {
  const scaled = SPLITTER * value
  const high = scaled - (scaled - value)
  return [high, value - high]
}
