import { normal } from '../distributions/normal'
import { exactSizes, powerOfExact } from './sharePower'
import type { PowerQuestion } from './question'

type MedianQuestion = PowerQuestion & Readonly<{ standardDeviation: number }>

/**
 * The power of the sign test of a median, of readings from a normal population: that of the exact binomial test of ½ against the
 * chance of a reading above the claimed value.
 *
 * @param question.value, question.truth - medians, in the unit of the readings
 * @param question.standardDeviation - σ of the readings, the true one
 * @see W. Conover (1999), Practical Nonparametric Statistics, 3.4
 * @example
 * powerOfSign({
 *   n: 20,
 *   value: 15,
 *   truth: 14.9,
 *   alternative: 'less',
 *   significanceLevel: 0.05,
 *   standardDeviation: 0.11,
 * })
 * // 0.859854
 */
export function powerOfSign(question: MedianQuestion): number {
  return powerOfExact({ ...question, ...asShare(question) })
}

/**
 * The sample sizes for a power of the sign test, as `exactSizes` has them.
 *
 * @example
 * signSizes({
 *   value: 15,
 *   truth: 14.9,
 *   alternative: 'less',
 *   significanceLevel: 0.05,
 *   standardDeviation: 0.11,
 *   power: 0.9,
 * })
 * // { firstN: 18, n: 21, power: 0.928702 }
 */
export function signSizes(
  input: Omit<MedianQuestion, 'n'> & Readonly<{ power: number }>,
): ReturnType<typeof exactSizes> {
  return exactSizes({ ...input, ...asShare(input) })
}

/** No chance that a double holds is smaller. */
const LEAST = 1e-300
const OTHER_SIDE = { less: 'greater', greater: 'less', 'two-sided': 'two-sided' } as const

/** The median as the share of readings above the claimed value, or below it, whichever is the smaller and so exact to the last digit. */
function asShare({
  value,
  truth,
  standardDeviation,
  alternative,
}: Pick<MedianQuestion, 'value' | 'truth' | 'standardDeviation' | 'alternative'>) {
  const { lower, upper } = normal.tails((value - truth) / standardDeviation)
  const isAbove = upper <= lower
  return {
    value: 0.5,
    truth: Math.max(LEAST, Math.min(lower, upper)),
    alternative: isAbove ? alternative : OTHER_SIDE[alternative],
  }
}
