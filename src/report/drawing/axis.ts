import { scaleLinear } from 'd3-scale'
import { decimalsOfStep } from '@/pictures/ticks'
import { formatNumber } from '@/words/figures'
import { INK, LABEL_SIZE, QUIET, type Shape, widthOf } from './drawing'

export type Axis = Readonly<{
  min: number
  max: number
  left: number
  right: number
  /** The place of a value. */
  x: (value: number) => number
}>

export function axisOf(range: Readonly<{ min: number; max: number }>, left: number, right: number): Axis {
  const x = scaleLinear([range.min, range.max], [left, right])
  return { ...range, left, right, x: (value) => x(value) }
}

const MAX_TICKS = 7
const TICK = 4

/** Round values between the ends, in steps of 1, 2 or 5 times a power of ten. */
export function ticksOf({ min, max }: Pick<Axis, 'min' | 'max'>, maxTicks = MAX_TICKS): readonly number[] {
  const rough = (max - min) / maxTicks
  const power = 10 ** Math.floor(Math.log10(rough))
  const step = [1, 2, 5, 10].map((times) => times * power).find((one) => one >= rough)!
  const first = Math.ceil(min / step)
  const count = Math.floor(max / step) - first + 1
  return Array.from({ length: Math.max(0, count) }, (_, at) => Number(((first + at) * step).toPrecision(12)))
}

/** As many decimals as the steps between ticks need. */
export function tickWords(ticks: readonly number[]): (value: number) => string {
  const step = Math.abs((ticks[1] ?? 1) - (ticks[0] ?? 0)) || 1
  return (value) => formatNumber(value, decimalsOfStep(step))
}

/** Words under ticks: each value, the last with the unit. */
export const inUnitAtEnd =
  (unit: string, write: (text: string) => string): Words =>
  (value, at, ticks) => {
    const words = write(tickWords(ticks)(value))
    return [at === ticks.length - 1 && unit ? `${words}\u202f${unit}` : words]
  }

/** What stands under a tick, line by line. */
type Words = (value: number, at: number, ticks: readonly number[]) => readonly string[]

/** A horizontal axis with its ticks. */
export function axisShapes(axis: Axis, y: number, words: Words): readonly Shape[] {
  const widest = (ticks: readonly number[]) =>
    ticks
      .flatMap((value, at) => words(value, at, ticks))
      .reduce((max, one) => Math.max(max, widthOf(one, LABEL_SIZE)), 0)
  const room = axis.right - axis.left
  let ticks = ticksOf(axis)
  for (let max = MAX_TICKS - 1; max > 1 && (widest(ticks) + 8) * ticks.length > room; max -= 1)
    ticks = ticksOf(axis, max)
  return [
    {
      is: 'line',
      points: [
        [axis.left, y],
        [axis.right, y],
      ],
      stroke: { colour: INK, width: 0.8 },
    },
    ...ticks.flatMap((value, at): readonly Shape[] => {
      const x = axis.x(value)
      return [
        {
          is: 'line',
          points: [
            [x, y],
            [x, y + TICK],
          ],
          stroke: { colour: INK, width: 0.8 },
        },
        ...words(value, at, ticks).map((text, line): Shape => {
          const half = widthOf(text, LABEL_SIZE) / 2
          const centre = Math.max(axis.left + half, Math.min(axis.right - half, x))
          const place = [centre, y + TICK + 9 + line * 10] as const
          return { is: 'text', at: place, text, size: LABEL_SIZE, colour: QUIET, anchor: 'middle' }
        }),
      ]
    }),
  ]
}
