export const ADJUSTMENTS = ['holm', 'benjamini-hochberg'] as const
export type Adjustment = (typeof ADJUSTMENTS)[number]

/**
 * Adjusts the p-values of several claims that are tested together, so that each can still be compared with α.
 *
 * Holm keeps the chance of even one false rejection at α or below: the k-th smallest of m is multiplied by m − k + 1.
 * Benjamini and Hochberg keep the expected share of false rejections there: the k-th smallest is multiplied by m / k.
 * Each is at most 1, and no smaller one is left above a larger.
 *
 * @param pValues - each between 0 and 1
 * @returns the adjusted p-values, in the order given
 * @see S. Holm (1979), Scandinavian J. of Statistics 6, 65-70; Y. Benjamini & Y. Hochberg (1995), J. Royal Statistical
 *   Society B 57, 289-300
 * @example
 * adjustPValues([0.01, 0.04, 0.03], 'holm') // [0.03, 0.06, 0.06]
 */
export function adjustPValues(pValues: readonly number[], adjustment: Adjustment): readonly number[] {
  const count = pValues.length
  const ascending = pValues.map((_, index) => index).sort((a, b) => pValues[a]! - pValues[b]!)
  const adjusted = new Array<number>(count)
  const isHolm = adjustment === 'holm'
  let bound = isHolm ? 0 : 1
  for (const [step, index] of (isHolm ? ascending : ascending.toReversed()).entries()) {
    const factor = isHolm ? count - step : count / (count - step)
    const raised = Math.min(1, factor * pValues[index]!)
    bound = isHolm ? Math.max(bound, raised) : Math.min(bound, raised)
    adjusted[index] = bound
  }
  return adjusted
}
