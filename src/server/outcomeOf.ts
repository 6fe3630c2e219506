import 'server-only'
import { checkOutcome } from '@/core/check/check'
import type { ClaimDraft } from '@/core/claim/draft'
import type { FindingOutcome } from '@/core/claim/finding'
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
