import type { Plugin } from 'chart.js'

export type ChartLabel = Readonly<{
  text: string
  x: number
  /** In the chart's own scale; absent: above the chart. */
  y?: number
  /** Which side of x the text stands on; absent: both. */
  side?: 'left' | 'right'
  colour: string
}>

export type LabelOptions = Readonly<{ labels?: readonly ChartLabel[]; background?: string }>

declare module 'chart.js' {
  // The parameter's name is Chart.js's own; a merged interface has to repeat it.
  // eslint-disable-next-line @typescript-eslint/no-unused-vars
  interface PluginOptionsByType<TType extends import('chart.js').ChartType> {
    labels?: LabelOptions
  }
}

/** How far below its place a label stands that is not beside it, and above the chart, in pixels. */
const BELOW = 22
const ABOVE = 9
const GAP = 4

/** Writes labels into a chart, each kept inside it. */
export const labelPlugin: Plugin<'scatter', LabelOptions> = {
  id: 'labels',
  afterDatasetsDraw({ ctx, chartArea, scales }, _, { labels = [], background = '' }) {
    ctx.save()
    ctx.font = '12px "IBM Plex Mono", monospace'
    ctx.textAlign = 'center'
    ctx.textBaseline = 'middle'
    for (const { text, x, y, side, colour } of labels) {
      const half = ctx.measureText(text).width / 2
      const aside = side === undefined ? 0 : side === 'left' ? -half - GAP : half + GAP
      const right = Math.min(chartArea.right - half, scales.x!.getPixelForValue(x) + aside)
      const centre = Math.max(chartArea.left + half, right)
      const middle =
        y === undefined
          ? chartArea.top - ABOVE
          : scales.y!.getPixelForValue(y) + (side === undefined ? BELOW : 0)
      ctx.fillStyle = background
      ctx.fillRect(centre - half - 3, middle - 8, 2 * half + 6, 16)
      ctx.fillStyle = colour
      ctx.fillText(text, centre, middle)
    }
    ctx.restore()
  },
}
