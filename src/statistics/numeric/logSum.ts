/**
 * ln(eᵃ + eᵇ), without leaving the range of a double.
 *
 * @example
 * logSum(Math.log(0.2), Math.log(0.3)) // -0.693147
 */
export function logSum(a: number, b: number): number {
  const [small, large] = a < b ? [a, b] : [b, a]
  return small === -Infinity ? large : large + Math.log1p(Math.exp(small - large))
}
