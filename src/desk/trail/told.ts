import { type ChangedAfter, changedAfterReadings } from './changedAfter'
import { type PlanOnTrail, planOnTrail } from './planOnTrail'

/** What a finding has to tell of its trail: the plan that was locked for it, and what was changed after its readings were in. */
export type TrailTold = Readonly<{ plan: PlanOnTrail | undefined; changedAfter: readonly ChangedAfter[] }>

export const NOTHING_TOLD: TrailTold = { plan: undefined, changedAfter: [] }

/** @param trail - the first entry first */
export const toldByTrail = (
  trail: Parameters<typeof changedAfterReadings>[0],
  about: Parameters<typeof changedAfterReadings>[1],
): TrailTold => ({
  plan: planOnTrail(trail, about),
  changedAfter: changedAfterReadings(trail, about),
})
