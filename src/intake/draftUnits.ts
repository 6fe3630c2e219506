import { parameterOf } from '@/claims/all'
import { type ClaimDraft, isByReadings } from '@/desk/claimDraft'

/** Whether its values are per something that has to be typed. */
export const isPerExposure = ({ parameter }: Pick<ClaimDraft, 'parameter'>): boolean =>
  parameterOf(parameter).sample === 'events'

/** Whether a claim has a unit of readings that has to be typed: a count, a ratio and a rate have none. */
export function hasUnit(draft: Pick<ClaimDraft, 'parameter' | 'limitSide'>): boolean {
  const isOfReadings = parameterOf(draft.parameter).unitOf('u') !== undefined && !isPerExposure(draft)
  return isOfReadings || isByReadings(draft)
}
