import { exposuresFor, MAX_EXPOSURE, powerOfRate } from '@/statistics/power/ratePower'
import { FIRST_STEPS, type Planning, SEEK_POSITIVE } from '../terms/planning'

/** How an exposure for the exact test of a rate is planned. */
export const planOfRates: Planning = {
  leastSize: 0,
  power: powerOfRate,
  sizes: exposuresFor,
  maxUnits: MAX_EXPOSURE,
  plansRange: false,
  isBothWays: true,
  seek: { ...SEEK_POSITIVE, firstStep: (from) => from / FIRST_STEPS },
}
