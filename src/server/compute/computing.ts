import 'server-only'
import { AT_ONCE, type Computing } from '@/answers/computing'
import { looksOfClaim } from '@/answers/claim'
import type { ClaimAnswer, ClaimDocument } from '@/claims/checkAnswer'
import type { EstimateDocument } from '@/claims/estimate'
import { takesLongToEstimate } from '@/claims/work'
import { canonicalJson } from '@/desk/canonicalJson'
import { sha256 } from '@/data/trailRepository'
import { keepLast } from '@/desk/keepLast'
import { inThread, type JobLimits } from './pool'

/** About a tenth of a second: longer work would keep others waiting. */
const MAX_LOOKS = 100_000
/** Long checks are kept, so that a case that is looked at, reported and signed is checked once. */
const MAX_KEPT = 30

/** Whether a check takes longer than others may wait for. */
export function isLong(document: ClaimDocument): boolean {
  try {
    return looksOfClaim(document) > MAX_LOOKS
  } catch {
    // It is no check document, and is refused at once.
    return false
  }
}

const kept = new Map<string, ClaimAnswer>()

/** Checks and cross-examinations for the server: those that take long in a thread of their own. */
export function computing(limits: JobLimits = {}): Computing {
  return {
    check: async (document) => {
      if (!isLong(document as ClaimDocument)) return AT_ONCE.check(document)
      const key = sha256(canonicalJson(document))
      const known = kept.get(key)
      if (known) return known
      const answer = await inThread('check', document, limits)
      keepLast(kept, key, answer, MAX_KEPT)
      return answer
    },
    estimate: (document) =>
      takesLongToEstimate(document as EstimateDocument)
        ? inThread('estimate', document, limits)
        : AT_ONCE.estimate(document),
    groups: (document) => inThread('groups', document, limits),
    lots: (document) => inThread('lots', document, limits),
    examine: (examination) => inThread('examine', examination, limits),
  }
}
