import type { Ends } from '@/statistics/inference/interval'
import type { SamplingPicture } from '@/pictures/samplingPicture'
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
  const half = picture.shape === 'bars' ? 0.5 : 0
  const { min, max } = picture
  const axis = axisOf({ min: min - half, max: max + half }, MARGIN, WIDTH - MARGIN)
  const highest = picture.points.reduce((most, { y }) => Math.max(most, y), 0)
  const at = (x: number, y: number): Point => [axis.x(x), BOTTOM - (y / highest) * CURVE]
  const line = outlineOf(picture).map(([x, y]) => at(x, y))
  const under = (from: number, to: number): readonly Point[] => [
    at(from, 0),
    ...outlineOf(picture, from, to).map(([x, y]) => at(x, y)),
    at(to, 0),
  ]
  const { statistic, rejected } = picture
  const placed = Math.min(max, Math.max(min, statistic))
  const arrow = statistic < min ? '← ' : ''
  const beyond = statistic > max ? ' →' : ''
  const upright = (x: number, row: number): readonly Point[] => [at(x, 0), [axis.x(x), (row + 1) * ROW]]
  const written = (text: string, x: number, row: number, side: -1 | 1, colour: string) => {
    const text_ = write(text)
    const shift = side * (text_.length * 2.55 + 6)
    return label({ text: text_, at: [axis.x(x) + shift, row * ROW + 9], colour, within: [0, WIDTH] })
  }
  const limits = [
    ...(rejected.lower === undefined ? [] : [{ x: rejected.lower, row: 2, side: 1 as const }]),
    ...(rejected.upper === undefined
      ? []
      : [{ x: rejected.upper, row: rejected.lower === undefined ? 2 : 1, side: -1 as const }]),
  ]
  const { estimate } = words
  const shapes: readonly Shape[] = [
    ...rangesOf(picture.counted, picture, half).map(([from, to]): Shape => ({
      is: 'line',
      points: under(from, to),
      closed: true,
      fill: BRASS,
      opacity: 0.55,
    })),
    ...rangesOf(rejected, picture, half).map(([from, to]): Shape => ({
      is: 'clipped',
      outline: under(from, to),
      shapes: hatchBetween(axis.x(from), axis.x(to)),
    })),
    { is: 'line', points: line, stroke: { colour: INK, width: 1.2 } },
    ...limits.map(({ x, row }): Shape => ({
      is: 'line',
      points: upright(x, row),
      stroke: { colour: FINDING.contradicted, width: 1, dash: [3, 2] },
    })),
    { is: 'line', points: upright(placed, 0), stroke: { colour: INK, width: 1.6 } },
    ...limits.flatMap(({ x, row, side }) => written(words.critical(x), x, row, side, FINDING.contradicted)),
    ...written(`${arrow}${words.statistic}${beyond}`, placed, 0, placed < (min + max) / 2 ? 1 : -1, INK),
    ...axisShapes(axis, BOTTOM, (value, _, ticks) => {
      const plain = write(tickWords(ticks)(value))
      return estimate ? [plain, write(estimate(value))] : [plain]
    }),
  ]
  return { width: WIDTH, height: BOTTOM + (estimate ? 36 : 26), shapes }
}

type Range = readonly [from: number, to: number]

function rangesOf({ lower, upper }: Ends, { min, max }: SamplingPicture, half: number): readonly Range[] {
  const ranges: Range[] = []
  if (lower !== undefined && lower + half > min - half) ranges.push([min - half, Math.min(lower, max) + half])
  if (upper !== undefined && upper - half < max + half) ranges.push([Math.max(upper, min) - half, max + half])
  return ranges
}

/** The curve, or the tops of the bars, from one x to another. */
function outlineOf(picture: SamplingPicture, from = -Infinity, to = Infinity): readonly Point[] {
  const { points, heightAt } = picture
  if (picture.shape === 'bars')
    return points
      .filter(({ x }) => x > from && x < to)
      .flatMap(({ x, y }): readonly Point[] => [
        [x - 0.5, 0],
        [x - 0.5, y],
        [x + 0.5, y],
        [x + 0.5, 0],
      ])
  const inside = points.filter(({ x }) => x > from && x < to).map(({ x, y }) => [x, y] as const)
  const end = (x: number): readonly Point[] => (Number.isFinite(x) ? [[x, heightAt(x)]] : [])
  return [...end(from), ...inside, ...end(to)]
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
