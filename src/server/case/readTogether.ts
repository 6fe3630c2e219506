import 'server-only'
import { asksForControl } from '@/answers/claim'
import { isTested } from '@/claims/checkAnswer'
import { type CheckResult } from '@/claims/result'
import { simultaneousInterval } from '@/claims/simultaneousInterval'
import type { CheckDocument } from '@/claims/terms/request'
import { type TestedClaim, testedTogether } from '@/claims/testedTogether'
import type { FindingOutcome } from '@/claims/finding'
import { intervalWords } from '@/words/en/claimLineWords'
import { formatsFor } from '@/words/formats'
import { listClaims } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { findTrailHash } from '@/data/trailRepository'
import { computing } from '../compute/computing'
import { database } from '../keeping/database'
import { keepLast } from '@/desk/keepLast'
import { documentOf } from '../check/documentOf'

/** A claim's own p-value and outcome, and what both come to where all of the case's claims are taken together. */
export type ClaimTogether = TestedClaim &
  Readonly<{
    claimId: string
    adjusted: Readonly<{ pValue: number; outcome: FindingOutcome }>
    /** Its own, and the one that holds at once with the others'; only where they are asked for, and the method has one. */
    intervals?: Readonly<{ own: string; simultaneous: string; level: number }>
  }>

type Wants = 'p-values' | 'intervals'

/** What was computed last, and where the trail of its case stood: whatever the figures follow from is on it. */
const kept = new Map<string, Readonly<{ head: string; together: readonly ClaimTogether[] }>>()
const MAX_KEPT = 500

/**
 * The claims of a case that can be tested, in their order, with their p-values adjusted for being several.
 *
 * @param wants - whether intervals that hold at once are made too
 */
export async function readTogether(
  caseId: string,
  wants: Wants = 'p-values',
): Promise<readonly ClaimTogether[]> {
  const db = await database()
  const key = `${caseId} ${wants}`
  const head = await findTrailHash(db, caseId)
  const known = kept.get(key)
  if (known && known.head === head) return known.together
  const together = await computeTogether(db, caseId, wants)
  // A change that was made meanwhile may be in these figures already.
  if (head && head === (await findTrailHash(db, caseId))) keepLast(kept, key, { head, together }, MAX_KEPT)
  return together
}

async function computeTogether(
  db: Connection,
  caseId: string,
  wants: Wants,
): Promise<readonly ClaimTogether[]> {
  const tested: Tested[] = []
  for (const { id, draft } of await listClaims(db, caseId)) {
    if (draft.isDiscarded) continue
    const document = await documentOf(db, draft)
    const result = document && (await computing().check(document))
    // A lot that was measured whole is not tested, and a control has no p-value of its own.
    if (!document || asksForControl(document) || !result || !isTested(result)) continue
    const { pValue, significanceLevel } = result.test
    const known = pValue === undefined ? {} : { pValue }
    tested.push({
      ...{ claimId: id, ...known, significanceLevel, outcome: result.finding.outcome },
      ...{ document, result },
    })
  }
  const adjusted = testedTogether(tested)
  const count = tested.filter(({ result }) => result.interval).length
  return tested.map(({ document, result, ...one }, index) => ({
    ...one,
    adjusted: adjusted[index]!,
    ...(wants === 'intervals' ? intervalsOf(document, result, count) : {}),
  }))
}

type Tested = TestedClaim & Readonly<{ claimId: string; document: CheckDocument; result: CheckResult }>

function intervalsOf(
  document: CheckDocument,
  result: CheckResult,
  count: number,
): Pick<ClaimTogether, 'intervals'> {
  const own = result.interval
  const wider = own && simultaneousInterval({ document, level: own.level, count })
  if (!wider) return {}
  const { display } = formatsFor(document.claim, result, undefined)
  const [words, simultaneous] = [own, wider].map((one) => intervalWords(one, display))
  return { intervals: { own: words!, simultaneous: simultaneous!, level: own.level } }
}
