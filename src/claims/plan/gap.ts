import { parameterOf } from '../all'
import type { Claim } from '../terms/claim'
import { deriveHypotheses, valuesOf } from '../terms/hypotheses'
import { type Outcome, success } from '../terms/outcome'
import type { CheckProblem } from '../prepareCheck'
import { parseRequest } from '../terms/parseRequest'
import { type PlanFigures, planFigures, type PlanRequest, planRequestSchema } from './planRequest'

/** What is asked of a plan, but for what is to be found. */
export type PlanAsked = Omit<PlanRequest, 'find' | 'test'> & Readonly<{ test: Partial<PlanRequest['test']> }>

/**
 * The true values that lie a gap away from what is claimed, on the side that the test looks at; two where it looks at both and
 * they are not alike.
 */
export function truthsAt(claim: Claim, gap: number): readonly number[] {
  const hypotheses = deriveHypotheses(claim, 'auto')
  if (!hypotheses.ok) return []
  const side = hypotheses.value.alternativeSide
  const values = valuesOf(hypotheses.value)
  const [lowest, highest] = [decimal(values[0]! - gap), decimal(values.at(-1)! + gap)]
  if (side === 'less') return [lowest]
  if (side === 'greater') return [highest]
  if (side === 'inside') return [decimal(hypotheses.value.null.value + gap)]
  const { min, max, ends } = parameterOf(claim.parameter).domain
  const isSymmetric = min === -Infinity && max === Infinity
  const isThere = (value: number) =>
    ends === 'in' ? value >= min && value <= max : value > min && value < max
  return isSymmetric ? [highest] : [lowest, highest].filter(isThere)
}

/** Digits of a decimal number that survive its way through a double. */
const WRITTEN_DIGITS = 15

/** Without the digits that a subtraction makes up. */
const decimal = (value: number) => Number(value.toPrecision(WRITTEN_DIGITS))

/** What is assumed to be true, as the core takes it: of a spread its standard deviation. */
export function assumedAt({ parameter }: Claim, truth: number): PlanRequest['assume'] {
  const { truth: field, toPlanned } = parameterOf(parameter).plan
  return field === 'value' ? { value: truth } : { standardDeviation: toPlanned(truth) }
}

/** The same plan where a value is true. */
export const assuming = (asked: PlanAsked, truth: number): PlanAsked => ({
  ...asked,
  assume: { ...asked.assume, ...assumedAt(asked.claim, truth) },
})

/**
 * How surely a sample of a size finds a gap, on the harder side where it looks at both.
 *
 * @returns the figures of the core; a problem of `planFigures`; undefined where no true value lies so far away
 */
export function planForGap(
  asked: PlanAsked,
  gap: number,
  n: number,
): Outcome<PlanFigures, CheckProblem> | undefined {
  let hardest: PlanFigures | undefined
  for (const truth of truthsAt(asked.claim, gap)) {
    const request = parseRequest(planRequestSchema, { plan: { ...assuming(asked, truth), find: 'power', n } })
    if (!request.ok) return request
    const figures = planFigures(request.value.plan)
    if (!figures.ok) return figures
    if (!hardest || figures.value.power < hardest.power) hardest = figures.value
  }
  return hardest && success(hardest)
}
