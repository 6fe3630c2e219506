import { parameterOf } from '@/claims/all'
import type { Claim } from '@/claims/terms/claim'

/** What the unit of a claim's values follows from. */
export type OfUnit = Pick<Claim, 'parameter' | 'unit' | 'exposureUnit'>

/**
 * The unit that the parameter's values carry: squared for a variance, none for a share or a ratio, per its exposure for a rate.
 *
 * @example
 * unitOf({ parameter: 'rate', unit: 'complaints', exposureUnit: '1,000 deliveries' }) // "complaints per 1,000 deliveries"
 */
export function unitOf({ parameter, unit, exposureUnit }: OfUnit): string | undefined {
  const { unitOf: own, sample } = parameterOf(parameter)
  const shown = unit ? own(unit) : undefined
  if (sample !== 'events' || !exposureUnit) return shown
  return shown ? `${shown} per ${exposureUnit}` : `per ${exposureUnit}`
}
