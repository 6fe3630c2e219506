import { distributionByName } from '@/statistics/distributions/byName'
import { stepOf } from '@/statistics/distributions/named'
import { type PointFigures, pointFigures } from '@/statistics/distributions/pointFigures'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { type ClaimProblem, problems } from '@/claims/terms/problems'
import { type Answered, answered } from './answered'
import { isAllFinite } from '@/claims/terms/isAllFinite'
import { type ReckonedDistribution, type ReckonRequest, reckonRequestSchema } from './reckonRequest'

export type ReckonAnswer = Answered<'reckon', PointFigures>

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
}: ReckonRequest['reckon']): Outcome<PointFigures, ClaimProblem> {
  const stated = [x, lower, upper].filter((value) => value !== undefined).length
  if (stated !== 1) return failure(problems.onePointNeeded(stated))
  const problem = problemIn(distribution, 'reckon')
  if (problem) return failure(problem)
  const { quantile } = distributionByName(distribution)
  const point = x ?? (lower === undefined ? quantile(upper!, 'upper') : quantile(lower, 'lower'))
  if (!Number.isFinite(point)) return failure(problems.quantileOutOfRange('reckon'))
  const figures = pointFigures(distribution, point)
  const isFound =
    (lower === undefined || isLeft(distribution, figures.lower, lower)) &&
    (upper === undefined || isLeft(distribution, figures.upper, upper))
  if (!isFound) return failure(problems.quantileOutOfRange('reckon'))
  return isAllFinite(figures) ? success(figures) : failure(problems.reckoningOutOfRange())
}

/**
 * What is wrong with a distribution whose parameters are each in range: `out-of-range` where they do not fit each other.
 *
 * @param key - of the request
 */
export function problemIn(named: ReckonedDistribution, key: 'reckon' | 'critical'): ClaimProblem | undefined {
  if (named.name !== 'hypergeometric') return undefined
  const { lotSize } = named
  const larger = (['marked', 'n'] as const).find((field) => named[field] > lotSize)
  return larger && problems.moreThanTheLot(`${key}.distribution.${larger}`, named[larger], lotSize)
}

/** As near as that every point that a double has room for comes to its probability; the smallest doubles have few digits. */
const [NEAR, COARSE] = [1e-6, 10 * Number.MIN_VALUE]

/**
 * Whether the point that was found leaves the probability that was wanted: of a curve no other does, unless the point lies
 * beyond the range of a double, or nearer to 0 than it.
 */
export const isLeft = (named: ReckonedDistribution, found: number | undefined, wanted: number): boolean =>
  stepOf(named) !== undefined || Math.abs((found ?? 0) - wanted) <= NEAR * wanted + COARSE
