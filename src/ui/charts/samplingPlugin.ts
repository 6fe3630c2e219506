import type { Chart, Plugin } from 'chart.js'
import type { Ends } from '@/statistics/inference/interval'
import type { SamplingPicture } from '@/pictures/samplingPicture'
import type { Colours } from './useColours'

export type SamplingOptions = Readonly<{ picture?: SamplingPicture; colours?: Colours }>

declare module 'chart.js' {
  // The parameter's name is Chart.js's own; a merged interface has to repeat it.
  // eslint-disable-next-line @typescript-eslint/no-unused-vars
  interface PluginOptionsByType<TType extends import('chart.js').ChartType> {
    sampling?: SamplingOptions
  }
}

/** Distance of the lines of a hatched region, in pixels. */
const HATCH = 6

/** What is under the curve: the rejection region hatched, and solid what the p-value counts; on the curve, the statistic. */
export const samplingPlugin: Plugin<'scatter', SamplingOptions> = {
  id: 'sampling',
  beforeDatasetsDraw(chart, _, { picture, colours }) {
    if (!picture || !colours) return
    const { ctx } = chart
    const half = picture.shape === 'bars' ? 0.5 : 0
    for (const [from, to] of rangesOf(picture.counted, picture, half)) {
      ctx.save()
      outline(chart, picture, from, to)
      ctx.fillStyle = colours.brass
      ctx.globalAlpha = 0.55
      ctx.fill()
      ctx.restore()
    }
    for (const [from, to] of rangesOf(picture.rejected, picture, half)) {
      ctx.save()
      outline(chart, picture, from, to)
      ctx.clip()
      hatch(chart, from, to, colours.rejected)
      ctx.restore()
    }
  },
}

type Range = readonly [number, number]

function rangesOf({ lower, upper }: Ends, { min, max }: SamplingPicture, half: number): readonly Range[] {
  const ranges: Range[] = []
  if (lower !== undefined && lower + half > min - half) ranges.push([min - half, Math.min(lower, max) + half])
  if (upper !== undefined && upper - half < max + half) ranges.push([Math.max(upper, min) - half, max + half])
  return ranges
}

/** What lies under the picture from one x to another, as a path. */
function outline({ ctx, scales }: Chart, picture: SamplingPicture, from: number, to: number): void {
  const [x, y] = [scales.x!, scales.y!]
  const place = (at: number, height: number) => [x.getPixelForValue(at), y.getPixelForValue(height)] as const
  ctx.beginPath()
  ctx.moveTo(...place(from, 0))
  if (picture.shape === 'bars') {
    for (const point of picture.points) {
      if (point.x < from || point.x > to) continue
      ctx.lineTo(...place(point.x - 0.5, point.y))
      ctx.lineTo(...place(point.x + 0.5, point.y))
    }
  } else {
    ctx.lineTo(...place(from, picture.heightAt(from)))
    for (const point of picture.points) {
      if (point.x > from && point.x < to) ctx.lineTo(...place(point.x, point.y))
    }
    ctx.lineTo(...place(to, picture.heightAt(to)))
  }
  ctx.lineTo(...place(to, 0))
  ctx.closePath()
}

function hatch({ ctx, chartArea, scales }: Chart, from: number, to: number, colour: string): void {
  const [left, right] = [scales.x!.getPixelForValue(from), scales.x!.getPixelForValue(to)]
  const { top, bottom } = chartArea
  const tall = bottom - top
  ctx.strokeStyle = colour
  ctx.lineWidth = 1.2
  for (let at = left - tall; at < right; at += HATCH) {
    ctx.beginPath()
    ctx.moveTo(at, bottom)
    ctx.lineTo(at + tall, top)
    ctx.stroke()
  }
}
