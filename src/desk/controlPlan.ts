import * as z from 'zod/mini'
import { controlPlanSchema } from '@/claims/terms/controlPlan'

/** A control plan that an office keeps; a claim takes it over as it stands on the day it is chosen. */
export const officePlanSchema = z.strictObject({
  plan: controlPlanSchema,
  /** No claim takes it any more. */
  isRetired: z.boolean(),
})
export type OfficePlan = Readonly<z.infer<typeof officePlanSchema>>
export type RegisteredPlan = OfficePlan & Readonly<{ id: string; changedBy: string; changedAt: string }>
