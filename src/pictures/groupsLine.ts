import { extent, quantileSorted } from 'd3-array'
import type { Range } from './claimLine'

/** One line of the picture, in the scale that is shown. */
export type GroupBar = Readonly<{
  estimate?: number | undefined
  lower?: number | undefined
  upper?: number | undefined
}>

/** Where a line's interval is drawn: cut where it leaves the picture, open where it has no end. */
export type DrawnBar = Readonly<{
  estimate?: number
  from: number
  to: number
  /** Whether the interval goes on beyond what is drawn. */
  isCutBelow: boolean
  isCutAbove: boolean
}>

/** Beyond what is drawn, as a part of its width. */
const MARGIN = 0.06
/** So many of the ends of intervals may lie beyond the picture, where they would make it so many times as wide. */
const [BEYOND, TOO_WIDE] = [0.03, 3]

/** Estimates with their intervals on one scale: all estimates and claimed values are in it, and all but the widest intervals. */
export function groupsLine(
  bars: readonly GroupBar[],
  claimed: readonly number[],
): Readonly<{ x: Range; bars: readonly (DrawnBar | undefined)[] }> {
  const sorted = bars
    .flatMap(({ lower, upper }) => [lower, upper].filter((end) => end !== undefined))
    .toSorted((a, b) => a - b)
  const estimates = bars.flatMap(({ estimate }) => (estimate === undefined ? [] : [estimate]))
  const usual = extent([
    ...estimates,
    ...claimed,
    ...[BEYOND, 1 - BEYOND].flatMap((share) => quantileSorted(sorted, share) ?? []),
  ])
  const whole = extent([...usual, ...sorted].flatMap((value) => value ?? []))
  const widthOf = ([from = 0, to = 0]: readonly (number | undefined)[]) => to - from
  // A few wide intervals are cut, so that they do not hide the others.
  const [least = 0, most = 0] = widthOf(whole) > TOO_WIDE * widthOf(usual) ? usual : whole
  const room = MARGIN * (most - least || Math.abs(most) || 1)
  const x = { min: least - room, max: most + room }
  return { x, bars: bars.map((bar) => drawn(bar, x)) }
}

function drawn({ estimate, lower, upper }: GroupBar, { min, max }: Range): DrawnBar | undefined {
  if (estimate === undefined) return undefined
  const hasInterval = lower !== undefined || upper !== undefined
  const [from, to] = hasInterval ? [lower ?? min, upper ?? max] : [estimate, estimate]
  return {
    estimate,
    from: Math.max(min, from),
    to: Math.min(max, to),
    isCutBelow: hasInterval && (lower === undefined || lower < min),
    isCutAbove: hasInterval && (upper === undefined || upper > max),
  }
}
