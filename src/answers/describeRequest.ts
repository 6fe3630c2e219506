import * as z from 'zod/mini'
import { describe, type Description } from '@/statistics/describe/describe'
import { failure, success } from '@/claims/terms/outcome'
import { problems } from '@/claims/terms/problems'
import { type Answered, answered } from './answered'

/** Readings to be described, in the order in which they were taken. */
export const describeRequestSchema = z.strictObject({
  id: z.optional(z.string()),
  describe: z.strictObject({ values: z.array(z.number()) }),
})

export type DescribeAnswer = Answered<'describe', Description>

/** Answers one request for a description of readings. */
export function describeReadings(document: unknown): DescribeAnswer {
  return answered({
    document,
    schema: describeRequestSchema,
    key: 'describe',
    figuresOf: ({ describe: { values } }) =>
      values.length === 0
        ? failure(problems.tooFewReadings(0, 1, 'describe.values'))
        : success(describe(values)),
  })
}
