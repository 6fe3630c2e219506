import { noncentralT } from '../distributions/noncentralT'
import { normal } from '../distributions/normal'
import { criticalLimits } from '../inference/pivot'
import type { PowerQuestion } from './question'

/**
 * The power of the test of a share of items by their readings, of a normal population: what the noncentral t distribution of
 * the true share leaves beyond the limits of that of the claimed one.
 *
 * @param question.value, question.truth - shares between 0 and 1; n ≥ 2
 * @see D. Owen (1968), Technometrics 10, 445-478
 * @example
 * powerOfNormalShare({ n: 50, value: 0.95, truth: 0.85, alternative: 'less', significanceLevel: 0.05 })
 * // 0.930001
 */
export function powerOfNormalShare(question: PowerQuestion): number {
  const { n, value, truth, alternative, significanceLevel } = question
  const shareAt = (share: number) =>
    noncentralT({
      degreesOfFreedom: n - 1,
      noncentrality: Math.sqrt(n) * normal.quantile(share, 'lower'),
    })
  const { lower, upper } = criticalLimits(shareAt(value), alternative, significanceLevel)
  const { tails } = shareAt(truth)
  return (lower === undefined ? 0 : tails(lower).lower) + (upper === undefined ? 0 : tails(upper).upper)
}
