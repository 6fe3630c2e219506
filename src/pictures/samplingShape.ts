import { max as highest } from 'd3-array'
import type { Ends } from '@/statistics/inference/interval'
import type { Range } from './claimLine'
import type { PicturePoint } from './distributionShape'
import type { SamplingPicture } from './samplingPicture'

/** Where everything in the picture of a test stands: on screen and in the report it is drawn from this. */
export type SamplingShape = Readonly<{
  /** The axis: bars reach half a step beyond their numbers. */
  x: Range
  /** The height of the highest point. */
  top: number
  /** What is rejected, and what the p-value counts, from left to right. */
  rejected: readonly Stretch[]
  counted: readonly Stretch[]
  /** The statistic, at an end where it lies beyond it, and towards which end that is. */
  statistic: Readonly<{ at: number; beyond: 'left' | 'right' | undefined; isLeft: boolean }>
  /** The critical values, with the row of their labels: two that may be close stand one above the other. */
  limits: readonly Readonly<{ x: number; end: 'lower' | 'upper'; row: 1 | 2 }>[]
}>

export type Stretch = readonly [from: number, to: number]

export function samplingShape(picture: SamplingPicture): SamplingShape {
  const half = picture.barWidth / 2
  const { min, max, statistic } = picture
  const x = { min: min - half, max: max + half }
  const at = Math.min(max, Math.max(min, statistic))
  const { lower, upper } = picture.rejected
  return {
    x,
    top: highest(picture.points, ({ y }) => y) ?? 0,
    rejected: stretchesOf(picture.rejected, picture, half),
    counted: stretchesOf(picture.counted, picture, half),
    statistic: {
      at,
      beyond: statistic < min ? 'left' : statistic > max ? 'right' : undefined,
      isLeft: at < (min + max) / 2,
    },
    limits: [
      ...(lower === undefined ? [] : [{ x: lower, end: 'lower', row: 1 } as const]),
      ...(upper === undefined ? [] : [{ x: upper, end: 'upper', row: lower === undefined ? 1 : 2 } as const]),
    ],
  }
}

/** The words of a statistic, with an arrow towards where it lies beyond the picture. */
export function withArrow(words: string, beyond: SamplingShape['statistic']['beyond']): string {
  if (beyond === undefined) return words
  return beyond === 'left' ? `← ${words}` : `${words} →`
}

function stretchesOf({ lower, upper }: Ends, { min, max }: SamplingPicture, half: number) {
  const stretches: Stretch[] = []
  if (lower !== undefined && lower + half > min - half)
    stretches.push([min - half, Math.min(lower, max) + half])
  if (upper !== undefined && upper - half < max + half)
    stretches.push([Math.max(upper, min) - half, max + half])
  return stretches
}

/** The curve, or the tops of the bars, from one x to another. */
export function outlineOf(
  { points, heightAt, shape, barWidth }: SamplingPicture,
  [from, to]: Stretch = [-Infinity, Infinity],
): readonly PicturePoint[] {
  const inside = points.filter(({ x }) => x > from && x < to)
  const half = barWidth / 2
  if (shape === 'bars')
    return inside.flatMap(({ x, y }) => [
      { x: x - half, y: 0 },
      { x: x - half, y },
      { x: x + half, y },
      { x: x + half, y: 0 },
    ])
  const end = (x: number) => (Number.isFinite(x) ? [{ x, y: heightAt(x) }] : [])
  return [...end(from), ...inside, ...end(to)]
}

/** What lies under the picture from one x to another. */
export function areaUnder(picture: SamplingPicture, stretch: Stretch): readonly PicturePoint[] {
  const [from, to] = stretch
  return [{ x: from, y: 0 }, ...outlineOf(picture, stretch), { x: to, y: 0 }]
}
