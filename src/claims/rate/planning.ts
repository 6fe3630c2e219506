import { exposuresFor, MAX_EXPOSURE, powerOfRate } from '@/statistics/power/ratePower'
import type { Planning } from '../terms/planning'

/** How an exposure for the exact test of a rate is planned. */
export const planOfRates: Planning = {
  leastSize: 0,
  power: powerOfRate,
  sizes: exposuresFor,
  maxUnits: MAX_EXPOSURE,
  plansRange: false,
  isBothWays: true,
  firstStep: (from) => from / 16,
  // A true rate is sought nearly down to 0, and upwards as far as anybody would ask.
  farthest: (from, direction) => (direction > 0 ? from * 1e6 : from * (1 - 1e-12)),
}
