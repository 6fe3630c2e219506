import { fDistribution } from '../distributions/fDistribution'
import { inTails } from './meanPower'
import type { PowerQuestion } from './question'

/**
 * The power of the F test of a ratio of two variances, with as many readings from either: F beyond the critical values times
 * ratio₀ / ratio.
 *
 * @param question.n - readings from each of the two, n ≥ 2
 * @param question.value, question.truth - ratios of variances above 0
 * @see NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.9; the power by the definition of the F distribution
 * @example
 * powerOfF({ n: 20, value: 1, truth: 3, alternative: 'greater', significanceLevel: 0.05 }) // 0.757067
 */
export function powerOfF(question: PowerQuestion): number {
  const { n, value, truth, alternative, significanceLevel } = question
  const { tails, quantile } = fDistribution({ numerator: n - 1, denominator: n - 1 })
  const tail = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  const ratio = value / truth
  return inTails(
    alternative,
    () => tails(quantile(tail, 'lower') * ratio).lower,
    () => tails(quantile(tail, 'upper') * ratio).upper,
  )
}
