import 'server-only'
import type { CaseContent, ContentSample } from '@/casefile/content'
import { caseWordsOf } from '@/desk/caseWords'
import { findCase } from '@/data/caseRepository'
import { listClaims } from '@/data/claimRepository'
import type { Connection, Database } from '@/data/client'
import { findFinding, listFindings } from '@/data/findingRepository'
import { findSample, listSamples } from '@/data/sampleRepository'
import { listSeals } from '@/data/sealRepository'
import { listWholeTrail } from '@/data/trailRepository'
import { originalOf } from '../packed'
import { sourceOf } from '../check/documentOf'
import { isIdentifier } from '../identifier'

/** A case with everything in it as it is at one moment, whoever changes it meanwhile; undefined where there is none. */
export const readContentNow = (db: Database, caseId: string): Promise<CaseContent | undefined> =>
  db.inSnapshot((snapshot) => readContent(snapshot, caseId, db))

/**
 * A case with everything in it; undefined where there is none.
 *
 * @param later - where sheets and files, which never change, are read from once they are asked for
 */
export async function readContent(
  db: Connection,
  caseId: string,
  later: Connection = db,
): Promise<CaseContent | undefined> {
  const known = isIdentifier(caseId) ? await findCase(db, caseId) : undefined
  if (!known) return undefined
  const claims = await listClaims(db, caseId)
  const samples: ContentSample[] = []
  for (const { id } of await listSamples(db, caseId)) {
    const { caseId: _, ...sample } = (await findSample(db, id))!
    samples.push({ ...timed(sample), ...sourceOf(later, sample), original: () => originalOf(later, id) })
  }
  const findings = []
  for (const { id } of claims) {
    for (const { number } of (await listFindings(db, id)).toReversed()) {
      const finding = (await findFinding(db, id, number))!
      findings.push({ ...finding, createdAt: finding.createdAt.toISOString() })
    }
  }
  const { state, trailLength: length, trailHash: hash } = known
  return {
    case: timed({
      id: caseId,
      ...caseWordsOf(known),
      state,
      createdAt: known.createdAt,
      updatedAt: known.updatedAt,
    }),
    claims: claims.map(({ caseId: _, ...claim }) => timed(claim)),
    samples,
    findings,
    trail: await listWholeTrail(db, caseId),
    seals: await listSeals(db, caseId),
    head: { length, hash },
  }
}

/** The instants as texts. */
function timed<T extends Readonly<{ createdAt: Date; updatedAt: Date }>>(record: T) {
  return { ...record, createdAt: record.createdAt.toISOString(), updatedAt: record.updatedAt.toISOString() }
}
