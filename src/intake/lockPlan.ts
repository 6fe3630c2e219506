import { parameterOf } from '@/claims/all'
import type { z } from 'zod/mini'
import { type Draw, MAX_DRAWN } from '@/claims/plan/draw'
import { planForGap } from '@/claims/plan/gap'
import type { Claim } from '@/claims/terms/claim'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { CORE_VERSION } from '@/claims/terms/version'
import { type PlannedClaim, type PlanToLock, planToLockSchema } from '@/desk/lockedPlan'
import type { PlanDraft } from '@/desk/planDraft'
import { formatCount } from '@/words/figures'
import { seedProblem } from '@/words/en/drawWords'
import { NO_SUCH_GAP } from '@/words/en/planWords'
import { problemWords } from '@/words/en/problems'
import { type PlanCommonRead, readPlan, readPlanCommon } from './readPlan'

/**
 * A plan to be locked: its units are stated, and what they find is worked out anew.
 *
 * @returns the problem `not-planned`: what is missing, can't be read, or can't be planned
 */
export function planToLock(draft: PlanDraft): Outcome<PlanToLock> {
  const stated: PlanDraft = { ...draft, wanted: 'power' }
  const common = readPlanCommon(stated)
  const { units } = common
  if (common.problems[0]) return notPlanned(common.problems[0].field, common.problems[0].message)
  if (units === undefined) return notPlanned('units', 'State how many units are taken.')
  if (common.lotSize !== undefined && common.seed === undefined)
    return notPlanned('seed', seedProblem(draft.seed))
  const claims: PlannedClaim[] = []
  for (const [place, typed] of stated.claims.entries()) {
    const path = `claims.${place}`
    const { asked, gap, missing, problems } = readPlan(typed, stated, common.lotSize)
    const { significanceLevel } = asked?.test ?? {}
    if (!asked || gap === undefined || significanceLevel === undefined)
      return notPlanned(path, problems[0]?.message ?? missing[0] ?? 'The claim can’t be planned for.')
    const figures = planForGap(asked, gap, units)
    if (!figures) return notPlanned(path, NO_SUCH_GAP)
    if (!figures.ok) return notPlanned(path, problemWords(figures.problem).message)
    const { method, power } = figures.value
    const { claim, assume } = asked
    claims.push({ claim, test: { method, significanceLevel }, assume, gap, power })
  }
  const draw = drawOf(
    common,
    claims.map(({ claim }) => claim),
    units,
  )
  if (draw && draw.count > MAX_DRAWN) return notPlanned('units', TOO_MANY_DRAWN)
  // What could not be read again would be no plan.
  const read = planToLockSchema.safeParse({
    ...{ kind: 'true-weight-signed-plan', coreVersion: CORE_VERSION, claims, units },
    ...(draw ? { draw } : {}),
  })
  return read.success ? success(read.data) : notPlanned('', unfit(read.error.issues[0]))
}

const TOO_MANY_DRAWN = `No more than ${formatCount(MAX_DRAWN)} units are drawn of a lot. Plan fewer, or leave the lot out.`
const unfit = (issue: z.core.$ZodIssue | undefined) =>
  `The plan can’t be kept: ${issue?.path.join('.')}: ${issue?.message}.`
const notPlanned = (path: string, message: string) => failure({ code: 'not-planned', path, message })

/** The draw of a plan's units, where they are units of one lot whose size is known. */
export function drawOf(
  { lotSize, layers, seed }: PlanCommonRead,
  claims: readonly Claim[],
  units: number | undefined,
): Draw | undefined {
  const isOfUnits = claims.every(
    ({ parameter }) => !['events', 'two'].includes(parameterOf(parameter).sample),
  )
  if (!isOfUnits || units === undefined || lotSize === undefined || units > lotSize || seed === undefined)
    return undefined
  const common = { count: units, seed }
  return layers ? { layers, ...common } : { lotSize, ...common }
}
