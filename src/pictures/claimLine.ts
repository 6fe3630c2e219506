import { extent, max } from 'd3-array'
import { type Dot, pileReadings } from './stackReadings'

/** What a claim line shows, all in the scale that is shown. */
export type ClaimLineFigures = Readonly<{
  /** None where the parameter is no reading: a spread, a share. */
  values: readonly number[]
  estimate?: number | undefined
  lower?: number | undefined
  upper?: number | undefined
  /** The claimed value, or both limits of a tolerance. */
  claimed: readonly number[]
}>

/** Where everything on a claim line stands: on screen and in the report it is drawn from this. */
export type ClaimLineShape = Readonly<{
  x: Range
  /** A dot for each reading, or for `each` of them, in rows counted from 0. */
  dots: readonly Dot[]
  each: number
  rows: number
  /** The ends of the interval that there are, the lower first. */
  ends: readonly number[]
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
  return { x, dots, each, rows: max(dots, ({ y }) => y + 1) ?? 0, ends }
}

function rangeOf({ values, lower, upper, estimate, claimed }: ClaimLineFigures): Range {
  const rest = [lower, upper, estimate, ...claimed, ...extent(values)]
  const [min = 0, max = 0] = extent(rest.filter((value) => value !== undefined))
  const margin = (max - min) * MARGIN || Math.abs(max) * MARGIN || 1
  return { min: min - margin, max: max + margin }
}
