import type { Computing } from '@/answers/computing'
import type { Examination, Examined } from '@/claims/crossexamination/question'
import { canonicalJson } from '@/desk/canonicalJson'
import { keepLast } from '@/desk/keepLast'

/** Above so many readings every question takes seconds: then it is asked on the claim's page, and the report says so. */
export const MAX_EXAMINED = 20_000
/** Answers kept, so that a report that is looked at, printed and copied is examined once. */
const MAX_KEPT = 300
const kept = new Map<string, readonly Examined[]>()

/** What was asked before is answered as before: an answer depends on the document alone. */
export async function answersTo(
  examination: Examination,
  fingerprint: string,
  computing: Computing,
): Promise<readonly Examined[] | undefined> {
  if (examination.result.sample.n > MAX_EXAMINED) return undefined
  const key = `${fingerprint} ${canonicalJson(examination.withSetAside ?? null)}`
  const known = kept.get(key)
  if (known) return known
  const answers = await computing.examine(examination)
  keepLast(kept, key, answers, MAX_KEPT)
  return answers
}
