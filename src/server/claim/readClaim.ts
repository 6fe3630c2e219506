import 'server-only'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { type CaseWithClaims, findCase } from '@/data/caseRepository'
import { findClaim, type StoredClaim } from '@/data/claimRepository'
import { findSample, listSamples, type SampleLine, type StoredSample } from '@/data/sampleRepository'
import { listTrailAbout } from '@/data/trailRepository'
import { type ChangedAfter, changedAfterReadings } from '@/desk/trail/changedAfter'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'
import { claimTitle } from '@/words/en/claimTitle'
import { notFound } from '../problems'

export type { StoredSample }

/** A claim with its sample, and with the case that both belong to. */
export async function readClaim(
  caseId: string,
  claimId: string,
): Promise<
  | Readonly<{
      claim: StoredClaim
      /** The claim in a line. */
      title: string
      sample: StoredSample
      /** The sample of the second source, where that is another one. */
      second: StoredSample | undefined
      ownCase: CaseWithClaims
      /** What was changed after the readings were in. */
      changedAfter: readonly ChangedAfter[]
      samples: readonly SampleLine[]
    }>
  | undefined
> {
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
  const about = { claimId, sampleIds: second ? [sample.id, second.id] : [sample.id] }
  const changedAfter = changedAfterReadings(await listTrailAbout(db, about), about)
  return {
    claim,
    title: claimTitle(claim.draft),
    sample,
    second,
    ownCase,
    changedAfter,
    samples: samples.filter(({ isDiscarded }) => !isDiscarded),
  }
}

/** A claim as it is stored, and its revision. */
export async function readDraftOf(
  claimId: string,
): Promise<Outcome<Pick<StoredClaim, 'draft' | 'revision'>>> {
  const claim = isIdentifier(claimId) ? await findClaim(await database(), claimId) : undefined
  if (!claim) return failure(notFound('claim', claimId))
  return success({ draft: claim.draft, revision: claim.revision })
}
