import { beginningOf } from '@/desk/typed'
import { groupsLine, type GroupBar } from '@/pictures/groupsLine'
import { axisOf, axisShapes, inUnitAtEnd } from './axis'
import { type Claimed, claimedShapes } from './claimed'
import { ACCENT, type Drawing, FINDING, INK, LABEL_SIZE, type Shape } from './drawing'

/** One line of the picture: its name, its figures in the scale that is shown, and whether it is against the claim. */
export type NamedBar = GroupBar & Readonly<{ name: string; isAgainst: boolean }>

const [WIDTH, MARGIN, TOP, AXIS_ROOM] = [480, 10, 18, 24]
/** For the names of the lines. */
const NAMES = 140
const STEP = 15
const LONGEST_NAME = 26
const ARROW = 4

/** A line for each group: its estimate with its interval, and the claimed value through all. */
export function groupsDrawing(
  lines: readonly NamedBar[],
  { claimed, unit }: Readonly<{ claimed: Claimed; unit: string }>,
  write: (text: string) => string,
): Drawing {
  const { x, bars } = groupsLine(
    lines,
    claimed.map(({ value }) => value),
  )
  const axis = axisOf(x, NAMES, WIDTH - MARGIN)
  const bottom = TOP + lines.length * STEP + 6
  const { lines: marks, labels } = claimedShapes(claimed, { axis, top: TOP, bottom, width: WIDTH }, write)
  const shapes: Shape[] = [...marks]
  for (const [at, { name, isAgainst }] of lines.entries()) {
    const y = TOP + (at + 0.5) * STEP + 3
    const shown = name.length > LONGEST_NAME ? `${beginningOf(name, LONGEST_NAME - 1)}…` : name
    shapes.push({
      ...{
        is: 'text',
        at: [NAMES - 8, y + 3],
        text: shown,
        size: LABEL_SIZE,
        colour: INK,
        anchor: 'end',
      },
    })
    const bar = bars[at]
    if (!bar) continue
    const colour = isAgainst ? FINDING.contradicted : ACCENT
    const [from, to, estimate] = [bar.from, bar.to, bar.estimate!].map(axis.x) as [number, number, number]
    const end = (place: number, isCut: boolean, towards: 1 | -1): Shape => ({
      is: 'line',
      points: isCut
        ? [
            [place - towards * ARROW, y - ARROW],
            [place, y],
            [place - towards * ARROW, y + ARROW],
          ]
        : [
            [place, y - ARROW],
            [place, y + ARROW],
          ],
      stroke: { colour, width: 1.5 },
    })
    shapes.push(
      {
        is: 'line',
        points: [
          [from, y],
          [to, y],
        ],
        stroke: { colour, width: 2 },
      },
      ...(from < to ? [end(from, bar.isCutBelow, -1), end(to, bar.isCutAbove, 1)] : []),
      {
        is: 'line',
        points: [
          [estimate, y - 5],
          [estimate, y + 5],
        ],
        stroke: { colour: INK, width: 1.5 },
      },
    )
  }
  shapes.push(...labels, ...axisShapes(axis, bottom, inUnitAtEnd(unit, write)))
  return { width: WIDTH, height: bottom + AXIS_ROOM, shapes }
}
