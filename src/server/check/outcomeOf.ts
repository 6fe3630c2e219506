import 'server-only'
import { checkOutcome } from '@/claims/check'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { FindingOutcome } from '@/claims/finding'
import type { Connection } from '@/data/client'
import { documentOf, type HeldAgainst } from './documentOf'

/** What the check of a claim against its samples comes to; null while there is nothing to check. */
export async function outcomeOf(
  db: Connection,
  draft: ClaimDraft,
  known: readonly HeldAgainst[] = [],
): Promise<FindingOutcome | null> {
  const document = await documentOf(db, draft, known)
  return (document && checkOutcome(document)) ?? null
}
