import { parameterOf } from '@/claims/all'
import type { PlanAsked } from '@/claims/plan/gap'
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
import { readSeed } from './reading/seed'
import { readSizes } from './reading/sizes'
import { readDraft } from './readDraft'

export type PlanField = keyof PlanClaim | keyof PlanDraft

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
  /** Of which the units are drawn; absent: of the whole lot. */
  layers?: readonly Readonly<{ name: string; units: number }>[]
  seed?: number
  unitCost?: number
  budget?: number
  problems: readonly FieldProblem<PlanField>[]
}>

export function readPlanCommon(draft: PlanDraft): PlanCommonRead {
  const reader = new FieldReader<PlanField>(draft, draft.decimalMark)
  const stratified = readLayers(draft)
  const layers = stratified.ok && stratified.layers.length > 0 ? stratified.layers : undefined
  const whole = layers?.reduce((sum, { units }) => sum + units, 0)
  const lotSize = reader.number('lotSize', 'size of the lot', wholeFrom(1)) ?? whole
  return {
    ...stated({
      units: draft.wanted === 'units' ? undefined : reader.number('units', 'number of units', POSITIVE),
      lotSize,
      layers,
      seed: readSeed(draft.seed),
      unitCost: reader.number('unitCost', 'cost of a unit', POSITIVE),
      budget: reader.number('budget', 'budget', POSITIVE),
    }),
    problems: [
      ...reader.problems,
      ...(stratified.ok ? [] : [{ field: 'layers', message: stratified.message } as const]),
      ...(whole === undefined || whole === lotSize ? [] : [otherSum(whole, lotSize)]),
    ],
  }
}

/** A second “=” is of a layer that no mark parts from the one before: a list that was pasted into the line. */
function readLayers({ layers, decimalMark }: PlanDraft): ReturnType<typeof readSizes> {
  const texts = layers.split(/[;\n]/)
  const joined = texts.find((text) => text.split('=').length > 2)
  return joined === undefined
    ? readSizes(texts, decimalMark)
    : {
        ok: false,
        message: `“${joined.trim().slice(0, 60)}” has more than one size. Part the layers by semicolons, such as north = 400; south = 560.`,
      }
}

const otherSum = (sum: number, lotSize: number | undefined): FieldProblem<PlanField> => ({
  field: 'layers',
  message: `The layers come to ${sum} units, and the lot is said to be of ${lotSize}. Correct one of them, or leave the size of the lot empty.`,
})

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
