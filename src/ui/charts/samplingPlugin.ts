import type { Chart, Plugin } from 'chart.js'
import type { PicturePoint } from '@/pictures/distributionShape'
import type { SamplingPicture } from '@/pictures/samplingPicture'
import { areaUnder, samplingShape, type Stretch } from '@/pictures/samplingShape'
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
    const { counted, rejected } = samplingShape(picture)
    for (const stretch of counted) {
      ctx.save()
      trace(chart, areaUnder(picture, stretch))
      ctx.fillStyle = colours.brass
      ctx.globalAlpha = 0.55
      ctx.fill()
      ctx.restore()
    }
    for (const stretch of rejected) {
      ctx.save()
      trace(chart, areaUnder(picture, stretch))
      ctx.clip()
      hatch(chart, stretch, colours.rejected)
      ctx.restore()
    }
  },
}

/** A shape in the axes' values, as a path. */
function trace({ ctx, scales }: Chart, points: readonly PicturePoint[]): void {
  ctx.beginPath()
  for (const { x, y } of points) ctx.lineTo(scales.x!.getPixelForValue(x), scales.y!.getPixelForValue(y))
  ctx.closePath()
}

function hatch({ ctx, chartArea, scales }: Chart, [from, to]: Stretch, colour: string): void {
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
