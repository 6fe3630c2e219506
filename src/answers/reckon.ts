import { distributionByName } from '@/statistics/distributions/byName'
import type { Reference } from '@/statistics/distributions/reference'
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
  const known = knownDistribution(distribution)
  if (!known.ok) return known
  const { quantile, tails, density } = known.value
  const point = x ?? (lower === undefined ? quantile(upper!, 'upper') : quantile(lower, 'lower'))
  if (!Number.isFinite(point)) return failure(problems.quantileOutOfRange())
  const height = density(point)
  const figures = {
    x: point,
    ...tailFigures(tails(point)),
    ...(height === Infinity ? {} : { density: height }),
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

function knownDistribution(named: ReckonedDistribution): Outcome<Reference, ClaimProblem> {
  if (named.name === 'hypergeometric') {
    const { lotSize, marked, n } = named
    if (marked > lotSize) return failure(problems.moreThanTheLot('marked', marked, lotSize))
    if (n > lotSize) return failure(problems.moreThanTheLot('n', n, lotSize))
  }
  return success(distributionByName(named))
}
