import type { Alternative } from './alternative'

export type ContinuityCorrection = 'none' | 'continuity'

/**
 * A count's deviation from what is expected, moved towards 0 by a half where a continuous distribution stands in for
 * that of the count: for a two-sided test at most onto 0.
 *
 * @param half - ½, or 0 for no correction
 * @example
 * correctedDeviation(-8, 0.5, 'two-sided') // -7.5
 */
export function correctedDeviation(deviation: number, half: number, alternative: Alternative): number {
  switch (alternative) {
    case 'less':
      return deviation + half
    case 'greater':
      return deviation - half
    case 'two-sided':
      return Math.sign(deviation) * Math.max(0, Math.abs(deviation) - half)
    default:
      return alternative satisfies never
  }
}
