import { bracketedRoot } from '../numeric/bracketedRoot'
import { noncentralTTails } from './noncentralT'
import { noncentralTSeries, SERIES_RANGE } from './noncentralTSeries'
import { normal } from './normal'
import type { Tail } from './tails'

/**
 * The noncentrality δ under which the noncentral t distribution leaves a probability on the given side of t.
 *
 * @param input - ν > 0; `tail` between 0 and 1
 * @see J. Steiger & R. Fouladi (1997), in What If There Were No Significance Tests?, ch. 9
 * @example
 * noncentralityAt({ t: 2, degreesOfFreedom: 10, tail: 0.025, side: 'upper' }) // -0.183517
 */
export function noncentralityAt(
  input: Readonly<{ t: number; degreesOfFreedom: number; tail: number; side: Tail }>,
): number {
  if (input.t < 0)
    return 0 - noncentralityAt({ ...input, t: -input.t, side: input.side === 'upper' ? 'lower' : 'upper' })
  const { t, degreesOfFreedom, side } = input
  const target = Math.log(input.tail)
  const isMiddle = t <= SERIES_RANGE.t && input.tail >= SERIES_RANGE.tail
  const series = isMiddle ? noncentralTSeries({ t, degreesOfFreedom }) : undefined
  const f = (noncentrality: number) => {
    if (series && Math.abs(noncentrality) <= SERIES_RANGE.noncentrality) {
      return Math.log(series(noncentrality)[side]) - target
    }
    const tails = noncentralTTails({ t, degreesOfFreedom, noncentrality })
    return (side === 'upper' ? tails.logUpper : tails.logLower) - target
  }
  const spread = Math.hypot(1, t / Math.sqrt(2 * degreesOfFreedom))
  const towards = side === 'upper' ? -1 : 1
  const z = normal.quantile(input.tail, 'upper')
  // The normal approximation is near the root, which never lies below −z: there Z alone leaves the tail above 0.
  const guess = Math.max(-z, t + towards * z * spread)
  let reach = 0.05 * spread
  const isBefore = f(guess) > 0
  const direction = isBefore ? towards : -towards
  while (f(guess + direction * reach) > 0 === isBefore) reach *= 2
  return bracketedRoot({ f, low: guess, high: guess + direction * reach })
}
