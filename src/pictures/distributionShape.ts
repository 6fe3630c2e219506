import { max as highest } from 'd3-array'
import type { Reference } from '@/statistics/distributions/reference'
import type { Ends } from '@/statistics/inference/interval'

export type PicturePoint = Readonly<{ x: number; y: number }>

/** A distribution as it is drawn. */
export type DistributionShape = Readonly<{
  /** A density, or the probability of each whole number. */
  shape: 'curve' | 'bars'
  /** From one bar to the next; 0 for a curve. */
  barWidth: number
  /** From one value to the next, also where they are too many for bars; absent where there are all values between. */
  step?: number
  /** On its own scale, from left to right. */
  points: readonly PicturePoint[]
  /** Height at any x. */
  heightAt: (x: number) => number
  min: number
  max: number
}>

/** The probability left out of the picture at each end. */
const BEYOND = 1e-4
/** So many times the distance of the quartiles is drawn on either side of the middle: a long tail would take all the room. */
const LONGEST = 8
/** How much farther than what is drawn one point may widen it. */
export const WIDEST = 2.5
const STEPS = 240
/** So many times as high as the rest a curve may be at its ends. */
const STEEPEST = 1.25
/** Above so many whole numbers a bar would be no wider than a line. */
const MAX_BARS = 160

/**
 * The shape of a distribution.
 *
 * @param seen.step - from one value to the next of a discrete one
 * @param seen.statistic - a point that is to be in the picture, unless it lies far out
 * @param seen.ends - points that are to be in it however far out
 */
export function distributionShape(
  known: Reference,
  seen: Readonly<{ step: number | undefined; statistic: number; ends: Ends }>,
): DistributionShape {
  const { step } = seen
  const { min, max } = rangeOf(known, seen)
  const isBars = step !== undefined && max - min <= MAX_BARS * step
  const density = (x: number) => known.density(step === undefined ? x : Math.round(x / step) * step)
  const points = pointsBetween({ min, max, step: isBars ? step : (max - min) / STEPS, heightAt: density })
  // A curve that rises without end at its own end would leave the rest flat.
  const most = STEEPEST * (highest(points.slice(1, -1), ({ y }) => y) ?? Infinity)
  const heightAt = isBars ? density : (x: number) => Math.min(density(x), most)
  return {
    shape: isBars ? 'bars' : 'curve',
    barWidth: isBars ? step : 0,
    points: isBars ? points : points.map(({ x, y }) => ({ x, y: Math.min(y, most) })),
    ...{ heightAt, min, max },
    ...(step === undefined ? {} : { step }),
  }
}

function rangeOf(
  known: Reference,
  seen: Readonly<{ step: number | undefined; statistic: number; ends: Ends }>,
): Readonly<{ min: number; max: number }> {
  const { statistic, ends } = seen
  const [first, middle, third] = [0.25, 0.5, 0.75].map((share) => known.quantile(share, 'lower'))
  const most = LONGEST * (third! - first!) || Infinity
  const low = Math.max(known.quantile(BEYOND, 'lower'), middle! - most)
  const high = Math.min(known.quantile(BEYOND, 'upper'), middle! + most)
  const reach = (WIDEST - 1) * (high - low || 1)
  const near = Math.min(high + reach, Math.max(low - reach, statistic))
  const needed = [ends.lower, ends.upper].filter((end) => end !== undefined)
  const [min, max] = [Math.min(low, near, ...needed), Math.max(high, near, ...needed)]
  return seen.step === undefined ? { min, max } : { min: Math.floor(min), max: Math.ceil(max) }
}

function pointsBetween(
  input: Readonly<{ min: number; max: number; step: number; heightAt: (x: number) => number }>,
): readonly PicturePoint[] {
  const { min, max, step, heightAt } = input
  const count = Math.max(1, Math.round((max - min) / step))
  return Array.from({ length: count + 1 }, (_, i) => {
    const x = min + ((max - min) * i) / count
    return { x, y: heightAt(x) }
  })
}
