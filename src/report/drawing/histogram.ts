import type { Bin } from '@/statistics/describe/bins'
import { axisOf, axisShapes, inUnitAtEnd, ticksOf } from './axis'
import { type Claimed, claimedShapes } from './claimed'
import { ACCENT, type Drawing, INK, LABEL_SIZE, type Point, QUIET, type Shape, widthOf } from './drawing'

const WIDTH = 480
const MARGIN = 10
const TOP = 18
const BARS = 110
const BOTTOM = TOP + BARS
const AXIS_ROOM = 24

/** What is drawn, in the unit of the readings, and what is written beside it. */
export type HistogramDrawing = Readonly<{
  bins: readonly Bin[]
  /** None where it is on another scale than the readings. */
  claimed: Claimed
  unit: string
}>

/** No scale tells the ends of a narrower range apart. */
const NARROWEST = 2 ** -1000

/** How many readings fall into each bin, with the claimed value through them where it lies among them. */
export function histogramDrawing(
  { bins, claimed, unit }: HistogramDrawing,
  write: (text: string) => string,
): Drawing {
  const most = bins.reduce((max, { count }) => Math.max(max, count), 1)
  const counts = ticksOf({ min: 0, max: most }, 4).filter(Number.isInteger)
  const room = Math.max(...counts.map((count) => widthOf(write(String(count)), LABEL_SIZE))) + 4
  const [first, last] = [bins[0]!.from, bins.at(-1)!.to]
  const range = last - first > NARROWEST ? { min: first, max: last } : { min: first - 0.5, max: first + 0.5 }
  const axis = axisOf(range, MARGIN + room, WIDTH - MARGIN)
  const y = (count: number) => BOTTOM - (count / most) * BARS
  const bar = ({ from, to, count }: Bin): readonly Point[] => [
    [axis.x(from), BOTTOM],
    [axis.x(from), y(count)],
    [axis.x(to), y(count)],
    [axis.x(to), BOTTOM],
  ]
  const among = claimed.filter(({ value }) => value >= range.min && value <= range.max)
  const { lines, labels } = claimedShapes(among, { axis, top: TOP, bottom: BOTTOM, width: WIDTH }, write)
  const shapes: readonly Shape[] = [
    ...counts.map((count): Shape => ({
      is: 'text',
      at: [MARGIN + room - 4, y(count) + 3],
      text: write(String(count)),
      size: LABEL_SIZE,
      colour: QUIET,
      anchor: 'end',
    })),
    ...bins
      .filter(({ count }) => count > 0)
      .map((bin): Shape => ({
        is: 'line',
        points: bar(bin),
        closed: true,
        fill: ACCENT,
        opacity: 0.25,
        stroke: { colour: INK, width: 0.8 },
      })),
    ...lines,
    ...labels,
    ...axisShapes(axis, BOTTOM, inUnitAtEnd(unit, write)),
  ]
  return { width: WIDTH, height: BOTTOM + AXIS_ROOM, shapes }
}
