import 'server-only'
import * as z from 'zod/mini'
import { claimDraftSchema } from '@/desk/claimDraft'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { findSample } from '@/data/sampleRepository'
import { bySchema } from '../doer'
import { inCase } from './changeCase'
import { readInput } from '../input'
import { notFound } from '../problems'
import { addClaim } from '../claim/addClaim'

/** More claims than a case is kept with at once. */
const MAX_CLAIMS = 500

const { sampleId: _, ...ofClaim } = claimDraftSchema.shape
const addingSchema = z.strictObject({
  sampleId: z.uuid(),
  claims: z.array(z.strictObject(ofClaim)).check(z.minLength(1), z.maxLength(MAX_CLAIMS)),
  by: bySchema,
})

/**
 * Adds the claims of a specification to a case, all held against one sample; all of them or none.
 *
 * @param input - `{ sampleId, claims, by }`
 * @returns how many were added, or the problem `invalid` or `not-found`
 */
export async function addSpecification(
  caseId: string,
  input: unknown,
  now: Date,
): Promise<Outcome<Readonly<{ added: number }>>> {
  const read = readInput(addingSchema, input)
  if (!read.ok) return read
  const { sampleId, claims, by } = read.value
  return inCase(caseId, async (transaction) => {
    const sample = await findSample(transaction, sampleId)
    if (sample?.caseId !== caseId || sample.draft.isDiscarded) return failure(notFound('sample', sampleId))
    for (const claim of claims)
      await addClaim(
        transaction,
        { caseId, draft: { ...claim, sampleId, secondSampleId: null, lots: [], isDiscarded: false } },
        { by, now },
      )
    return success({ added: claims.length })
  })
}
