'use client'

import {
  Chart,
  type ChartOptions,
  LinearScale,
  LineElement,
  type Plugin,
  PointElement,
  ScatterController,
  type Tick,
  Tooltip,
} from 'chart.js'
import { memo, useMemo } from 'react'
import { Scatter } from 'react-chartjs-2'
import { chakra } from '@chakra-ui/react'
import { formatNumber, withUnit } from '@/core/wording/figures'
import { type ClaimLineFigures, claimLineData, INTERVAL_ROW } from './claimLineData'
import { type Colours, useColours } from './useColours'

Chart.register(LinearScale, LineElement, PointElement, ScatterController, Tooltip)

/** Fixed, so that the picture does not push the page about while it is drawn. */
const Frame = chakra('div', { base: { position: 'relative', height: '220px' } })

export type ClaimLineLabels = Readonly<{
  /** Of the claimed value, or of each limit of a tolerance. */
  claimed: readonly string[]
  interval: string
  unit: string
  reading: (value: number) => string
}>

/**
 * Every reading, their mean, its interval and the claimed value on one line.
 *
 * @param description - the same in words, for those who do not see it
 */
export const ClaimLine = memo(function ClaimLine({
  figures,
  labels,
  description,
}: Readonly<{ figures: ClaimLineFigures; labels: ClaimLineLabels; description: string }>) {
  const colours = useColours()
  const drawing = useMemo(() => colours && claimLineData(figures, colours), [figures, colours])
  const options = useMemo(
    () => colours && drawing && optionsOf(colours, drawing, labels),
    [colours, drawing, labels],
  )
  const plugins = useMemo(
    () => (colours ? [labelPlugin(figures, labels, colours)] : []),
    [figures, labels, colours],
  )
  if (!drawing || !options) return <Frame />
  return (
    <Frame>
      {/* A plugin is fixed when a chart is made, so another label makes another chart. */}
      <Scatter
        key={JSON.stringify([labels.claimed, labels.interval, colours])}
        data={{ datasets: drawing.datasets }}
        options={options}
        plugins={plugins}
        role="img"
        aria-label={description}
        data-testid="claim-line"
      />
    </Frame>
  )
})

type Drawing = ReturnType<typeof claimLineData>

function optionsOf(colours: Colours, { x, y }: Drawing, labels: ClaimLineLabels): ChartOptions<'scatter'> {
  const font = { family: '"IBM Plex Mono"', size: 11 }
  return {
    animation: false,
    maintainAspectRatio: false,
    layout: { padding: { top: 18 } },
    scales: {
      x: {
        type: 'linear',
        ...x,
        border: { color: colours.ink },
        grid: { display: false },
        ticks: {
          color: colours.quiet,
          font,
          maxTicksLimit: 5,
          includeBounds: false,
          maxRotation: 0,
          callback: (value, index, ticks) =>
            axisWords(Number(value), ticks, index === ticks.length - 1 ? labels.unit : ''),
        },
      },
      y: { type: 'linear', ...y, display: false },
    },
    plugins: {
      tooltip: {
        displayColors: false,
        callbacks: {
          label: ({ dataIndex, parsed }) => `No. ${dataIndex + 1}: ${labels.reading(parsed.x ?? 0)}`,
        },
        filter: ({ dataset }) => dataset.label === 'Reading',
      },
    },
  }
}

/** A tick of the axis, with as many decimals as the steps between ticks need; the last one carries the unit. */
function axisWords(value: number, ticks: readonly Tick[], unit: string): string {
  const step = Math.abs((ticks[1]?.value ?? value) - (ticks[0]?.value ?? 0)) || 1
  return withUnit(formatNumber(value, Math.max(0, -Math.floor(Math.log10(step) + 1e-9))), unit)
}

/** Writes the claimed value above its line and the interval below its bar, each kept inside the picture. */
function labelPlugin(
  figures: ClaimLineFigures,
  labels: ClaimLineLabels,
  colours: Colours,
): Plugin<'scatter'> {
  return {
    id: 'labels',
    afterDatasetsDraw({ ctx, chartArea, scales }) {
      const write = (text: string, x: number, y: number, colour: string) => {
        const half = ctx.measureText(text).width / 2
        const centre = Math.min(chartArea.right - half, Math.max(chartArea.left + half, x))
        ctx.fillStyle = colours.surface
        ctx.fillRect(centre - half - 3, y - 8, 2 * half + 6, 16)
        ctx.fillStyle = colour
        ctx.fillText(text, centre, y)
      }
      ctx.save()
      ctx.font = '12px "IBM Plex Mono"'
      ctx.textAlign = 'center'
      ctx.textBaseline = 'middle'
      figures.claimed.forEach((value, index) => {
        write(
          labels.claimed[index] ?? '',
          scales.x!.getPixelForValue(value),
          chartArea.top - 9,
          colours.brass,
        )
      })
      if (figures.mean !== undefined) {
        const below = scales.y!.getPixelForValue(INTERVAL_ROW) + 22
        write(labels.interval, scales.x!.getPixelForValue(figures.mean), below, colours.ink)
      }
      ctx.restore()
    },
  }
}
