import 'server-only'
import * as z from 'zod/mini'
import { claimDraftSchema, samplesNamed } from '@/desk/claimDraft'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { changeBetween } from '@/desk/trail/change'
import { findClaim, updateClaim } from '@/data/claimRepository'
import { inTransaction } from '../transaction'
import { findSample } from '@/data/sampleRepository'
import { claimTitle } from '@/words/en/claimTitle'
import { holdCase } from '@/data/trailRepository'
import { bySchema } from '../doer'
import { discardIfEmpty } from '../sample/turnSample'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'
import type { Saved } from '../saved'
import { readInput } from '../input'
import { outcomeOf } from '../check/outcomeOf'
import { changedElsewhere, notFound } from '../problems'
import { record } from '../record'

const changeSchema = z.strictObject({
  draft: claimDraftSchema,
  revision: z.int().check(z.positive()),
  by: bySchema,
})

/**
 * Stores a claim as it stands, with the outcome that its check comes to.
 *
 * @param input - `{ draft, revision, by }`: the claim as typed, the revision that it was read as, and who changed it
 * @returns the new revision, or the problem `invalid`, `not-found` or `changed-elsewhere`
 */
export async function saveClaim(claimId: string, input: unknown, now: Date): Promise<Outcome<Saved>> {
  const change = readInput(changeSchema, input)
  if (!change.ok) return change
  if (!isIdentifier(claimId)) return failure(notFound('claim', claimId))
  const { draft, revision, by } = change.value
  return inTransaction(await database(), async (transaction): Promise<Outcome<Saved>> => {
    const known = await findClaim(transaction, claimId)
    // Held before the claim is read, so that nothing is decided on what another change is just replacing.
    if (known) await holdCase(transaction, known.caseId)
    const stored = known && (await findClaim(transaction, claimId))
    if (!stored) return failure(notFound('claim', claimId))
    if (draft.isDiscarded !== stored.draft.isDiscarded) return failure(NOT_SO)
    for (const id of samplesNamed(draft)) {
      const sample = await findSample(transaction, id)
      const isGone = sample?.draft.isDiscarded && !stored.draft.isDiscarded
      if (sample?.caseId !== stored.caseId || isGone) return failure(notFound('sample', id))
    }
    const outcome = await outcomeOf(transaction, draft)
    const next = await updateClaim(transaction, { id: claimId, revision, draft, outcome, now })
    if (next === undefined) return failure(changedElsewhere('claim'))
    const { caseId } = stored
    const difference = changeBetween(stored.draft, draft)
    const about = { caseId, claimId, at: now, who: by, detail: claimTitle(draft) }
    await record(transaction, { ...about, action: 'claim-changed', change: difference })
    if (draft.sampleId !== stored.draft.sampleId)
      await discardIfEmpty(transaction, stored.draft.sampleId, { by, now })
    return success({ revision: next, savedAt: now.toISOString() })
  })
}

const NOT_SO: Problem = {
  code: 'invalid',
  path: 'draft.isDiscarded',
  message: 'A claim is discarded, and taken up again, on its case and not by a change of its words.',
}
