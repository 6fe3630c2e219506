import { type Ends, ends, type IntervalOf, MIRRORED_SIDES } from './interval'
import type { PointQuestion } from './procedure'

/**
 * The estimates at which the decision would turn if every reading were shifted alike: the value, moved by what lies
 * between the estimate and the end of the interval that mirrors the test.
 *
 * @example
 * shiftedLimits({
 *   interval: () => ({ lower: 14.88, upper: 14.98 }),
 *   estimate: 14.93,
 *   question: { value: 15, alternative: 'two-sided', significanceLevel: 0.05 },
 * })
 * // { lower: 14.95, upper: 15.05 }
 */
export function shiftedLimits(
  input: Readonly<{ interval: IntervalOf; estimate: number; question: PointQuestion }>,
): Ends {
  const { interval, estimate, question } = input
  const { value, alternative, significanceLevel } = question
  const { lower, upper } = interval({ beyond: significanceLevel, sides: MIRRORED_SIDES[alternative] })
  const moved = (end: number | undefined) => (end === undefined ? undefined : value + (estimate - end))
  return ends({ lower: moved(upper), upper: moved(lower) })
}
