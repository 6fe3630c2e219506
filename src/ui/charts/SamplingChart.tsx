'use client'

import type { ChartOptions, ScatterDataPoint } from 'chart.js'
import { memo, useMemo } from 'react'
import type { SamplingPicture } from '@/pictures/samplingPicture'
import { outlineOf, samplingShape, withArrow } from '@/pictures/samplingShape'
import { axisWords, tickStyle } from './axisWords'
import type { ChartLabel } from './labelPlugin'
import { Picture } from './Picture'
import { type Colours, useColours } from './useColours'

const HEIGHT = '236px'
/** Above the curve, as a part of its height: room for the labels. */
const HEADROOM = 1.38
/** The heights of the labels, in the rows that the shape has them in. */
const LABELS = { 1: 1.08, 2: 1.2, statistic: 1.32 } as const

export type SamplingLabels = Readonly<{
  statistic: string
  critical: (value: number) => string
  /** A value of the statistic's axis in the claim's unit. */
  estimate: (value: number) => string
}>

/**
 * The distribution of a test's statistic under the null hypothesis, with the rejection region hatched, what the p-value
 * counts solid, the critical values and the statistic; the axis reads in the claim's unit too.
 *
 * @param description - the same in words, for those who do not see it
 */
export const SamplingChart = memo(function SamplingChart({
  picture,
  labels,
  description,
}: Readonly<{ picture: SamplingPicture; labels: SamplingLabels; description: string }>) {
  const colours = useColours()
  const drawing = useMemo(
    () => colours && { data: dataOf(picture, colours), options: optionsOf(picture, labels, colours) },
    [picture, labels, colours],
  )
  return (
    <Picture
      name="sampling distribution"
      description={description}
      height={HEIGHT}
      drawing={drawing}
      testId="sampling-distribution"
    />
  )
})

function dataOf(picture: SamplingPicture, colours: Colours) {
  const { top, limits, statistic } = samplingShape(picture)
  const line = (data: ScatterDataPoint[], colour: string, width: number, dash: number[] = []) => ({
    data,
    showLine: true,
    borderColor: colour,
    borderWidth: width,
    borderDash: dash,
    pointRadius: 0,
    pointHitRadius: 0,
  })
  const upright = (x: number, height: number) => [
    { x, y: 0 },
    { x, y: height },
  ]
  return {
    datasets: [
      line([...outlineOf(picture)], colours.ink, picture.shape === 'bars' ? 1 : 1.6),
      ...limits.map(({ x, row }) => line(upright(x, top * LABELS[row]), colours.rejected, 1.2, [4, 3])),
      line(upright(statistic.at, top * LABELS.statistic), colours.ink, 2),
    ],
  }
}

function optionsOf(
  picture: SamplingPicture,
  labels: SamplingLabels,
  colours: Colours,
): ChartOptions<'scatter'> {
  const { x, top } = samplingShape(picture)
  return {
    animation: false,
    maintainAspectRatio: false,
    events: [],
    scales: {
      x: {
        type: 'linear',
        ...x,
        border: { color: colours.ink },
        grid: { display: false },
        ticks: {
          ...tickStyle(colours),
          maxTicksLimit: 7,
          callback: (value, _, ticks) => {
            const words = axisWords(Number(value), ticks, '')
            return picture.estimateAt ? [words, labels.estimate(Number(value))] : words
          },
        },
      },
      y: { type: 'linear', min: 0, max: top * HEADROOM, display: false },
    },
    plugins: {
      sampling: { picture, colours },
      labels: { background: colours.page, labels: labelsOf(picture, labels, colours) },
    },
  }
}

function labelsOf(picture: SamplingPicture, words: SamplingLabels, colours: Colours): readonly ChartLabel[] {
  const { top, limits, statistic } = samplingShape(picture)
  return [
    ...limits.map(({ x, end, row }) => ({
      text: words.critical(x),
      x,
      y: top * LABELS[row],
      side: end === 'lower' ? ('right' as const) : ('left' as const),
      colour: colours.rejected,
    })),
    {
      text: withArrow(words.statistic, statistic.beyond),
      x: statistic.at,
      y: top * LABELS.statistic,
      side: statistic.isLeft ? ('right' as const) : ('left' as const),
      colour: colours.ink,
    },
  ]
}
