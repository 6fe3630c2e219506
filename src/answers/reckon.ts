import { distributionByName } from '@/statistics/distributions/byName'
import type { Reference } from '@/statistics/distributions/reference'
import { stepOf } from '@/statistics/distributions/named'
import type { Tails } from '@/statistics/distributions/tails'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { type ClaimProblem, problems } from '@/claims/terms/problems'
import { type Answered, answered } from './answered'
import { isAllFinite } from '@/claims/terms/isAllFinite'
import { type ReckonedDistribution, type ReckonRequest, reckonRequestSchema } from './reckonRequest'

/** A figure that a double has no room for is absent: a tail that underflows has only its log, one that is 0 has none. */
export type ReckonFigures = Readonly<{
  x: number
  lower?: number
  upper?: number
  logLower?: number
  logUpper?: number
  /** Of a discrete distribution, the probability of x itself. */
  density?: number
  /** Of a discrete distribution, P(X < x) and P(X ≥ x), which the tails do not say. */
  below?: number
  atLeast?: number
  /** Twice the smaller of the tails that have x in them, at most 1. */
  both?: number
}>

export type ReckonAnswer = Answered<'reckon', ReckonFigures>

/**
 * Answers one reckoning: both tails of a distribution at a point, P(X ≤ x) and P(X > x), or the point that leaves a
 * probability in a tail.
 *
 * @param document - a reckoning, of any shape
 */
export function reckon(document: unknown): ReckonAnswer {
  return answered({
    document,
    schema: reckonRequestSchema,
    key: 'reckon',
    figuresOf: (request) => figuresOf(request.reckon),
  })
}

function figuresOf({
  distribution,
  x,
  lower,
  upper,
}: ReckonRequest['reckon']): Outcome<ReckonFigures, ClaimProblem> {
  const stated = [x, lower, upper].filter((value) => value !== undefined).length
  if (stated !== 1) return failure(problems.onePointNeeded(stated))
  const known = knownDistribution(distribution, 'reckon')
  if (!known.ok) return known
  const { quantile, tails, density } = known.value
  const point = x ?? (lower === undefined ? quantile(upper!, 'upper') : quantile(lower, 'lower'))
  if (!Number.isFinite(point)) return failure(problems.quantileOutOfRange('reckon'))
  const [own, before] = [
    tails(point),
    stepOf(distribution) === undefined ? undefined : tails(Math.ceil(point) - 1),
  ]
  const height = density(point)
  const figures = {
    x: point,
    ...tailFigures(own),
    ...(height === Infinity ? {} : { density: height }),
    ...(before ? ofWhole(before) : {}),
    ...bothTails(own.lower, (before ?? own).upper),
  }
  return isAllFinite(figures) ? success(figures) : failure(problems.reckoningOutOfRange())
}

function tailFigures({ lower, upper, logLower, logUpper }: Tails): Omit<ReckonFigures, 'x' | 'density'> {
  const isThere = (value: number, log: number) => value !== 0 || log === -Infinity
  return {
    ...(isThere(lower, logLower) ? { lower } : {}),
    ...(isThere(upper, logUpper) ? { upper } : {}),
    ...(logLower === -Infinity ? {} : { logLower }),
    ...(logUpper === -Infinity ? {} : { logUpper }),
  }
}

/** What lies below a whole number, and what at it or above, where a double has room for it. */
function ofWhole(before: Tails): Pick<ReckonFigures, 'below' | 'atLeast'> {
  const { lower, upper } = tailFigures(before)
  return {
    ...(lower === undefined ? {} : { below: lower }),
    ...(upper === undefined ? {} : { atLeast: upper }),
  }
}

function bothTails(...tails: readonly [atMost: number, atLeast: number]): Pick<ReckonFigures, 'both'> {
  const both = Math.min(1, 2 * Math.min(...tails))
  return both === 0 ? {} : { both }
}

/**
 * A distribution that is asked for by its name.
 *
 * @param key - of the request
 * @returns it, or the problem `out-of-range` where its parameters do not fit each other
 */
export function knownDistribution(
  named: ReckonedDistribution,
  key: 'reckon' | 'critical',
): Outcome<Reference, ClaimProblem> {
  if (named.name === 'hypergeometric') {
    const { lotSize } = named
    const larger = (['marked', 'n'] as const).find((field) => named[field] > lotSize)
    if (larger !== undefined)
      return failure(problems.moreThanTheLot(`${key}.distribution.${larger}`, named[larger], lotSize))
  }
  return success(distributionByName(named))
}
