import 'server-only'
import * as z from 'zod/mini'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { samplesNamed } from '@/desk/claimDraft'
import type { Turned } from '@/desk/caseWords'
import { changeBetween } from '@/desk/trail/change'
import { findClaim, type StoredClaim, updateClaim } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { listFindings } from '@/data/findingRepository'
import { findSample } from '@/data/sampleRepository'
import { claimTitle } from '@/words/en/claimTitle'
import { outcomeOf } from '../check/outcomeOf'
import type { Doer } from '../doer'
import { isIdentifier } from '../identifier'
import { readInput } from '../input'
import { notFound } from '../problems'
import { record } from '../record'
import { claimsOn, turnStored } from '../sample/turnSample'
import { inCase } from './changeCase'

const turnedSchema = z.strictObject({
  what: z.enum(['claim', 'sample']),
  id: z.string(),
  isDiscarded: z.boolean(),
})

/**
 * Discards a claim or a sample that nothing rests on, or takes it up again. It is kept with everything in it, and both are on
 * the trail.
 *
 * @returns the problem `not-found`, or `rested-on` where a signed finding rests on the claim, or a claim on the sample
 */
export async function turn(caseId: string, input: unknown, doer: Doer): Promise<Outcome<null>> {
  const read = readInput(turnedSchema, input)
  if (!read.ok) return read
  const turned: Turned = read.value
  if (!isIdentifier(turned.id)) return failure(notFound(turned.what, turned.id))
  return inCase(caseId, (db) =>
    turned.what === 'claim' ? turnClaim(db, caseId, turned, doer) : turnSample(db, caseId, turned, doer),
  )
}

async function turnClaim(db: Connection, caseId: string, { id, isDiscarded }: Turned, doer: Doer) {
  const claim = await findClaim(db, id)
  if (claim?.caseId !== caseId) return failure(notFound('claim', id))
  if (isDiscarded && (await listFindings(db, id)).length > 0) return failure(SIGNED)
  if (!isDiscarded)
    for (const sampleId of samplesNamed(claim.draft))
      await turnStored(db, await findSample(db, sampleId), false, doer)
  await turnStoredClaim(db, claim, isDiscarded, doer)
  return success(null)
}

async function turnSample(db: Connection, caseId: string, { id, isDiscarded }: Turned, doer: Doer) {
  const sample = await findSample(db, id)
  if (sample?.caseId !== caseId) return failure(notFound('sample', id))
  if (isDiscarded && (await claimsOn(db, id)).length > 0) return failure(HELD)
  await turnStored(db, sample, isDiscarded, doer)
  return success(null)
}

async function turnStoredClaim(db: Connection, claim: StoredClaim, isDiscarded: boolean, { by, now }: Doer) {
  if (claim.draft.isDiscarded === isDiscarded) return
  const { id, caseId, revision } = claim
  const draft = { ...claim.draft, isDiscarded }
  await updateClaim(db, { id, revision, draft, outcome: await outcomeOf(db, draft), now })
  const about = { caseId, claimId: id, at: now, who: by, detail: claimTitle(draft) }
  const change = changeBetween({ isDiscarded: !isDiscarded }, { isDiscarded })
  await record(db, { ...about, action: isDiscarded ? 'discarded' : 'taken-up', change })
}

const SIGNED: Problem = {
  code: 'rested-on',
  path: 'claim',
  message: 'A signed finding rests on this claim, so it stays.',
}
const HELD: Problem = {
  code: 'rested-on',
  path: 'sample',
  message: 'A claim is held against this sample, so it stays. Hold the claim against another one first.',
}
