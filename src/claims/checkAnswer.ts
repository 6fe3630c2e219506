import * as z from 'zod/mini'
import type { ContentDocument } from './terms/contentRequest'
import { contentFiguresSchema } from './terms/contentResult'
import { conditionSchema } from './terms/conditionSchema'
import { type CheckResult, checkResultSchema, type Plain, warningSchema } from './result'
import { PARAMETERS } from './terms/names'
import type { CheckDocument } from './terms/request'

const figure = z.number()

/** What a claim comes to for a lot all of whose units were measured: no sample, and no test. */
export const censusResultSchema = z.strictObject({
  id: z.optional(z.string()),
  ok: z.literal(true),
  coreVersion: z.string(),
  kind: z.literal('census'),
  lotSize: figure,
  estimate: z.strictObject({ parameter: z.enum(PARAMETERS), value: figure, difference: figure }),
  finding: z.strictObject({
    outcome: z.enum(['supported', 'contradicted']),
    sentence: z.string(),
    limits: z.string(),
    basis: z.optional(z.string()),
  }),
})

/** What a control of net content comes to: three criteria, and one finding made of them. */
export const contentResultSchema = z.strictObject({
  id: z.optional(z.string()),
  ok: z.literal(true),
  coreVersion: z.string(),
  kind: z.literal('content'),
  content: contentFiguresSchema,
  conditions: z.array(conditionSchema),
  finding: z.strictObject({
    outcome: z.enum(['contradicted', 'not-contradicted']),
    sentence: z.string(),
    limits: z.string(),
    basis: z.optional(z.string()),
  }),
  warnings: z.array(warningSchema),
})

export const checkErrorSchema = z.strictObject({
  id: z.optional(z.string()),
  ok: z.literal(false),
  error: z.strictObject({ code: z.string(), path: z.string(), message: z.string() }),
})

export const checkAnswerSchema = z.union([checkResultSchema, censusResultSchema, checkErrorSchema])
export const claimAnswerSchema = z.union([checkAnswerSchema, contentResultSchema])

export type CheckError = Plain<z.infer<typeof checkErrorSchema>>
export type CensusResult = Plain<z.infer<typeof censusResultSchema>>
export type ContentResult = Plain<z.infer<typeof contentResultSchema>>
export type CheckAnswer = CheckResult | CensusResult | CheckError
export type ContentAnswer = ContentResult | CheckError
/** What is asked of any claim, and what it comes to: a check, or a control of net content. */
export type ClaimDocument = CheckDocument | ContentDocument
export type ClaimAnswer = CheckAnswer | ContentAnswer
export type ClaimResult = Exclude<ClaimAnswer, CheckError>

/** Whether a check came to a test, and not to the figure of a whole lot, to the criteria of a control, or to an error. */
export function isTested(answer: ClaimAnswer): answer is CheckResult {
  return answer.ok && answer.kind !== 'census' && answer.kind !== 'content'
}

export const isControl = (answer: ClaimAnswer): answer is ContentResult =>
  answer.ok && answer.kind === 'content'
