import * as z from 'zod/mini'
import { drawSchema, lotSizeOf } from '@/claims/plan/draw'
import { planRequestSchema } from '@/claims/plan/planRequest'
import { METHODS } from '@/claims/terms/names'
import { claimSchema } from '@/claims/terms/request'
import { MOST_PLAN_CLAIMS } from './planDraft'
import { MAX_JWS } from './signature'
import { parseJson } from './parseJson'
import { storedText } from './typed'

/** One claim of a plan: how it is to be tested, what is assumed, and how surely the units find a gap. */
const plannedClaimSchema = z.strictObject({
  claim: claimSchema,
  test: z.strictObject({ method: z.enum(METHODS), significanceLevel: z.number().check(z.gt(0), z.lt(1)) }),
  assume: planRequestSchema.shape.plan.shape.assume.def.innerType,
  gap: z.number().check(z.nonnegative()),
  power: z.number().check(z.minimum(0), z.maximum(1)),
})

const toLock = z.strictObject({
  kind: z.literal('true-weight-signed-plan'),
  coreVersion: z.string(),
  claims: z.array(plannedClaimSchema).check(z.minLength(1), z.maxLength(MOST_PLAN_CLAIMS)),
  /** Units to take: of a rate the exposure, of a ratio from either source. */
  units: z.number().check(z.positive()),
  /** Which they are; absent where they are not drawn of a lot whose size is known. */
  draw: z.optional(drawSchema),
})
const isOfItsUnits = ({ draw, units }: z.output<typeof toLock>): boolean =>
  !draw || (draw.count === units && units <= lotSizeOf(draw))

/** A plan before anybody signed it. */
export const planToLockSchema = toLock.check(z.refine(isOfItsUnits, 'a draw of its own units'))
export type PlanToLock = Readonly<z.output<typeof planToLockSchema>>

/** A plan as it is locked and signed: what is to be tested, by how many units, before one of them is measured. */
const lockedPlanSchema = z
  .strictObject({
    ...toLock.shape,
    caseId: z.uuid(),
    lockedBy: storedText(500),
    /** The day, as YYYY-MM-DD. */
    lockedOn: storedText(20),
  })
  .check(z.refine(isOfItsUnits, 'a draw of its own units'))
export type LockedPlan = Readonly<z.output<typeof lockedPlanSchema>>
export type PlannedClaim = Readonly<z.output<typeof plannedClaimSchema>>

/** What the entry of a plan holds, for one of its claims. */
const planEntrySchema = z.strictObject({
  /** Which of the plan's claims it is, from 1. */
  place: z.int().check(z.positive()),
  plan: lockedPlanSchema,
  /** The signature by a key, a compact JWS; empty where it is signed by name alone. */
  jws: z.string().check(z.maxLength(MAX_JWS)),
})
export type PlanEntry = Readonly<z.output<typeof planEntrySchema>>

/** The plan that an entry of the trail holds; nothing where it holds none, or of a claim that is not in it. */
export function planIn(after: string): PlanEntry | undefined {
  try {
    const read = planEntrySchema.safeParse(parseJson(after))
    return read.success && read.data.place <= read.data.plan.claims.length ? read.data : undefined
  } catch {
    return undefined
  }
}
