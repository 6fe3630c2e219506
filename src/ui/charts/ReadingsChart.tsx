'use client'

import type { Chart, ChartData, ChartOptions } from 'chart.js'
import { memo, useEffect, useMemo, useRef } from 'react'
import type { Point, ReadingsPicture } from '@/pictures/readings'
import { axisWords } from './axisWords'
import { Picture } from './Picture'
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
  const data = useMemo(() => colours && dataOf(picture, colours), [picture, colours])
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

/** The readings that are tested and those set aside: points of one look are drawn many times faster than each with its own. */
const kindsOf = ({ points }: ReadingsPicture) =>
  [points.filter(({ isSetAside }) => !isSetAside), points.filter(({ isSetAside }) => isSetAside)] as const

function dataOf(picture: ReadingsPicture, colours: Colours): ChartData {
  const { points, lines, bars } = picture
  const radius = points.length > 400 ? 2 : 3.2
  const [tested, setAside] = kindsOf(picture)
  const dots = {
    type: 'scatter' as const,
    pointRadius: radius,
    pointHoverRadius: radius + 1,
    pointHitRadius: 4,
    borderWidth: 1,
    pointBackgroundColor: 'transparent',
    order: 1,
  }
  return {
    datasets: [
      { ...dots, data: [...tested], pointStyle: 'circle', borderColor: colours.ink },
      { ...dots, data: [...setAside], pointStyle: 'crossRot', borderColor: colours.quiet },
      ...lines.map((line) => ({
        type: 'line' as const,
        data: [...line],
        borderColor: colours.accent,
        borderWidth: 1.5,
        pointRadius: 0,
        pointHitRadius: 0,
        order: 2,
      })),
      // A scale with bars on it begins at 0, so there are none where none are wanted.
      ...(bars.length === 0 ? [] : [barsOf(bars, colours)]),
      {
        type: 'scatter',
        data: [],
        pointStyle: 'circle',
        pointRadius: 6,
        pointHitRadius: 0,
        borderColor: colours.brass,
        borderWidth: 2.5,
        pointBackgroundColor: 'transparent',
        order: 0,
      },
    ],
  }
}

function barsOf(bars: readonly Point[], colours: Colours) {
  return {
    type: 'bar' as const,
    data: [...bars],
    backgroundColor: colours.selection,
    borderColor: colours.accent,
    borderWidth: 1,
    barPercentage: 1,
    categoryPercentage: 1,
    grouped: false,
    order: 3,
  }
}

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
  const kinds = kindsOf(picture)
  const rowAt = (elements: readonly Readonly<{ datasetIndex: number; index: number }>[]) => {
    const reading = elements.find(({ datasetIndex }) => datasetIndex < kinds.length)
    return reading && kinds[reading.datasetIndex]?.[reading.index]?.row
  }
  return {
    animation: false,
    maintainAspectRatio: false,
    onHover: (_, elements) => pointing.set(rowAt(elements)),
    onClick: (_, elements) => {
      const row = rowAt(elements)
      if (row !== undefined) onChoose(row)
    },
    scales: { x: axis(picture.x, colours), y: axis(picture.y, colours) },
    plugins: {
      legend: { display: false },
      tooltip: {
        displayColors: false,
        filter: ({ datasetIndex }) => datasetIndex < kinds.length,
        callbacks: {
          label: ({ datasetIndex, dataIndex }) => words(kinds[datasetIndex]![dataIndex]!.row),
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
