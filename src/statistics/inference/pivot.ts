import type { NamedDistribution } from '../distributions/named'
import type { Continuous, Tail } from '../distributions/tails'
import type { Alternative } from './alternative'
import { type Ends, ends, holds, type Interval, intervalFrom } from './interval'
import { isAtOrBeyond, type PointQuestion, type PointTest, type Procedure } from './procedure'
import { tailProbability } from './tailProbability'

/**
 * A statistic whose distribution does not depend on the parameter. It rises with the estimate and falls as the value
 * that it is tested against rises, so one function of it gives the test, the critical values and the interval.
 */
export type Pivot<Own> = Readonly<{
  /** What the interval is called. */
  interval: string
  estimate: number
  standardError?: number
  differenceFrom: (value: number) => number
  distribution: NamedDistribution
  reference: Continuous
  statisticAt: (value: number, alternative: Alternative) => number
  /** The estimate that would give this statistic against the value. */
  estimateAt: (statistic: number, value: number, tail: Tail) => number
  /** Figures on the way to the statistic. */
  figuresAt: (value: number, alternative: Alternative) => Own
  /** The value against which the estimate gives this statistic. */
  valueAt: (statistic: number, tail: Tail) => number
}>

/**
 * The test of a value and the interval that mirrors it, both from one pivot.
 *
 * @example
 * pivotProcedure({
 *   interval: 'z',
 *   estimate: 14.9,
 *   differenceFrom: (value) => 14.9 - value,
 *   distribution: { name: 'normal' },
 *   reference: normal,
 *   statisticAt: (value) => (14.9 - value) / 0.05,
 *   estimateAt: (statistic, value) => value + 0.05 * statistic,
 *   figuresAt: () => ({}),
 *   valueAt: (statistic) => 14.9 - 0.05 * statistic,
 * }).test({ value: 15, alternative: 'less', significanceLevel: 0.05 })
 * // { statistic: -2, distribution: { name: 'normal' }, pValue: 0.0227501, logPValue: -3.78318, limits: {
 * //   lower: -1.64485 }, estimateLimits: { lower: 14.9178 }, isBeyond: true, figures: {} }
 */
export function pivotProcedure<Own>(pivot: Pivot<Own>): Procedure<Own> {
  const mirror = mirrorOf(pivot)
  return {
    estimate: pivot.estimate,
    standardError: pivot.standardError,
    differenceFrom: pivot.differenceFrom,
    test: (question) => testAt(pivot, question),
    mirror,
    interval: mirror,
  }
}

function testAt<Own>(
  pivot: Pivot<Own>,
  { value, alternative, significanceLevel }: PointQuestion,
): PointTest<Own> {
  const statistic = pivot.statisticAt(value, alternative)
  const limits = criticalLimits(pivot.reference, alternative, significanceLevel)
  const estimateAt = (limit: number | undefined, tail: Tail) =>
    limit === undefined ? undefined : pivot.estimateAt(limit, value, tail)
  return {
    statistic,
    distribution: pivot.distribution,
    ...tailProbability(pivot.reference, statistic, alternative),
    limits,
    estimateLimits: ends({
      lower: estimateAt(limits.lower, 'lower'),
      upper: estimateAt(limits.upper, 'upper'),
    }),
    isBeyond: isAtOrBeyond(statistic, limits),
    figures: pivot.figuresAt(value, alternative),
  }
}

/**
 * Where the rejection region of a continuous statistic begins, on either side that the alternative looks at.
 *
 * @example
 * criticalLimits(normal, 'less', 0.05) // { lower: -1.64485 }
 */
export function criticalLimits(
  reference: Continuous,
  alternative: Alternative,
  significanceLevel: number,
): Ends {
  const tail = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  return {
    ...(alternative === 'greater' ? {} : { lower: reference.quantile(tail, 'lower') }),
    ...(alternative === 'less' ? {} : { upper: reference.quantile(tail, 'upper') }),
  }
}

function mirrorOf<Own>({ interval, reference, valueAt }: Pivot<Own>): Interval {
  const endsAt = intervalFrom({
    lower: (tail) => valueAt(reference.quantile(tail, 'upper'), 'upper'),
    upper: (tail) => valueAt(reference.quantile(tail, 'lower'), 'lower'),
  })
  return { method: interval, endsAt, holds }
}
