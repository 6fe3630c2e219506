import * as z from 'zod/mini'
import { CONDITION_STATES, CONDITIONS } from './condition'

const seen = { state: z.enum(CONDITION_STATES), figures: z.record(z.string(), z.number()) }

/** What was found of a condition, in a result. */
export const conditionSchema = z.strictObject({
  name: z.enum(CONDITIONS),
  code: z.string(),
  of: z.optional(z.enum(['first', 'second'])),
  ...seen,
  readings: z.optional(z.array(z.int().check(z.nonnegative()))),
  /** The same with the readings that were set aside first. */
  withSetAside: z.optional(z.strictObject(seen)),
  sentence: z.string(),
})
