import { type ClaimLineFigures, claimLineShape } from '@/pictures/claimLine'
import { axisOf, axisShapes, inUnitAtEnd } from './axis'
import { type Claimed, claimedShapes } from './claimed'
import { ACCENT, type Drawing, FINDING, INK, label, type Point, type Shape } from './drawing'

/** What is drawn, and what is written beside it. */
export type ClaimLineDrawing = Omit<ClaimLineFigures, 'claimed' | 'estimate'> &
  Readonly<{
    estimate: number
    claimed: Claimed
    interval: string
    boundWords: string
    unit: string
  }>

const WIDTH = 480
const MARGIN = 10
const TOP = 18
const AXIS_ROOM = 24
const INTERVAL_ROOM = 44
/** The most that rows of dots may take of the page. */
const MAX_DOTS = 120
const FEW = 300
const BARE = 18
/** Under the interval, for the bound with its label. */
const BOUND_ROOM = 34

/** Every reading as an open circle, the estimate with its interval under them, and the claimed value through all. */
export function claimLine(
  figures: ClaimLineDrawing,
  write: (text: string) => string,
): Readonly<{ drawing: Drawing; each: number }> {
  const { values, claimed, estimate, unit } = figures
  const radius = values.length <= FEW ? 3 : 1.8
  const { x, dots, each, rows, ends, bound } = claimLineShape(
    { ...figures, claimed: claimed.map(({ value }) => value) },
    { radius, width: WIDTH - 2 * MARGIN },
  )
  const axis = axisOf(x, MARGIN, WIDTH - MARGIN)
  const step = Math.min(2 * radius, MAX_DOTS / Math.max(1, rows))
  const floor = TOP + (rows === 0 ? BARE : rows * step + 6)
  const intervalY = floor + 12
  const boundY = intervalY + BOUND_ROOM
  const bottom = floor + INTERVAL_ROOM + (bound ? BOUND_ROOM : 0)
  const upright = (x: number, from: number, to: number): readonly Point[] => [
    [x, from],
    [x, to],
  ]
  const { lines, labels } = claimedShapes(claimed, { axis, top: TOP, bottom, width: WIDTH }, write)
  const shapes: readonly Shape[] = [
    ...lines,
    ...dots.map((dot, at): Shape => ({
      is: 'circle',
      at: [axis.x(dot.x), floor - 3 - (dot.y + 0.5) * step],
      radius: radius - 0.4,
      ...inkOf(each === 1 ? (figures.shorts?.[at] ?? 0) : 0),
    })),
    {
      is: 'line',
      points: ends.length === 2 ? ends.map((end) => [axis.x(end), intervalY] as const) : [],
      stroke: { colour: ACCENT, width: 3 },
    },
    ...ends.map((end): Shape => ({
      is: 'line',
      points: upright(axis.x(end), intervalY - 6, intervalY + 6),
      stroke: { colour: ACCENT, width: 2 },
    })),
    {
      is: 'line',
      points: upright(axis.x(estimate), intervalY - 9, intervalY + 9),
      stroke: { colour: INK, width: 2 },
    },
    ...labels,
    ...label({
      text: write(figures.interval),
      at: [axis.x(estimate), intervalY + 19],
      colour: INK,
      within: [0, WIDTH],
    }),
    ...(bound
      ? [
          {
            is: 'line',
            points: bound.map((end) => [axis.x(end), boundY] as const),
            stroke: { colour: ACCENT, width: 1.5 },
          } as const,
          {
            is: 'line',
            points: upright(axis.x(bound[0]), boundY - 6, boundY + 6),
            stroke: { colour: ACCENT, width: 2 },
          } as const,
          ...label({
            text: write(figures.boundWords),
            at: [axis.x(bound[0]), boundY + 19],
            colour: INK,
            within: [0, WIDTH],
          }),
        ]
      : []),
    ...axisShapes(axis, bottom, inUnitAtEnd(unit, write)),
  ]
  return { drawing: { width: WIDTH, height: bottom + AXIS_ROOM, shapes }, each }
}

/** Of a pack that is short by more than is tolerable, in the colour of what contradicts; by more than twice, filled with it. */
function inkOf(short: number): Pick<Extract<Shape, { is: 'circle' }>, 'stroke' | 'fill'> {
  const colour = short > 0 ? FINDING.contradicted : INK
  return { stroke: { colour, width: 0.8 }, ...(short > 1 ? { fill: colour } : {}) }
}
