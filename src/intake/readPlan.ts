import { parameterOf } from '@/claims/all'
import type { PlanRequest } from '@/claims/plan/planRequest'
import { deriveHypotheses, valuesOf } from '@/claims/terms/hypotheses'
import type { Claim } from '@/claims/terms/claim'
import type { Parameter } from '@/claims/terms/names'
import { EMPTY_BENCH } from '@/desk/bench'
import type { PlanClaim, PlanDraft } from '@/desk/planDraft'
import {
  type FieldProblem,
  FieldReader,
  NOT_NEGATIVE,
  POSITIVE,
  stated,
  wholeFrom,
} from './reading/fieldReader'
import { readDraft } from './readDraft'

export type PlanField = keyof PlanClaim | keyof PlanDraft

/** What is asked of the core for one claim, but for what is to be found. */
export type PlanAsked = Omit<PlanRequest, 'find' | 'test'> & Readonly<{ test: Partial<PlanRequest['test']> }>

/** One claim of a plan as numbers: absent is what can't be read, or is not there yet. */
export type PlanRead = Readonly<{
  claim?: Claim
  asked?: PlanAsked
  gap?: number
  power?: number
  missing: readonly string[]
  problems: readonly FieldProblem<PlanField>[]
}>

/** What all claims of a plan share, as numbers. */
export type PlanCommonRead = Readonly<{
  units?: number
  lotSize?: number
  unitCost?: number
  budget?: number
  problems: readonly FieldProblem<PlanField>[]
}>

export function readPlanCommon(draft: PlanDraft): PlanCommonRead {
  const reader = new FieldReader<PlanField>(draft, draft.decimalMark)
  return {
    ...stated({
      units: draft.wanted === 'units' ? undefined : reader.number('units', 'number of units', POSITIVE),
      lotSize: reader.number('lotSize', 'size of the lot', wholeFrom(1)),
      unitCost: reader.number('unitCost', 'cost of a unit', POSITIVE),
      budget: reader.number('budget', 'budget', POSITIVE),
    }),
    problems: reader.problems,
  }
}

const NOTHING_MEASURED = { values: [], rows: [], setAside: [], unread: [], problems: [], missing: [] }

/** Reads what was typed of one claim of a plan; whether it can be planned the core says. */
export function readPlan(typed: PlanClaim, draft: PlanDraft, lotSize: number | undefined): PlanRead {
  const { decimalMark, wanted } = draft
  const { gap: _, power: __, scatter: ___, scatterFrom: ____, ...ofClaim } = typed
  // Nothing is measured yet: whatever the claim itself says is read as on the workbench.
  const read = readDraft({ ...EMPTY_BENCH.claim, ...ofClaim, decimalMark }, NOTHING_MEASURED)
  const reader = new FieldReader<PlanField>(typed, decimalMark)
  const gap = wanted === 'gap' ? undefined : readGap(reader, typed.parameter)
  const power = wanted === 'power' ? undefined : reader.level('power', 'power')
  const { needsSpread } = parameterOf(typed.parameter).plan
  const standardDeviation = needsSpread
    ? reader.number('scatter', 'scatter of the readings', POSITIVE)
    : undefined
  const significanceLevel = new FieldReader<PlanField>(typed, decimalMark).level(
    'significanceLevel',
    'significance level',
  )
  const missing = [
    ...read.missing.map(({ message }) => message),
    ...(wanted !== 'gap' && reader.text('gap') === '' ? ['State the gap that has to be found.'] : []),
    ...(wanted !== 'power' && reader.text('power') === '' ? ['State the power.'] : []),
    ...(needsSpread && reader.text('scatter') === '' ? ['State how much the readings scatter.'] : []),
  ]
  const problems = [...(read.problems as readonly FieldProblem<PlanField>[]), ...reader.problems]
  const { claim } = read
  const known = { missing, problems, ...stated({ claim: claim as Claim | undefined, gap, power }) }
  if (!claim || missing.length > 0 || problems.length > 0) return known
  const { method } = typed
  const test = { ...stated({ significanceLevel }), ...(method === 'auto' ? {} : { method }) }
  return {
    ...known,
    asked: { claim: claim as Claim, test, assume: stated({ standardDeviation, lotSize }) },
  }
}

function readGap(reader: FieldReader<PlanField>, parameter: Parameter): number | undefined {
  return parameterOf(parameter).scale === 100
    ? reader.share('gap', 'gap')
    : reader.number('gap', 'gap', NOT_NEGATIVE)
}

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

/** Without the digits that a subtraction makes up. */
const decimal = (value: number) => Number(value.toPrecision(15))

/** What is assumed to be true, as the core takes it: of a spread its standard deviation. */
export function assumedAt({ parameter }: Claim, truth: number): PlanRequest['assume'] {
  const { truth: field, toPlanned } = parameterOf(parameter).plan
  return field === 'value' ? { value: truth } : { standardDeviation: toPlanned(truth) }
}
