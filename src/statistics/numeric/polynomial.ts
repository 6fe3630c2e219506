/**
 * c₀ + c₁x + c₂x² + …, by Horner's rule.
 *
 * @example
 * polynomial([1, 2, 3], 2) // 17
 */
export function polynomial(coefficients: readonly number[], x: number): number {
  return coefficients.reduceRight((sum, coefficient) => sum * x + coefficient, 0)
}
