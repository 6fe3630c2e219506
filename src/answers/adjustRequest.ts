import * as z from 'zod/mini'
import { ADJUSTMENTS, adjustPValues } from '@/statistics/adjust/adjust'
import { success } from '@/claims/terms/outcome'
import { type Answered, answered } from './answered'

/** P-values of several claims, to be adjusted for being tested together. */
export const adjustRequestSchema = z.strictObject({
  id: z.optional(z.string()),
  adjust: z.strictObject({
    pValues: z.array(z.number().check(z.minimum(0), z.maximum(1))),
    method: z._default(z.enum(ADJUSTMENTS), 'holm'),
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
