import 'server-only'
import { cache } from 'react'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { Connection } from '@/data/client'
import { type CaseWithClaims, findCase } from '@/data/caseRepository'
import { findClaim, type StoredClaim } from '@/data/claimRepository'
import { findSample, listSamples, type SampleLine, type StoredSample } from '@/data/sampleRepository'
import { listTrailAbout } from '@/data/trailRepository'
import { NOTHING_TOLD, toldByTrail, type TrailTold } from '@/desk/trail/told'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'
import { claimTitle } from '@/words/en/claimTitle'
import { notFound } from '../problems'

export type { StoredSample }

/** A claim with its sample, and with the case that both belong to. */
type ClaimInCase = Readonly<{
  claim: StoredClaim
  /** The claim in a line. */
  title: string
  sample: StoredSample
  /** The sample of the second source, where that is another one. */
  second: StoredSample | undefined
  ownCase: CaseWithClaims
  /** What its finding has to tell of the trail. */
  told: TrailTold
  samples: readonly SampleLine[]
}>

/** Read once for a page, however many of its parts ask. */
export const readClaim = cache(async (caseId: string, claimId: string): Promise<ClaimInCase | undefined> => {
  if (!isIdentifier(caseId) || !isIdentifier(claimId)) return undefined
  const db = await database()
  const claim = await findClaim(db, claimId)
  const ownCase = claim?.caseId === caseId ? await findCase(db, caseId) : undefined
  const sample = claim && (await findSample(db, claim.draft.sampleId))
  if (!claim || !sample || !ownCase) return undefined
  const { secondSampleId, sampleId } = claim.draft
  const second =
    secondSampleId === null || secondSampleId === sampleId ? undefined : await findSample(db, secondSampleId)
  const samples = await listSamples(db, caseId)
  const told = await toldOf(db, claim)
  return {
    claim,
    title: claimTitle(claim.draft),
    sample,
    second,
    ownCase,
    told,
    samples: samples.filter(({ isDiscarded }) => !isDiscarded),
  }
})

/** A claim as it is stored, and its revision. */
export async function readDraftOf(
  claimId: string,
): Promise<Outcome<Pick<StoredClaim, 'draft' | 'revision'>>> {
  const claim = isIdentifier(claimId) ? await findClaim(await database(), claimId) : undefined
  if (!claim) return failure(notFound('claim', claimId))
  return success({ draft: claim.draft, revision: claim.revision })
}

/** What the finding of a claim has to tell of the trail, as it is stored; nothing of one that is not there. */
export async function readTold(claimId: string): Promise<TrailTold> {
  const db = await database()
  const claim = isIdentifier(claimId) ? await findClaim(db, claimId) : undefined
  return claim ? toldOf(db, claim) : NOTHING_TOLD
}

async function toldOf(db: Connection, { id, draft }: StoredClaim): Promise<TrailTold> {
  const { sampleId, secondSampleId } = draft
  const about = { claimId: id, sampleIds: secondSampleId === null ? [sampleId] : [sampleId, secondSampleId] }
  return toldByTrail(await listTrailAbout(db, about), about)
}
