import type { Pivot } from './pivot'

export const INTERVAL_SIDES = ['two-sided', 'lower', 'upper'] as const
export type IntervalSides = (typeof INTERVAL_SIDES)[number]

/** The ends of an interval, in the estimate's unit. An end that a one-sided bound does not have is absent. */
export type Ends = Readonly<{ lower?: number; upper?: number }>

/**
 * The confidence interval of a mean, x̄ ± quantile · standard error, or its one-sided bound.
 *
 * @param input.beyond - the probability left out in all: 1 − the confidence level, or the significance level that the
 *   interval mirrors; given as such because 1 − (1 − α) is not α in floating point
 * @param input.sides - both ends, or only the lower or the upper one
 * @see ISO 2602:1980; ISO 2854:1976
 */
export function locationInterval(
  input: Readonly<{ pivot: Pivot; beyond: number; sides: IntervalSides }>,
): Ends {
  const { pivot, beyond, sides } = input
  const tail = sides === 'two-sided' ? beyond / 2 : beyond
  const reach = pivot.reference.quantile(tail, 'upper') * pivot.standardError
  return {
    ...(sides === 'upper' ? {} : { lower: pivot.estimate - reach }),
    ...(sides === 'lower' ? {} : { upper: pivot.estimate + reach }),
  }
}

/** Whether a value lies between the ends. One on an end is left out, as p = α rejects it. */
export function holds(ends: Ends, value: number): boolean {
  const isAbove = ends.lower === undefined || value > ends.lower
  const isBelow = ends.upper === undefined || value < ends.upper
  return isAbove && isBelow
}
