import 'server-only'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { changeBetween } from '@/desk/trail/change'
import { listClaimsOf, type StoredClaim } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { findSample, type StoredSample, updateSample } from '@/data/sampleRepository'
import type { Doer } from '../doer'
import { record } from '../record'

/** The claims that rest on a sample. */
export async function claimsOn(db: Connection, sampleId: string): Promise<readonly StoredClaim[]> {
  return (await listClaimsOf(db, sampleId)).filter(({ draft }) => !draft.isDiscarded)
}

/** Discards a sample that has nothing in it and that no claim rests on: something else took its place. */
export async function discardIfEmpty(db: Connection, sampleId: string, doer: Doer): Promise<void> {
  const sample = await findSample(db, sampleId)
  const isEmpty = sample && changeBetween(EMPTY_SAMPLE, sample.draft) === undefined
  if (isEmpty && (await listClaimsOf(db, sampleId)).length === 0) await turnStored(db, sample, true, doer)
}

/** Discards a sample, or takes it up again, where it is not so already. */
export async function turnStored(
  db: Connection,
  sample: StoredSample | undefined,
  isDiscarded: boolean,
  { by, now }: Doer,
): Promise<void> {
  if (!sample || sample.draft.isDiscarded === isDiscarded) return
  const { id, caseId, revision } = sample
  await updateSample(db, { id, revision, draft: { ...sample.draft, isDiscarded }, now })
  const about = { caseId, sampleId: id, at: now, who: by, detail: sample.draft.name }
  const change = changeBetween({ isDiscarded: !isDiscarded }, { isDiscarded })
  await record(db, { ...about, action: isDiscarded ? 'discarded' : 'taken-up', change })
}
