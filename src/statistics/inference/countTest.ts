import type { Alternative } from './alternative'
import { firstWhole, lastWhole } from '../numeric/wholeSearch'
import type { NamedDistribution } from '../distributions/named'
import { type Ends, ends } from './interval'
import { isAtOrBeyond, type PointQuestion, type PointTest } from './procedure'
import { doubled, doubledSmaller, isWithin, type TailProbability } from './tailProbability'

/** A tail below it is the smaller one, however the sums round. */
const SURELY_SMALLER = 0.49

/** The p-value of a count, by the alternative's own rule; rises to 1 at `centre` and falls again beyond it. */
export type CountRule = Readonly<{
  min: number
  max: number
  /** A count that is no evidence against the null hypothesis. */
  centre: number
  pValueOf: (count: number) => TailProbability
}>

/**
 * One-sided and doubled two-sided p-values of a count, from its two tails.
 *
 * @example
 * tailRule({
 *   alternative: 'less',
 *   min: 0,
 *   max: 10,
 *   atMost: (count) => fromLog(binomial({ trials: 10, probability: 0.5 }).tails(count).logLower),
 *   atLeast: (count) => fromLog(binomial({ trials: 10, probability: 0.5 }).tails(count - 1).logUpper),
 * }).pValueOf(2).pValue
 * // 0.0546875
 */
export function tailRule(
  input: Readonly<{
    alternative: Alternative
    min: number
    max: number
    atMost: (count: number) => TailProbability
    atLeast: (count: number) => TailProbability
  }>,
): CountRule {
  const { alternative, min, max, atMost, atLeast } = input
  switch (alternative) {
    case 'less':
      return { min, max, centre: max, pValueOf: atMost }
    case 'greater':
      return { min, max, centre: min, pValueOf: atLeast }
    case 'two-sided': {
      const isHalfBelow = (count: number) => (atMost(count).pValue ?? 0) >= 0.5
      const pValueOf = (count: number) => {
        const below = atMost(count)
        // The two are 1 or more together, so that the other need not be reckoned.
        if ((below.pValue ?? 0) < SURELY_SMALLER) return doubled(below)
        return doubledSmaller(below, atLeast(count))
      }
      const pOf = (count: number) => pValueOf(count).pValue ?? 0
      const middle = Math.max(min + 1, firstWhole(isHalfBelow, min, max))
      return {
        min,
        max,
        centre: pOf(middle - 1) > pOf(middle) ? middle - 1 : middle,
        pValueOf,
      }
    }
    default:
      return alternative satisfies never
  }
}

/**
 * The test of a count.
 *
 * @param input.estimateLimits - the limits, counts, as values of the estimate
 * @example
 * countTest({
 *   count: 1,
 *   rule: {
 *     min: 0,
 *     max: 10,
 *     centre: 10,
 *     pValueOf: (count) => fromLog(binomial({ trials: 10, probability: 0.5 }).tails(count).logLower),
 *   },
 *   question: { value: 0.5, alternative: 'less', significanceLevel: 0.05 },
 *   distribution: { name: 'binomial', n: 10, p: 0.5 },
 *   estimateLimits: (limits) => mapEnds(limits, (count) => count / 10),
 *   figures: {},
 * }).limits
 * // { lower: 1 }
 */
export function countTest<Own>(
  input: Readonly<{
    count: number
    rule: CountRule
    question: PointQuestion
    distribution: NamedDistribution
    estimateLimits: (limits: Ends) => Ends
    figures: Own
  }>,
): PointTest<Own> {
  const { count, rule, question, figures } = input
  const limits = rejectionLimits(rule, question.alternative, question.significanceLevel)
  return {
    statistic: count,
    distribution: input.distribution,
    ...rule.pValueOf(count),
    limits,
    estimateLimits: input.estimateLimits(limits),
    isBeyond: isAtOrBeyond(count, limits),
    figures,
  }
}

/** The counts at which the decision turns; absent where no count on that side rejects. */
function rejectionLimits(rule: CountRule, alternative: Alternative, significanceLevel: number): Ends {
  const { min, max, centre, pValueOf } = rule
  const rejects = (count: number) => isWithin(pValueOf(count).pValue ?? 0, significanceLevel)
  const lower = alternative === 'greater' ? min - 1 : lastWhole(rejects, min - 1, centre)
  const upper = alternative === 'less' ? max + 1 : firstWhole(rejects, centre, max + 1)
  return ends({
    lower: lower < min ? undefined : lower,
    upper: upper > max ? undefined : upper,
  })
}
