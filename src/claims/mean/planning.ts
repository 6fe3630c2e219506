import type { Planning } from '../terms/planning'

/** A true mean is sought up to so many standard deviations away. */
const FARTHEST = 1e6

/** How samples for a test of a mean are planned. */
export function planOfMeans(
  own: Required<Pick<Planning, 'leastSize' | 'power' | 'powerInside'>> & Pick<Planning, 'isSpreadKnown'>,
): Planning {
  return {
    ...own,
    plansRange: true,
    isBothWays: false,
    seek: {
      firstStep: (_, n, standardDeviation) => standardDeviation / Math.sqrt(n),
      farthest: (_from, _direction, standardDeviation) => standardDeviation * FARTHEST,
    },
  }
}
