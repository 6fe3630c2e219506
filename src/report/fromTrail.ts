import { departures } from '@/desk/planKept'
import type { TrailTold } from '@/desk/trail/told'
import { lockedPlanWords, planKeptWords } from '@/words/en/lockedPlanWords'
import { changedAfterWords } from '@/words/en/trailWords'

/** What the trail tells of a claim: what was kept of its plan, and what was changed after a finding was seen. */
export function fromTrail(
  { plan, changedAfter }: TrailTold,
  answered: Parameters<typeof departures>[2] | undefined,
  noted: readonly string[],
): readonly string[] {
  const kept =
    plan && answered ? planKeptWords(plan, departures(plan.plan, plan.place, answered, noted)) : undefined
  return [
    ...(plan ? [[kept, lockedPlanWords(plan)].filter(Boolean).join(' ')] : []),
    ...(changedAfter.length > 0 ? [changedAfterWords(changedAfter)] : []),
  ]
}
