/** So many decimals show that values a step apart differ. */
export function decimalsOfStep(step: number): number {
  return Math.max(0, -Math.floor(Math.log10(step) + 1e-9))
}
