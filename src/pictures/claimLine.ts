import { extent, max } from 'd3-array'
import type { CheckResult } from '@/claims/result'
import { type Dot, pileReadings } from './stackReadings'

/** What a claim line shows, all in the scale that is shown. */
export type ClaimLineFigures = Readonly<{
  /** None where the parameter is no reading: a spread, a share. */
  values: readonly number[]
  estimate?: number | undefined
  lower?: number | undefined
  upper?: number | undefined
  /** The bound that mirrors a one-sided test, drawn where the interval seems to say something else. */
  bound?: Bound | undefined
  /** The claimed value, or both limits of a tolerance. */
  claimed: readonly number[]
  /** Of packs: of each value 1 where it is short by more than is tolerable, 2 by more than twice, else 0. */
  shorts?: readonly number[]
}>

/** One end, and the side on which the interval that it bounds is open. */
export type Bound = Readonly<{ value: number; open: 'above' | 'below' }>

/** Where everything on a claim line stands: on screen and in the report it is drawn from this. */
export type ClaimLineShape = Readonly<{
  x: Range
  /** A dot for each reading, or for `each` of them, in rows counted from 0. */
  dots: readonly Dot[]
  each: number
  rows: number
  /** The ends of the interval that there are, the lower first. */
  ends: readonly number[]
  /** From the bound to the edge of the picture. */
  bound?: readonly [number, number]
}>

export type Range = Readonly<{ min: number; max: number }>

/** Beyond what is drawn, as a part of its width. */
const MARGIN = 0.05

/** @param dot - the radius of a dot, and the width of the picture in the same unit */
export function claimLineShape(
  figures: ClaimLineFigures,
  dot: Readonly<{ radius: number; width: number }>,
): ClaimLineShape {
  const x = rangeOf(figures)
  const { dots, each } = pileReadings(figures.values, ((x.max - x.min) * 2 * dot.radius) / dot.width)
  const ends = [figures.lower, figures.upper].filter((end) => end !== undefined)
  const { bound } = figures
  return {
    ...{ x, dots, each, rows: max(dots, ({ y }) => y + 1) ?? 0, ends },
    ...(bound ? { bound: [bound.value, bound.open === 'above' ? x.max : x.min] } : {}),
  }
}

/**
 * The bound that mirrors a one-sided test, where the two-sided interval beside it holds the claimed value though the test
 * rejects, or the reverse.
 */
export function mirroringBound({ test, interval }: Pick<CheckResult, 'test' | 'interval'>) {
  const isRejected = test.decision === 'rejected'
  if (interval?.sides !== 'two-sided' || interval.holdsClaimedValue !== isRejected) return undefined
  const mirror = test.ways.find((way) => way.way === 'interval')
  return mirror && mirror.sides !== 'two-sided' ? mirror : undefined
}

function rangeOf({ values, lower, upper, bound, estimate, claimed }: ClaimLineFigures): Range {
  const rest = [lower, upper, bound?.value, estimate, ...claimed, ...extent(values)]
  const [min = 0, max = 0] = extent(rest.filter((value) => value !== undefined))
  const margin = (max - min) * MARGIN || Math.abs(max) * MARGIN || 1
  return { min: min - margin, max: max + margin }
}
