import { chiSquare } from '../distributions/chiSquare'
import type { PowerQuestion } from './question'
import { inTails } from './meanPower'

/**
 * The power of the chi-square test of a spread: χ² beyond the critical values times σ₀² / σ².
 *
 * @param question.value, question.truth - standard deviations
 * @see NIST/SEMATECH e-Handbook of Statistical Methods, 7.2.3
 * @example
 * powerOfChiSquare({ n: 24, value: 0.1, truth: 0.15, alternative: 'greater', significanceLevel: 0.05 })
 * // 0.870556
 */
export function powerOfChiSquare(question: PowerQuestion): number {
  const { n, value, truth, alternative, significanceLevel } = question
  const { tails, quantile } = chiSquare(n - 1)
  const tail = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  const ratio = (value / truth) ** 2
  return inTails(
    alternative,
    () => tails(quantile(tail, 'lower') * ratio).lower,
    () => tails(quantile(tail, 'upper') * ratio).upper,
  )
}
