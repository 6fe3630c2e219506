import { chiSquare } from '../distributions/chiSquare'
import { normal } from '../distributions/normal'
import { holds, type Interval, intervalFrom } from './interval'

/** Events counted over an exposure. */
export type EventSample = Readonly<{ events: number; exposure: number }>

export const RATE_INTERVALS = ['garwood', 'score'] as const
export type RateInterval = (typeof RATE_INTERVALS)[number]

/**
 * A confidence interval of a rate: of events that come singly, per unit of exposure.
 *
 * @param sample - whole events ≥ 0, exposure > 0
 * @see F. Garwood (1936), Biometrika 28, 437-442; L. Brown, T. Cai & A. DasGupta (2003), Interval estimation in exponential families,
 *   for the score interval
 * @example
 * rateInterval({ events: 3, exposure: 2 }, 'garwood').endsAt({ beyond: 0.05, sides: 'two-sided' })
 * // { lower: 0.309336, upper: 4.38364 }
 */
export function rateInterval(sample: EventSample, method: RateInterval): Interval {
  const { events: x, exposure } = sample
  switch (method) {
    case 'garwood':
      return {
        method,
        endsAt: intervalFrom({
          lower: (tail) => (x === 0 ? 0 : chiSquare(2 * x).quantile(tail, 'lower') / 2 / exposure),
          upper: (tail) => chiSquare(2 * x + 2).quantile(tail, 'upper') / 2 / exposure,
        }),
        holds: holdsRate,
      }
    case 'score':
      return {
        method,
        endsAt: intervalFrom({
          lower: (tail) => meanAtScore(x, normal.quantile(tail, 'upper')) / exposure,
          upper: (tail) => meanAtScore(x, normal.quantile(tail, 'lower')) / exposure,
        }),
        holds: holdsRate,
      }
    default:
      return method satisfies never
  }
}

/**
 * Whether a rate lies in an interval. None lies below 0: it belongs to an interval that ends there.
 *
 * @example
 * holdsRate({ lower: 0, upper: 2 }, 0) // true
 */
export const holdsRate: Interval['holds'] = ({ lower = 0, upper }, value) =>
  holds({ ...(lower === 0 ? {} : { lower }), ...(upper === undefined ? {} : { upper }) }, value)

/**
 * The expected count μ against which x events have the score z: of (x − μ)/√μ = z.
 *
 * @param events - also a half beside a whole number; below 0 as 0
 * @example
 * meanAtScore(4, 1.96) // 1.5555
 */
export function meanAtScore(events: number, z: number): number {
  const x = Math.max(0, events)
  const shift = z * Math.sqrt(x + (z * z) / 4)
  const larger = x + (z * z) / 2 + Math.abs(shift)
  // The product of both roots is x², which keeps the digits of the smaller.
  return shift < 0 ? larger : larger === 0 ? 0 : (x / larger) * x
}
