import type { PicturePoint } from '@/pictures/distributionShape'
import type { SamplingPicture } from '@/pictures/samplingPicture'
import { areaUnder, outlineOf, samplingShape, withArrow } from '@/pictures/samplingShape'
import { axisOf, axisShapes, tickWords } from './axis'
import { BRASS, type Drawing, FINDING, INK, label, type Point, type Shape } from './drawing'

const WIDTH = 480
const MARGIN = 10
const LABEL_ROWS = 3
const ROW = 14
const CURVE = 110
const TOP = LABEL_ROWS * ROW + 4
const BOTTOM = TOP + CURVE
const HATCH = 5

/** What is written into the picture of a test. */
export type SamplingWords = Readonly<{
  statistic: string
  critical: (value: number) => string
  /** A value of the axis in the claim's unit; absent where the two scales have nothing to do with each other. */
  estimate?: ((value: number) => string) | undefined
}>

/** The distribution of a statistic under the null hypothesis: rejection region hatched, p-value solid, statistic marked. */
export function samplingDrawing(
  picture: SamplingPicture,
  words: SamplingWords,
  write: (text: string) => string,
): Drawing {
  const { x, top, statistic, limits, counted, rejected } = samplingShape(picture)
  const axis = axisOf(x, MARGIN, WIDTH - MARGIN)
  const at = ({ x: place, y }: PicturePoint): Point => [axis.x(place), BOTTOM - (y / top) * CURVE]
  const upright = (place: number, row: number): readonly Point[] => [
    at({ x: place, y: 0 }),
    [axis.x(place), (row + 1) * ROW],
  ]
  const written = (text: string, place: number, row: number, side: -1 | 1, colour: string) => {
    const text_ = write(text)
    const shift = side * (text_.length * 2.55 + 6)
    return label({ text: text_, at: [axis.x(place) + shift, row * ROW + 9], colour, within: [0, WIDTH] })
  }
  /** From the top: the statistic's label stands in row 0. */
  const rowOf = ({ row }: (typeof limits)[number]) => LABEL_ROWS - row
  const { estimate } = words
  const shapes: readonly Shape[] = [
    ...counted.map((stretch): Shape => ({
      is: 'line',
      points: areaUnder(picture, stretch).map(at),
      closed: true,
      fill: BRASS,
      opacity: 0.55,
    })),
    ...rejected.map((stretch): Shape => ({
      is: 'clipped',
      outline: areaUnder(picture, stretch).map(at),
      shapes: hatchBetween(axis.x(stretch[0]), axis.x(stretch[1])),
    })),
    { is: 'line', points: outlineOf(picture).map(at), stroke: { colour: INK, width: 1.2 } },
    ...limits.map((limit): Shape => ({
      is: 'line',
      points: upright(limit.x, rowOf(limit)),
      stroke: { colour: FINDING.contradicted, width: 1, dash: [3, 2] },
    })),
    { is: 'line', points: upright(statistic.at, 0), stroke: { colour: INK, width: 1.6 } },
    ...limits.flatMap((limit) => {
      const side = limit.end === 'lower' ? 1 : -1
      return written(words.critical(limit.x), limit.x, rowOf(limit), side, FINDING.contradicted)
    }),
    ...written(withArrow(words.statistic, statistic.beyond), statistic.at, 0, statistic.isLeft ? 1 : -1, INK),
    ...axisShapes(axis, BOTTOM, (value, _, ticks) => {
      const plain = write(tickWords(ticks)(value))
      return estimate ? [plain, write(estimate(value))] : [plain]
    }),
  ]
  return { width: WIDTH, height: BOTTOM + (estimate ? 36 : 26), shapes }
}

function hatchBetween(left: number, right: number): readonly Shape[] {
  const lines: Shape[] = []
  for (let x = left - CURVE; x < right; x += HATCH)
    lines.push({
      is: 'line',
      points: [
        [x, BOTTOM],
        [x + CURVE, TOP],
      ],
      stroke: { colour: FINDING.contradicted, width: 0.9 },
    })
  return lines
}
