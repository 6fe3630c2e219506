import 'server-only'
import { type ChainedEntry, type ChainVerdict, verifyChain } from '@/desk/trail/chain'
import { findInTrail, listWholeTrail, sha256, type TrailQuestion } from '@/data/trailRepository'
import { type CaseWithClaims, findCase } from '@/data/caseRepository'
import { verifyRecord } from '@/casefile/follows'
import type { RecordVerdict } from '@/casefile/verdict'
import { readContent } from '../keeping/readContent'
import { computing } from '../compute/computing'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'

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
): Promise<TrailPage | undefined> {
  const db = await database()
  const ownCase = isIdentifier(caseId) ? await findCase(db, caseId) : undefined
  if (!ownCase) return undefined
  const head = { length: ownCase.trailLength, hash: ownCase.trailHash }
  const verdict = verifyChain(await listWholeTrail(db, caseId), sha256, head)
  return { ownCase, verdict, ...(await findInTrail(db, { ...question, caseId })) }
}

/** What of a case as it is stored does not follow from its trail; undefined where there is no such case. */
export async function readRecord(caseId: string): Promise<RecordVerdict | undefined> {
  const content = await readContent(await database(), caseId)
  return content && verifyRecord(content, computing())
}
