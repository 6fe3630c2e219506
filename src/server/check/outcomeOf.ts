import 'server-only'
import { outcomeOfClaim } from '@/answers/claim'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { KnownOutcome } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { isLong } from '../compute/computing'
import { wantOutcomes } from './laterOutcomes'
import { documentOf, type HeldAgainst } from './documentOf'

/**
 * What the check of a claim against its samples comes to; null while there is nothing to check. One that takes long is computed
 * after the change that it belongs to is stored.
 */
export async function outcomeOf(
  db: Connection,
  draft: ClaimDraft,
  known: readonly HeldAgainst[] = [],
): Promise<KnownOutcome> {
  const document = await documentOf(db, draft, known)
  if (!document) return null
  if (!isLong(document)) return outcomeOfClaim(document) ?? null
  wantOutcomes(db)
  return 'computing'
}
