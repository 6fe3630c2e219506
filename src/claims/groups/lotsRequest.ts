import * as z from 'zod'
import { ADJUSTMENTS } from '@/statistics/adjust/adjust'
import { contentSchema } from '../terms/contentRequest'
import { claimSchema, evidenceSchema, testSchema } from '../terms/request'

/** More inspections than any claim has. */
const MAX_LOTS = 1000

const lotSchema = z.strictObject({
  label: z.string().min(1),
  /** When it was sampled, as YYYY-MM-DD. */
  day: z.iso.date().optional(),
  evidence: evidenceSchema.optional(),
  content: contentSchema.optional(),
})

/** One claim held against several lots, each sampled by itself; or controls of net content of several lots. */
export const lotsSchema = z.strictObject({
  claim: claimSchema.optional(),
  test: testSchema.optional(),
  lots: z.array(lotSchema).min(1).max(MAX_LOTS),
  adjust: z.enum(ADJUSTMENTS).default('holm'),
  /** Whether all readings are tested as one sample too, with the lot as what was drawn. */
  pool: z.boolean().default(false),
})

export const lotsRequestSchema = z.strictObject({ id: z.string().optional(), lots: lotsSchema })

export type LotsDocument = z.input<typeof lotsRequestSchema>
export type Lots = z.output<typeof lotsSchema>
