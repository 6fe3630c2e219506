'use client'

import type { Chart, ChartOptions } from 'chart.js'
import { memo, useEffect, useMemo, useRef } from 'react'
import type { ReadingsPicture } from '@/pictures/readings'
import { axisWords } from './axisWords'
import { Picture } from './Picture'
import { type Place, readingsData, rowsBehind } from './readingsData'
import { type Colours, useColours } from './useColours'

const HEIGHT = '170px'

export type Pointing = Readonly<{
  subscribe: (listener: () => void) => () => void
  get: () => number | undefined
  set: (row: number | undefined) => void
}>

/**
 * A picture of readings in which each can be pointed at and chosen.
 *
 * @param description - the same in words, for those who do not see it
 */
export const ReadingsChart = memo(function ReadingsChart({
  name,
  picture,
  description,
  words,
  pointing,
  onChoose,
}: Readonly<{
  name: string
  picture: ReadingsPicture
  description: string
  /** What is said of the point that is pointed at, by its row. */
  words: (row: number) => string
  pointing: Pointing
  onChoose: (row: number) => void
}>) {
  const colours = useColours()
  const chart = useRef<Chart | null>(null)
  const data = useMemo(() => colours && readingsData(picture, colours), [picture, colours])
  const drawing = useMemo(
    () => colours && data && { data, options: optionsOf({ picture, colours, words, pointing, onChoose }) },
    [data, picture, colours, words, pointing, onChoose],
  )
  useEffect(
    () =>
      pointing.subscribe(() => {
        const drawn = chart.current
        const marked = drawn?.data.datasets.at(-1)
        if (!drawn || !marked) return
        const row = pointing.get()
        const place = row === undefined ? undefined : picture.placeOf(row)
        marked.data = place ? [place] : []
        drawn.update('none')
      }),
    [picture, pointing],
  )
  return <Picture name={name} description={description} height={HEIGHT} drawing={drawing} chart={chart} />
})

function optionsOf({
  picture,
  colours,
  words,
  pointing,
  onChoose,
}: Readonly<{
  picture: ReadingsPicture
  colours: Colours
  words: (row: number) => string
  pointing: Pointing
  onChoose: (row: number) => void
}>): ChartOptions {
  const rowAt = rowsBehind(picture)
  const rowOfFirst = (elements: readonly Place[]) => elements.map(rowAt).find((row) => row !== undefined)
  return {
    animation: false,
    maintainAspectRatio: false,
    onHover: (_, elements) => pointing.set(rowOfFirst(elements)),
    onClick: (_, elements) => {
      const row = rowOfFirst(elements)
      if (row !== undefined) onChoose(row)
    },
    scales: { x: axis(picture.x, colours), y: axis(picture.y, colours) },
    plugins: {
      legend: { display: false },
      tooltip: {
        displayColors: false,
        filter: ({ datasetIndex, dataIndex }) => rowAt({ datasetIndex, index: dataIndex }) !== undefined,
        callbacks: {
          label: ({ datasetIndex, dataIndex }) => words(rowAt({ datasetIndex, index: dataIndex })!),
        },
      },
    },
  }
}

function axis({ min, max, title, unit, isShown }: ReadingsPicture['x'], colours: Colours) {
  return {
    type: 'linear' as const,
    display: isShown,
    ...(min === undefined ? {} : { min }),
    ...(max === undefined ? {} : { max }),
    title: { display: title !== '', text: title, color: colours.quiet, padding: 0 },
    border: { color: colours.ink },
    grid: { display: false },
    ticks: {
      color: colours.quiet,
      font: { family: '"IBM Plex Mono", monospace', size: 11 },
      maxTicksLimit: 5,
      includeBounds: false,
      maxRotation: 0,
      callback: (value: string | number, index: number, ticks: readonly import('chart.js').Tick[]) =>
        axisWords(Number(value), ticks, index === ticks.length - 1 ? unit : ''),
    },
  }
}
