import 'server-only'
import { check } from '@/core/check/check'
import type { ClaimDraft } from '@/core/claim/draft'
import type { FindingOutcome } from '@/core/claim/finding'
import { readDraft } from '@/intake/readDraft'

/** What the draft's check comes to; null while there is nothing to check. */
export function outcomeOf(draft: ClaimDraft): FindingOutcome | null {
  const { document } = readDraft(draft)
  const answer = document && check(document)
  return answer?.ok ? answer.finding.outcome : null
}
