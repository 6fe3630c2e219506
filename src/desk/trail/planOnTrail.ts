import { type LockedPlan, planIn } from '../lockedPlan'
import type { TrailEntry } from './chain'
import { firstReadings } from './changedAfter'

type Entry = Pick<
  TrailEntry,
  'number' | 'at' | 'action' | 'claimId' | 'sampleId' | 'before' | 'after' | 'detail'
>

/** The plan that was locked for a claim, as its trail has it. */
export type PlanOnTrail = Readonly<{
  plan: LockedPlan
  /** Which of the plan's claims it is, from 1. */
  place: number
  isByKey: boolean
  /** Of its entry, and when that was written. */
  number: number
  at: string
  /** The entry by which readings had come in before it was locked. */
  readingsBefore?: number
}>

/** @param trail - the first entry first */
export function planOnTrail(
  trail: readonly Entry[],
  about: Readonly<{ claimId: string; sampleIds: readonly (string | null)[] }>,
): PlanOnTrail | undefined {
  const entry = trail.find(({ action, claimId }) => action === 'planned' && claimId === about.claimId)
  const held = entry && planIn(entry.after)
  if (!held) return undefined
  const { number, at } = entry
  const first = firstReadings(trail, about)
  const { plan, place, jws } = held
  return {
    ...{ plan, place, isByKey: jws !== '', number, at },
    ...(first && first.number < number ? { readingsBefore: first.number } : {}),
  }
}
