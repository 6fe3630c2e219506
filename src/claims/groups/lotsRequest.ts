import * as z from 'zod/mini'
import { ADJUSTMENTS } from '@/statistics/adjust/adjust'
import { contentSchema } from '../terms/contentRequest'
import { claimSchema, evidenceSchema, testSchema } from '../terms/request'

/** More inspections than any claim has. */
const MAX_LOTS = 1000

const lotSchema = z.strictObject({
  label: z.string().check(z.minLength(1)),
  /** When it was sampled, as YYYY-MM-DD. */
  day: z.optional(z.iso.date()),
  evidence: z.optional(evidenceSchema),
  content: z.optional(contentSchema),
})

/** One claim held against several lots, each sampled by itself; or controls of net content of several lots. */
export const lotsSchema = z.strictObject({
  claim: z.optional(claimSchema),
  test: z.optional(testSchema),
  lots: z.array(lotSchema).check(z.minLength(1), z.maxLength(MAX_LOTS)),
  adjust: z._default(z.enum(ADJUSTMENTS), 'holm'),
  /** Whether all readings are tested as one sample too, with the lot as what was drawn. */
  pool: z._default(z.boolean(), false),
})

export const lotsRequestSchema = z.strictObject({ id: z.optional(z.string()), lots: lotsSchema })

export type LotsDocument = z.input<typeof lotsRequestSchema>
export type Lots = z.output<typeof lotsSchema>
