import { valueOf } from './outcome'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { SampleDraft } from '@/desk/sampleDraft'
import { openCase } from '@/server/case/changeCase'
import { readClaim } from '@/server/claim/readClaim'
import { readSampleDraft } from '@/server/sample/readSample'
import { saveSample } from '@/server/sample/saveSample'

export const now = new Date('2026-11-03T10:42:00Z')
export const later = new Date('2026-11-03T10:43:00Z')
export const doer = { by: 'A. Officer', now }

/** A new case, its claim as stored, and the sample that it is held against. */
export async function newCase() {
  const { caseId, claimId } = await openCase(doer)
  const draft: ClaimDraft = (await readClaim(caseId, claimId))!.claim.draft
  return { caseId, claimId, sampleId: draft.sampleId, draft: { ...draft, claimedValue: '15' } }
}

export async function saveReadings(sampleId: string, readings: string, more: Partial<SampleDraft> = {}) {
  const known = valueOf(await readSampleDraft(sampleId))
  const draft = { ...known.draft, readings, ...more }
  return saveSample(sampleId, { draft, revision: known.revision, by: 'A. Officer' }, later)
}
