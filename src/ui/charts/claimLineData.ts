import type { ChartDataset } from 'chart.js'
import { stackReadings } from './stackReadings'
import type { Colours } from './useColours'

export type ClaimLineFigures = Readonly<{
  values: readonly number[]
  mean?: number | undefined
  lower?: number | undefined
  upper?: number | undefined
  /** The claimed value, or both limits of a tolerance. */
  claimed: readonly number[]
}>

type Row = ChartDataset<'scatter'>

/** Columns of dots that fit side by side into the picture. */
const COLUMNS = 44
/** Rows below the dots, for the interval and its label. */
export const INTERVAL_ROW = -2
const LOWEST_ROW = -5
/** Few dots stay as round as many would: the picture has room for at least so many rows. */
const LEAST_ROWS = 7

/** What is drawn, and the ranges that hold it. */
export function claimLineData(figures: ClaimLineFigures, colours: Colours) {
  const x = rangeOf(figures)
  const dots = stackReadings(figures.values, (x.max - x.min) / COLUMNS)
  const highest = dots.reduce((most, dot) => Math.max(most, dot.y), 0)
  const y = { min: LOWEST_ROW, max: Math.max(LEAST_ROWS, highest + 1.5) }
  return {
    x,
    y,
    datasets: [
      ...figures.claimed.map((value) => claimedLine(value, y, colours)),
      readingDots(dots, colours),
      ...intervalBar(figures, colours),
      ...meanTick(figures, colours),
    ] as Row[],
  }
}

function rangeOf({ values, lower, upper, mean, claimed }: ClaimLineFigures) {
  let [min, max] = [Infinity, -Infinity]
  for (const value of [lower, upper, mean, ...claimed]) {
    if (value === undefined) continue
    min = Math.min(min, value)
    max = Math.max(max, value)
  }
  for (const value of values) {
    min = Math.min(min, value)
    max = Math.max(max, value)
  }
  const margin = (max - min) * 0.05 || Math.abs(max) * 0.05 || 1
  return { min: min - margin, max: max + margin }
}

function readingDots(dots: readonly Readonly<{ x: number; y: number }>[], colours: Colours): Row {
  return {
    label: 'Reading',
    data: [...dots],
    pointStyle: 'circle',
    pointRadius: 4,
    pointHoverRadius: 5,
    borderColor: colours.ink,
    borderWidth: 1.25,
    pointBackgroundColor: 'transparent',
  }
}

function claimedLine(x: number, y: Readonly<{ min: number; max: number }>, colours: Colours): Row {
  return {
    label: 'Claimed value',
    data: [
      { x, y: y.min },
      { x, y: y.max },
    ],
    showLine: true,
    borderColor: colours.brass,
    borderWidth: 2,
    pointRadius: 0,
    pointHitRadius: 0,
  }
}

const tick = { pointStyle: 'line', pointRotation: 90 } as const

function intervalBar({ lower, upper }: ClaimLineFigures, colours: Colours): readonly Row[] {
  const ends = [lower, upper].filter((end) => end !== undefined)
  return [
    {
      label: 'Interval',
      data: ends.map((x) => ({ x, y: INTERVAL_ROW })),
      showLine: true,
      borderColor: colours.accent,
      borderWidth: 4,
      ...tick,
      pointRadius: 8,
      pointBorderWidth: 2.5,
      pointHitRadius: 0,
    },
  ]
}

function meanTick({ mean }: ClaimLineFigures, colours: Colours): readonly Row[] {
  if (mean === undefined) return []
  return [
    {
      label: 'Mean',
      data: [{ x: mean, y: INTERVAL_ROW }],
      borderColor: colours.ink,
      ...tick,
      pointRadius: 12,
      pointBorderWidth: 2.5,
      pointHitRadius: 0,
    },
  ]
}
