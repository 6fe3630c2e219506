import type { Alternative } from './alternative'

export const INTERVAL_SIDES = ['two-sided', 'lower', 'upper'] as const
export type IntervalSides = (typeof INTERVAL_SIDES)[number]

/** The ends of an interval, on the parameter's scale. An end that does not exist is absent. */
export type Ends = Readonly<{ lower?: number; upper?: number }>

/**
 * The ends of a confidence interval, or of its one-sided bound.
 *
 * @param question.beyond - the probability left out in all: 1 − the confidence level, or the significance level that
 *   the interval mirrors; given as such because 1 − (1 − α) is not α in floating point
 * @param question.sides - both ends, or only the lower or the upper one
 */
export type IntervalOf = (question: Readonly<{ beyond: number; sides: IntervalSides }>) => Ends

/** An interval by its name, and whether it holds a value. */
export type Interval = Readonly<{
  method: string
  endsAt: IntervalOf
  holds: (ends: Ends, value: number) => boolean
  /** The level that the ends truly have, where only some levels can be had. */
  trueLevel?: (question: Parameters<IntervalOf>[0]) => number | undefined
}>

/**
 * An interval from its two ends, each a function of the probability left out beyond it.
 *
 * @example
 * intervalFrom({
 *   lower: (tail) => normal.quantile(tail, 'lower'),
 *   upper: (tail) => normal.quantile(tail, 'upper'),
 * })({ beyond: 0.05, sides: 'two-sided' })
 * // { lower: -1.95996, upper: 1.95996 }
 */
export function intervalFrom(
  endOf: Readonly<{
    lower: (tail: number) => number | undefined
    upper: (tail: number) => number | undefined
  }>,
): IntervalOf {
  return ({ beyond, sides }) => {
    const tail = sides === 'two-sided' ? beyond / 2 : beyond
    return ends({
      lower: sides === 'upper' ? undefined : endOf.lower(tail),
      upper: sides === 'lower' ? undefined : endOf.upper(tail),
    })
  }
}

/** The side or sides of the interval that mirrors a test: a test that looks below is mirrored by an upper bound. */
export const MIRRORED_SIDES = {
  less: 'upper',
  greater: 'lower',
  'two-sided': 'two-sided',
} as const satisfies Readonly<Record<Alternative, IntervalSides>>

/**
 * Drops the ends that do not exist, or lie outside the range of a double.
 *
 * @example
 * ends({ lower: -Infinity, upper: 2.5 }) // { upper: 2.5 }
 */
export function ends({
  lower,
  upper,
}: Readonly<{ lower?: number | undefined; upper?: number | undefined }>): Ends {
  const isThere = (end: number | undefined) => end !== undefined && Number.isFinite(end)
  return { ...(isThere(lower) ? { lower: lower! } : {}), ...(isThere(upper) ? { upper: upper! } : {}) }
}

/**
 * The ends on another scale, one that rises with this one.
 *
 * @example
 * mapEnds({ lower: 4, upper: 9 }, Math.sqrt) // { lower: 2, upper: 3 }
 */
export function mapEnds({ lower, upper }: Ends, change: (end: number) => number): Ends {
  return ends({
    lower: lower === undefined ? undefined : change(lower),
    upper: upper === undefined ? undefined : change(upper),
  })
}

/**
 * Whether a value lies between the ends. One on an end is left out, as p = α rejects it.
 *
 * @example
 * holds({ lower: 14.88, upper: 14.98 }, 15) // false
 */
export function holds({ lower, upper }: Ends, value: number): boolean {
  return (lower === undefined || value > lower) && (upper === undefined || value < upper)
}
