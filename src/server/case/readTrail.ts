import 'server-only'
import { type ChainedEntry, type ChainHead, type ChainVerdict, verifyChain } from '@/desk/trail/chain'
import { findInTrail, listWholeTrail, sha256, type TrailQuestion } from '@/data/trailRepository'
import { type CaseWithClaims, findCase } from '@/data/caseRepository'
import { verifyRecord } from '@/casefile/follows'
import type { RecordVerdict } from '@/casefile/verdict'
import { readContentNow } from '../keeping/readContent'
import { computing } from '../compute/computing'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'
import { type Checked, keptVerdict } from './keptVerdict'

/** A page of a case's trail that answers a question, and whether the whole chain holds. */
export type TrailPage = Readonly<{
  ownCase: CaseWithClaims
  entries: readonly ChainedEntry[]
  total: number
  verdict: ChainVerdict
}>

export async function readTrail(
  caseId: string,
  question: TrailQuestion & Readonly<{ page: number; pageSize: number }>,
  isAnew = false,
): Promise<TrailPage | undefined> {
  if (!isIdentifier(caseId)) return undefined
  return (await database()).inSnapshot(async (snapshot) => {
    const ownCase = await findCase(snapshot, caseId)
    if (!ownCase) return undefined
    const head = { length: ownCase.trailLength, hash: ownCase.trailHash }
    const { verdict } = await keptVerdict(`${caseId} chain`, { head: hashOf(head), isAnew }, async () =>
      verifyChain(await listWholeTrail(snapshot, caseId), sha256, head),
    )
    return { ownCase, verdict, ...(await findInTrail(snapshot, { ...question, caseId })) }
  })
}

const hashOf = ({ length, hash }: ChainHead) => `${length} ${hash}`

/** What of a case as it is stored does not follow from its trail; undefined where there is no such case. */
export async function readRecord(
  caseId: string,
  isAnew = false,
): Promise<Checked<RecordVerdict> | undefined> {
  const db = await database()
  const known = isIdentifier(caseId) ? await findCase(db, caseId) : undefined
  if (!known) return undefined
  const head = hashOf({ length: known.trailLength, hash: known.trailHash })
  return keptVerdict(`${caseId} record`, { head, isAnew }, async () =>
    verifyRecord((await readContentNow(db, caseId))!, computing()),
  )
}
