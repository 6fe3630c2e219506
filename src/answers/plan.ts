import { type PlanFigures, planFigures, planRequestSchema } from '@/claims/plan/planRequest'
import { type Answered, answered } from './answered'

export type PlanAnswer = Answered<'plan', PlanFigures>

/** Answers one plan: of power, sample size and difference, the one that is asked for. */
export function plan(document: unknown): PlanAnswer {
  return answered({
    document,
    schema: planRequestSchema,
    key: 'plan',
    figuresOf: (request) => planFigures(request.plan),
  })
}
