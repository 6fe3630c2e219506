import type { ChartDataset } from 'chart.js'
import { type ClaimLineFigures, type ClaimLineShape, claimLineShape } from '@/pictures/claimLine'
import type { Dot } from '@/pictures/stackReadings'
import type { Colours } from './useColours'

type Row = ChartDataset<'scatter'>

/** The width of the picture in dots of one pixel. */
const WIDTH = 352
/** Rows of dots that the picture has room for before they have to overlap. */
const ROWS = 7
/** Above the interval, where there are no dots. */
const ROWS_WITHOUT = -0.6
/** Below the dots, in rows where those have room: the interval, and the end of the picture. */
const INTERVAL_ROW = -2
const LOWEST_ROW = -5
/** Under the interval, where there is a bound, and the end of the picture then. */
const BOUND_ROW = -5
const LOWEST_WITH_BOUND = -8

/** What is drawn, and the ranges that hold it. */
export function claimLineData(figures: ClaimLineFigures, colours: Colours) {
  const radius = radiusFor(figures.values.length)
  const shape = claimLineShape(figures, { radius, width: WIDTH })
  const { x, dots, each, rows } = shape
  const hasReadings = figures.values.length > 0
  const max = hasReadings ? Math.max(ROWS, rows + 0.5) : ROWS_WITHOUT
  const scale = hasReadings ? max / ROWS : 1
  const y = { min: (shape.bound ? LOWEST_WITH_BOUND : LOWEST_ROW) * scale, max }
  const intervalRow = INTERVAL_ROW * scale
  const boundRow = BOUND_ROW * scale
  return {
    x,
    y,
    intervalRow,
    boundRow,
    each,
    datasets: [
      ...figures.claimed.map((value) => claimedLine(value, y, colours)),
      readingDots(dots, { radius, shorts: shape.each === 1 ? figures.shorts : undefined }, colours),
      ...intervalBar(shape, intervalRow, colours),
      ...boundBar(shape, boundRow, colours),
      ...estimateTick(figures, intervalRow, colours),
    ] as Row[],
  }
}

/** In pixels: the more readings, the smaller. */
function radiusFor(count: number): number {
  return count <= 300 ? 4 : 2.5
}

/** What a dot stands for, where each stands for one reading. */
type Look = Readonly<{ radius: number; shorts: readonly number[] | undefined }>

function readingDots(dots: readonly Dot[], { radius, shorts }: Look, colours: Colours): Row {
  return {
    label: 'Reading',
    data: [...dots],
    pointStyle: 'circle',
    pointRadius: radius,
    pointHoverRadius: radius + 1,
    borderColor: shorts?.map((short) => (short > 0 ? colours.rejected : colours.ink)) ?? colours.ink,
    borderWidth: radius / 3.2,
    pointBackgroundColor:
      shorts?.map((short) => (short > 1 ? colours.rejected : 'transparent')) ?? 'transparent',
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

function intervalBar({ ends }: ClaimLineShape, y: number, colours: Colours): readonly Row[] {
  return [
    {
      label: 'Interval',
      data: ends.map((x) => ({ x, y })),
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

function boundBar({ bound }: ClaimLineShape, y: number, colours: Colours): readonly Row[] {
  if (!bound) return []
  const [end, edge] = bound
  const row = { borderColor: colours.accent, pointHitRadius: 0 }
  return [
    { ...row, label: 'Bound', data: [{ x: end, y }], ...tick, pointRadius: 8, pointBorderWidth: 2.5 },
    {
      ...row,
      label: 'Open side of the bound',
      data: [end, edge].map((x) => ({ x, y })),
      showLine: true,
      borderWidth: 1.5,
      pointRadius: 0,
    },
  ]
}

function estimateTick({ estimate }: ClaimLineFigures, y: number, colours: Colours): readonly Row[] {
  if (estimate === undefined) return []
  return [
    {
      label: 'Estimate',
      data: [{ x: estimate, y }],
      borderColor: colours.ink,
      ...tick,
      pointRadius: 12,
      pointBorderWidth: 2.5,
      pointHitRadius: 0,
    },
  ]
}
