import 'server-only'
import { type ClaimDraft, EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { changeBetween } from '@/desk/trail/change'
import { FROM_BENCH } from '@/desk/trail/changedAfter'
import { claimTitle } from '@/words/en/claimTitle'
import { insertClaim } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { listSamples } from '@/data/sampleRepository'
import type { Doer } from '../doer'
import { addSample } from '../sample/addSample'
import { newIdentifier } from '../identifier'
import { outcomeOf } from '../check/outcomeOf'
import { record } from '../record'

/** Adds a claim to a case, behind the others, with what it says on the trail. */
export async function addClaim(
  db: Connection,
  {
    caseId,
    draft,
    isFromBench = false,
  }: Readonly<{ caseId: string; draft: ClaimDraft; isFromBench?: boolean }>,
  { by, now }: Doer,
): Promise<string> {
  const claimId = newIdentifier()
  const { sampleId } = draft
  await insertClaim(db, { id: claimId, caseId, draft, outcome: await outcomeOf(db, draft), now })
  const change = changeBetween({ ...EMPTY_CLAIM, sampleId }, draft)
  const title = change ? claimTitle(draft) : ''
  const detail = isFromBench ? `${title}, ${FROM_BENCH}` : title
  const about = { caseId, claimId, sampleId, at: now, who: by, detail }
  await record(db, { ...about, action: 'claim-added', change })
  return claimId
}

/** Adds a claim that is still to be filled in, held against the newest sample of the case, or a new one where there is none. */
export async function addClaimWithSample(db: Connection, caseId: string, doer: Doer): Promise<string> {
  const newest = (await listSamples(db, caseId)).findLast(({ isDiscarded }) => !isDiscarded)
  const sampleId = newest?.id ?? (await addSample(db, { caseId, draft: EMPTY_SAMPLE }, doer))
  return addClaim(db, { caseId, draft: { ...EMPTY_CLAIM, sampleId } }, doer)
}
