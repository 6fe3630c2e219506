import { z } from 'zod'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { type ClaimProblem, problems } from '@/claims/terms/problems'
import { stepOf } from '@/statistics/distributions/named'
import type { Reference } from '@/statistics/distributions/reference'
import { isWithin } from '@/statistics/inference/tailProbability'
import { type Answered, answered } from './answered'
import { knownDistribution } from './reckon'
import { distributionSchema } from './reckonRequest'

/** More than anybody reads side by side. */
const MAX_LEVELS = 50
/** Below, no double has room for the tail. */
const LEAST_LEVEL = 1e-300

/** A distribution, and the levels at which its critical values are wanted. */
export const criticalRequestSchema = z.strictObject({
  id: z.string().optional(),
  critical: z.strictObject({
    distribution: distributionSchema,
    levels: z.array(z.number().min(LEAST_LEVEL).lt(1)).min(1).max(MAX_LEVELS),
  }),
})

type CriticalRequest = z.output<typeof criticalRequestSchema>['critical']

/** Where what is rejected begins, and the probability of what is: of a discrete distribution mostly less than the level. */
export type CriticalValue = Readonly<{ x: number; probability: number }>

/** The ends of what is rejected; one is absent where even the farthest value is more probable than the level. */
type CriticalEnds = Readonly<{ lower?: CriticalValue; upper?: CriticalValue }>

export type CriticalFigures = Readonly<{ level: number }> &
  /** Where one tail has the whole level. */
  CriticalEnds &
  Readonly<{
    /** Where each tail has half of it. */
    both: CriticalEnds
  }>

export type CriticalAnswer = Answered<'critical', readonly CriticalFigures[]>

/**
 * Answers one request for critical values: of each level the largest x with P(X ≤ x), and the smallest with P(X ≥ x), of no more
 * than the level, and the same for half of it.
 *
 * @param document - a request, of any shape
 * @example
 * critical({ critical: { distribution: { name: 'binomial', n: 20, p: 0.5 }, levels: [0.05] } })
 * // critical: [{ level: 0.05, lower: { x: 5, probability: 0.0206947 }, upper: { x: 15, probability: 0.0206947 }, both: … }]
 */
export function critical(document: unknown): CriticalAnswer {
  return answered({
    document,
    schema: criticalRequestSchema,
    key: 'critical',
    figuresOf: (request) => figuresOf(request.critical),
  })
}

function figuresOf({
  distribution,
  levels,
}: CriticalRequest): Outcome<readonly CriticalFigures[], ClaimProblem> {
  const known = knownDistribution(distribution, 'critical')
  if (!known.ok) return known
  const endsAt = stepOf(distribution) === undefined ? endsOfCurve : endsOfWhole
  const figures = levels.map((level) => ({
    level,
    ...endsAt(known.value, level),
    both: endsAt(known.value, level / 2),
  }))
  const isOut = figures.some(({ lower, upper, both }) =>
    [lower, upper, both.lower, both.upper].some((end) => end !== undefined && !Number.isFinite(end.x)),
  )
  return isOut ? failure(problems.quantileOutOfRange('critical')) : success(figures)
}

function endsOfCurve({ quantile, tails }: Reference, level: number): CriticalEnds {
  const [low, high] = [quantile(level, 'lower'), quantile(level, 'upper')]
  return {
    lower: { x: low, probability: tails(low).lower },
    upper: { x: high, probability: tails(high).upper },
  }
}

function endsOfWhole({ quantile, tails }: Reference, level: number): CriticalEnds {
  const reached = quantile(level, 'lower')
  const low = isWithin(tails(reached).lower, level) ? reached : reached - 1
  // The smallest x with P(X > x) within the level; what is rejected begins one above it.
  const high = quantile(level, 'upper') + 1
  const [below, above] = [tails(low), tails(high - 1)]
  return {
    ...(below.logLower === -Infinity ? {} : { lower: { x: low, probability: below.lower } }),
    ...(above.logUpper === -Infinity ? {} : { upper: { x: high, probability: above.upper } }),
  }
}
