import { z } from 'zod'
import { type CheckResult, checkResultSchema, type Plain } from './result'
import { PARAMETERS } from './terms/names'

const figure = z.number()

/** What a claim comes to for a lot all of whose units were measured: no sample, and no test. */
export const censusResultSchema = z.strictObject({
  id: z.string().optional(),
  ok: z.literal(true),
  coreVersion: z.string(),
  kind: z.literal('census'),
  lotSize: figure,
  estimate: z.strictObject({ parameter: z.enum(PARAMETERS), value: figure, difference: figure }),
  finding: z.strictObject({
    outcome: z.enum(['supported', 'contradicted']),
    sentence: z.string(),
    limits: z.string(),
    basis: z.string().optional(),
  }),
})

export const checkErrorSchema = z.strictObject({
  id: z.string().optional(),
  ok: z.literal(false),
  error: z.strictObject({ code: z.string(), path: z.string(), message: z.string() }),
})

export const checkAnswerSchema = z.union([checkResultSchema, censusResultSchema, checkErrorSchema])

export type CheckError = Plain<z.infer<typeof checkErrorSchema>>
export type CensusResult = Plain<z.infer<typeof censusResultSchema>>
export type CheckAnswer = CheckResult | CensusResult | CheckError

/** Whether a check came to a test, and not to the figure of a whole lot or to an error. */
export function isTested(answer: CheckAnswer): answer is CheckResult {
  return answer.ok && answer.kind !== 'census'
}
