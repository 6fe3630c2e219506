import { FIRST_STEPS, type Planning } from '../terms/planning'

/** A true share is sought nearly up to the end of the scale. */
const NEARLY = 1 - 1e-12

/** How samples for a test of a share are planned. */
export function planOfShares(own: Pick<Planning, 'power' | 'plansRange' | 'sizes' | 'maxUnits'>): Planning {
  return {
    ...own,
    leastSize: 1,
    isBothWays: true,
    seek: {
      firstStep: (from) => Math.min(from, 1 - from) / FIRST_STEPS,
      farthest: (from, direction) => (direction > 0 ? 1 - from : from) * NEARLY,
    },
  }
}
