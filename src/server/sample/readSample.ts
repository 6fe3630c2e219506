import 'server-only'
import { beginningOf } from '@/desk/typed'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { type CaseWithClaims, findCase } from '@/data/caseRepository'
import { findSample, listSamples, type SampleLine, type StoredSample } from '@/data/sampleRepository'
import { findColumnHeads, readColumn } from '@/data/sheetRepository'
import type { ChainedEntry } from '@/desk/trail/chain'
import { listTrailOf } from '@/data/trailRepository'
import { packColumns } from '@/intake/sheet/columnBytes'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'
import { notFound } from '../problems'
import { claimsOn } from './turnSample'

export type { SampleLine, StoredSample }

/** A sample with the case that it belongs to and what was done with it. */
export async function readSampleIn(
  caseId: string,
  sampleId: string,
): Promise<
  | Readonly<{
      sample: StoredSample
      ownCase: CaseWithClaims
      trail: readonly ChainedEntry[]
      /** How many claims are held against it. */
      claimCount: number
    }>
  | undefined
> {
  if (!isIdentifier(caseId) || !isIdentifier(sampleId)) return undefined
  const db = await database()
  const sample = await findSample(db, sampleId)
  const ownCase = sample?.caseId === caseId ? await findCase(db, caseId) : undefined
  if (!sample || !ownCase) return undefined
  const { length: claimCount } = await claimsOn(db, sampleId)
  return { sample, ownCase, trail: await listTrailOf(db, sampleId), claimCount }
}

export async function readSamplesOf(caseId: string): Promise<readonly SampleLine[]> {
  return isIdentifier(caseId) ? listSamples(await database(), caseId) : []
}

/** A sample as it is stored, its revision and what was done with it. */
export async function readSampleDraft(
  sampleId: string,
): Promise<Outcome<Pick<StoredSample, 'draft' | 'revision'> & Readonly<{ trail: readonly ChainedEntry[] }>>> {
  const db = await database()
  const sample = isIdentifier(sampleId) ? await findSample(db, sampleId) : undefined
  if (!sample) return failure(notFound('sample', sampleId))
  return success({ draft: sample.draft, revision: sample.revision, trail: await listTrailOf(db, sampleId) })
}

/**
 * Columns of a file's sheet, packed as `intake/sheet/columnBytes` says.
 *
 * @param names - the columns wanted, by name; all of them where there are none
 */
export async function readPackedColumns(
  sampleId: string,
  names: readonly string[],
): Promise<Outcome<readonly Uint8Array[]>> {
  const db = await database()
  if (!isIdentifier(sampleId) || !(await findSample(db, sampleId)))
    return failure(notFound('sample', sampleId))
  const heads = await findColumnHeads(db, sampleId, names.length > 0 ? names : undefined)
  const unknown = names.find((name) => !heads.some((head) => head.name === name))
  if (unknown !== undefined)
    return failure({
      code: 'not-found',
      path: 'name',
      message: `The sample has no column “${beginningOf(unknown, 100)}”.`,
    })
  const columns = []
  for (const head of heads) columns.push(await readColumn(db, sampleId, head))
  return success(packColumns(columns))
}
