import { distributionByName } from './byName'
import { type NamedDistribution, stepOf } from './named'
import type { Tails } from './tails'

/** A figure that a double has no room for is absent: a tail that underflows has only its log, one that is 0 has none. */
export type PointFigures = Readonly<{
  x: number
  /** P(X ≤ x) and P(X > x), with their natural logarithms. */
  lower?: number
  upper?: number
  logLower?: number
  logUpper?: number
  /** The height of the curve; of a discrete distribution, the probability of x itself. */
  density?: number
  /** Of a discrete distribution, P(X < x) and P(X ≥ x), which the tails do not say. */
  below?: number
  atLeast?: number
  /** Twice the smaller of the tails that have x in them, at most 1. */
  both?: number
}>

/**
 * What a distribution says of one point.
 *
 * @param x - of a discrete distribution it may lie between two values
 * @example
 * pointFigures({ name: 'binomial', n: 20, p: 0.5 }, 5).atLeast // 0.994091
 */
export function pointFigures(distribution: NamedDistribution, x: number): PointFigures {
  const { tails, density } = distributionByName(distribution)
  const own = tails(x)
  const before = stepOf(distribution) === undefined ? undefined : tails(Math.ceil(x) - 1)
  const height = density(x)
  const both = Math.min(1, 2 * Math.min(own.lower, (before ?? own).upper))
  return {
    x,
    ...figuresOf(own),
    ...(height === Infinity ? {} : { density: height }),
    ...(before ? besideOf(before) : {}),
    ...(both === 0 ? {} : { both }),
  }
}

function figuresOf({ lower, upper, logLower, logUpper }: Tails): Omit<PointFigures, 'x'> {
  const isThere = (value: number, log: number) => value !== 0 || log === -Infinity
  return {
    ...(isThere(lower, logLower) ? { lower } : {}),
    ...(isThere(upper, logUpper) ? { upper } : {}),
    ...(logLower === -Infinity ? {} : { logLower }),
    ...(logUpper === -Infinity ? {} : { logUpper }),
  }
}

/** The tails at the value before a point say what lies below it, and at it or above. */
function besideOf(before: Tails): Pick<PointFigures, 'below' | 'atLeast'> {
  const { lower, upper } = figuresOf(before)
  return {
    ...(lower === undefined ? {} : { below: lower }),
    ...(upper === undefined ? {} : { atLeast: upper }),
  }
}
