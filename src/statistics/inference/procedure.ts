import type { NamedDistribution } from '../distributions/named'
import type { Alternative } from './alternative'
import type { Ends, Interval } from './interval'
import type { TailProbability } from './tailProbability'

/** A test of one value of the parameter. */
export type PointTest<Own = unknown> = TailProbability &
  Readonly<{
    statistic: number
    /** Of the statistic under the value; absent where resamples stand in for it. */
    distribution?: NamedDistribution
    /** On the statistic's scale: the null hypothesis is rejected from `lower` downwards, from `upper` upwards. */
    limits: Ends
    /** The same limits as values of the estimate. */
    estimateLimits: Ends
    /** The method's own figures on the way to the statistic. */
    figures: Own
    /** Whether the statistic lies in the rejection region, by the limits and not by the p-value. */
    isBeyond: boolean
  }>

export type PointQuestion = Readonly<{
  /** The value in the null hypothesis, on the parameter's scale. */
  value: number
  alternative: Alternative
  /** Between 0 and 1. */
  significanceLevel: number
}>

/** One parameter of one sample, tested by one method. */
export type Procedure<Own = unknown> = Readonly<{
  /** On the parameter's scale. */
  estimate: number
  standardError?: number | undefined
  /** Estimate less value, with the digits that rounding the estimate alone would lose. */
  differenceFrom: (value: number) => number
  test: (question: PointQuestion) => PointTest<Own>
  /** The interval that leaves a value out where the test rejects it; absent where none does. */
  mirror?: Interval | undefined
  /** The interval to report; absent where the method has none. */
  interval?: Interval | undefined
}>

/**
 * Whether a statistic lies at or beyond either limit.
 *
 * @example
 * isAtOrBeyond(-2.2, { lower: -1.796 }) // true
 */
export function isAtOrBeyond(statistic: number, { lower, upper }: Ends): boolean {
  return (lower !== undefined && statistic <= lower) || (upper !== undefined && statistic >= upper)
}
