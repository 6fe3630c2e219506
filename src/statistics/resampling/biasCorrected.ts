import { normal } from '../distributions/normal'
import { intervalFrom, type IntervalOf } from '../inference/interval'
import { isWithin } from '../inference/tailProbability'
import { compensatedSum } from '../numeric/compensatedSum'
import { firstWhole } from '../numeric/wholeSearch'

/** An estimate, and what its resamples are corrected by. */
export type Jackknifed = Readonly<{
  estimate: number
  /** What was taken from the readings before resampling. */
  offset: number
  /** The estimate without each reading in turn. */
  leftOut: Float64Array
}>

/** The least level that may be told by an end of the interval. */
type Least = Readonly<{ least?: number }>

export type BiasCorrected = Readonly<{
  endsAt: IntervalOf
  /** The level at which the lower end of the interval, or the upper one, meets a value. */
  tailAt: (value: number, side: 'lower' | 'upper') => number
}>

/**
 * The BCa interval: quantiles of the resamples, at levels corrected for bias and for skewness.
 *
 * @param statistics - of the resamples, ascending, less the offset
 * @see B. Efron (1987), J. American Statistical Association 82, 171-185
 * @example
 * biasCorrected(Float64Array.from({ length: 999 }, (_, i) => (i - 499) / 500), {
 *   estimate: 15,
 *   offset: 15,
 *   leftOut: Float64Array.of(14.9, 15, 15.1),
 * }).endsAt({ beyond: 0.05, sides: 'two-sided' })
 * // { lower: 14.05, upper: 15.95 }
 */
export function biasCorrected(
  statistics: Float64Array,
  { estimate, offset, leftOut, least = 0 }: Jackknifed & Least,
): BiasCorrected {
  const centre = estimate - offset
  const count = statistics.length
  const rarest = Math.max(1 / (count + 1), least)
  const below = (countBelow(statistics, centre, 'without') + countBelow(statistics, centre, 'with')) / 2
  const bias = normal.quantile(Math.min(count - 0.5, Math.max(0.5, below)) / count, 'lower')
  const acceleration = accelerationOf(leftOut)
  const endAt = (tail: number, side: 'lower' | 'upper') => {
    const z = bias + normal.quantile(tail, side)
    const room = 1 - acceleration * z
    const place = (count + 1) * normal.tails(bias + z / room).lower - 1
    // Nothing rarer than one resample in all can be told.
    const isTold = isWithin(rarest, tail)
    if (!(isTold && room > 0 && place >= 0 && place <= count - 1)) return undefined
    const [low, high] = [statistics[Math.floor(place)]!, statistics[Math.ceil(place)]!]
    return offset + low + (place - Math.floor(place)) * (high - low)
  }
  const tailAt = (value: number, side: 'lower' | 'upper') => {
    const share = (placeOf(statistics, value - offset, side) + 1) / (count + 1)
    const u = normal.quantile(share, 'lower') - bias
    const room = 1 + acceleration * u
    const tail = room > 0 ? normal.tails(u / room - bias)[side] : 0
    return Math.max(rarest, tail)
  }
  const endsAt = intervalFrom({
    lower: (tail) => endAt(tail, 'lower'),
    upper: (tail) => endAt(tail, 'upper'),
  })
  return { endsAt, tailAt }
}

/**
 * Where a value stands among ascending numbers, counted from 0, between two of them by its distance from each; of equal
 * ones the first for a lower end, the last for an upper.
 */
function placeOf(sorted: Float64Array, value: number, side: 'lower' | 'upper'): number {
  const above = countBelow(sorted, value, side === 'lower' ? 'without' : 'with')
  if (side === 'upper' && above > 0 && sorted[above - 1] === value) return above - 1
  if (above === 0 || above === sorted.length || sorted[above] === value)
    return Math.min(above, sorted.length - 1)
  const [low, high] = [sorted[above - 1]!, sorted[above]!]
  return above - 1 + (value - low) / (high - low)
}

/** Σ(θ̄ − θᵢ)³ / (6 (Σ(θ̄ − θᵢ)²)^(3/2)), over the estimates without one reading each. */
function accelerationOf(leftOut: Float64Array): number {
  const n = leftOut.length
  const mean = compensatedSum(n, (i) => leftOut[i]!) / n
  const squares = compensatedSum(n, (i) => (mean - leftOut[i]!) ** 2)
  return squares === 0 ? 0 : compensatedSum(n, (i) => (mean - leftOut[i]!) ** 3) / (6 * squares ** 1.5)
}

/**
 * How many ascending numbers lie below a value, without those equal to it or with them.
 *
 * @example
 * countBelow(Float64Array.of(1, 2, 2, 3), 2, 'with') // 3
 */
export function countBelow(sorted: Float64Array, value: number, counted: 'without' | 'with'): number {
  const isPast = (at: number) => (counted === 'without' ? sorted[at]! >= value : sorted[at]! > value)
  return firstWhole(isPast, 0, sorted.length)
}
