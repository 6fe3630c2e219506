/** ln(eᵃ + eᵇ), without leaving the range of a double. */
export function logSum(a: number, b: number): number {
  const [small, large] = a < b ? [a, b] : [b, a]
  return small === -Infinity ? large : large + Math.log1p(Math.exp(small - large))
}
