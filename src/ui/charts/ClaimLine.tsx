'use client'

import type { ChartOptions } from 'chart.js'
import { memo, useMemo } from 'react'
import { chakra } from '@chakra-ui/react/styled-system'
import { formatCount } from '@/words/figures'
import { axisWords, tickStyle } from './axisWords'
import type { ClaimLineFigures } from '@/pictures/claimLine'
import { claimLineData } from './claimLineData'
import { Picture } from './Picture'
import { type Colours, useColours } from './useColours'

/** In pixels: with readings, without, and what the bound takes more. */
const HEIGHTS = { readings: 220, bare: 112, bound: 56 } as const

const Note = chakra('p', { base: { textAlign: 'right', fontSize: '12px', color: 'quiet' } })

export type ClaimLineLabels = Readonly<{
  /** Of the claimed value, or of each limit of a tolerance. */
  claimed: readonly string[]
  interval: string
  /** Of the bound that mirrors the test. */
  bound: string
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
  name = 'claim line',
}: Readonly<{
  figures: ClaimLineFigures
  labels: ClaimLineLabels
  description: string
  name?: 'claim line' | 'line of items' | 'errors of the packs'
}>) {
  const colours = useColours()
  const drawing = useMemo(() => colours && claimLineData(figures, colours), [figures, colours])
  const drawn = useMemo(
    () =>
      colours &&
      drawing && {
        data: { datasets: drawing.datasets },
        options: optionsOf({ colours, drawing, labels, figures }),
      },
    [colours, drawing, labels, figures],
  )
  return (
    <>
      <Picture
        name={name}
        description={description}
        height={`${HEIGHTS[figures.values.length === 0 ? 'bare' : 'readings'] + (figures.bound ? HEIGHTS.bound : 0)}px`}
        ground="surface"
        drawing={drawn}
        testId={name.replaceAll(' ', '-')}
      />
      {drawing && drawing.each > 1 && <Note>each circle: up to {formatCount(drawing.each)} readings</Note>}
    </>
  )
})

type Drawing = ReturnType<typeof claimLineData>

function optionsOf(
  input: Readonly<{
    colours: Colours
    drawing: Drawing
    labels: ClaimLineLabels
    figures: ClaimLineFigures
  }>,
): ChartOptions<'scatter'> {
  const { colours, labels, figures } = input
  const { x, y, intervalRow, boundRow, each } = input.drawing
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
          ...tickStyle(colours),
          maxTicksLimit: 5,
          callback: (value, index, ticks) =>
            axisWords(Number(value), ticks, index === ticks.length - 1 ? labels.unit : ''),
        },
      },
      y: { type: 'linear', ...y, display: false },
    },
    plugins: {
      labels: {
        background: colours.surface,
        labels: [
          ...figures.claimed.map((value, index) => ({
            text: labels.claimed[index] ?? '',
            x: value,
            // Limits may be close: the labels of the outer ones stand away from each other.
            ...(figures.claimed.length > 1 && index === 0
              ? { side: 'left' as const }
              : figures.claimed.length > 1 && index === figures.claimed.length - 1
                ? { side: 'right' as const }
                : {}),
            colour: colours.brass,
          })),
          ...(figures.estimate === undefined
            ? []
            : [{ text: labels.interval, x: figures.estimate, y: intervalRow, colour: colours.ink }]),
          ...(figures.bound
            ? [{ text: labels.bound, x: figures.bound.value, y: boundRow, colour: colours.ink }]
            : []),
        ],
      },
      tooltip: {
        displayColors: false,
        callbacks: {
          label: ({ dataIndex, parsed }) =>
            each === 1
              ? `No. ${dataIndex + 1}: ${labels.reading(parsed.x ?? 0)}`
              : `${each} readings or fewer near here`,
        },
        filter: ({ dataset }) => dataset.label === 'Reading',
      },
    },
  }
}
