import 'server-only'
import { checkOutcome } from '@/core/check/check'
import type { ClaimDraft } from '@/core/claim/draft'
import type { FindingOutcome } from '@/core/claim/finding'
import type { Connection } from '@/data/client'
import { documentOf } from './documentOf'

/** What the check of a claim against its samples comes to; null while there is nothing to check. */
export async function outcomeOf(
  db: Connection,
  draft: ClaimDraft,
  known: Parameters<typeof documentOf>[2] = [],
): Promise<FindingOutcome | null> {
  const document = await documentOf(db, draft, known)
  return (document && checkOutcome(document)) ?? null
}
