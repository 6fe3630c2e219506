import * as z from 'zod/mini'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { type ClaimProblem, problems } from '@/claims/terms/problems'
import { type CriticalValues, criticalValues } from '@/statistics/inference/criticalValues'
import { type Answered, answered } from './answered'
import { isLeft, problemIn } from './reckon'
import { distributionSchema } from './reckonRequest'

/** More than anybody reads side by side. */
const MAX_LEVELS = 50
/** Below, no double has room for the tail. */
const LEAST_LEVEL = 1e-300

/** A distribution, and the levels at which its critical values are wanted. */
export const criticalRequestSchema = z.strictObject({
  id: z.optional(z.string()),
  critical: z.strictObject({
    distribution: distributionSchema,
    levels: z
      .array(z.number().check(z.minimum(LEAST_LEVEL), z.lt(1)))
      .check(z.minLength(1), z.maxLength(MAX_LEVELS)),
  }),
})

type CriticalRequest = z.output<typeof criticalRequestSchema>['critical']

export type CriticalFigures = Readonly<{ level: number }> &
  /** Where one tail has the whole level. */
  CriticalValues &
  Readonly<{
    /** Where each tail has half of it. */
    both: CriticalValues
  }>

export type CriticalAnswer = Answered<'critical', readonly CriticalFigures[]>

/**
 * Answers one request for critical values, at each of its levels.
 *
 * @param document - a request, of any shape
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
  const problem = problemIn(distribution, 'critical')
  if (problem) return failure(problem)
  const figures = levels.map((level) => ({
    level,
    ...criticalValues(distribution, level),
    both: criticalValues(distribution, level / 2),
  }))
  const isOut = figures.some(({ level, both, ...one }) =>
    [[level, one.lower, one.upper] as const, [level / 2, both.lower, both.upper] as const].some(
      ([wanted, ...ends]) =>
        ends.some((end) => end && !(Number.isFinite(end.x) && isLeft(distribution, end.probability, wanted))),
    ),
  )
  return isOut ? failure(problems.quantileOutOfRange('critical')) : success(figures)
}
