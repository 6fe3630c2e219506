import 'server-only'
import { check } from '@/answers/check'
import { type TestedClaim, testedTogether } from '@/claims/testedTogether'
import type { FindingOutcome } from '@/claims/finding'
import { listClaims } from '@/data/claimRepository'
import { database } from '../keeping/database'
import { documentOf } from '../check/documentOf'

/** A claim's own p-value and outcome, and what both come to where all of the case's claims are taken together. */
export type ClaimTogether = TestedClaim &
  Readonly<{ claimId: string; adjusted: Readonly<{ pValue: number; outcome: FindingOutcome }> }>

/** The claims of a case that can be tested, in their order, with their p-values adjusted for being several. */
export async function readTogether(caseId: string): Promise<readonly ClaimTogether[]> {
  const db = await database()
  const tested: (TestedClaim & Readonly<{ claimId: string }>)[] = []
  for (const { id, draft } of await listClaims(db, caseId)) {
    if (draft.isDiscarded) continue
    const document = await documentOf(db, draft)
    const result = document && check(document)
    if (!result?.ok) continue
    const { pValue, significanceLevel } = result.test
    const known = pValue === undefined ? {} : { pValue }
    tested.push({ claimId: id, ...known, significanceLevel, outcome: result.finding.outcome })
  }
  const adjusted = testedTogether(tested)
  return tested.map((one, index) => ({ ...one, adjusted: adjusted[index]! }))
}
