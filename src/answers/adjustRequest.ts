import * as z from 'zod'
import { ADJUSTMENTS, adjustPValues } from '@/statistics/adjust/adjust'
import { success } from '@/claims/terms/outcome'
import { type Answered, answered } from './answered'

/** P-values of several claims, to be adjusted for being tested together. */
export const adjustRequestSchema = z.strictObject({
  id: z.string().optional(),
  adjust: z.strictObject({
    pValues: z.array(z.number().min(0).max(1)),
    method: z.enum(ADJUSTMENTS).default('holm'),
  }),
})

export type AdjustAnswer = Answered<'adjust', Readonly<{ pValues: readonly number[] }>>

/** Answers one request to adjust p-values. */
export function adjust(document: unknown): AdjustAnswer {
  return answered({
    document,
    schema: adjustRequestSchema,
    key: 'adjust',
    figuresOf: ({ adjust: { pValues, method } }) => success({ pValues: adjustPValues(pValues, method) }),
  })
}
