import { histogram } from '@/statistics/describe/bins'
import { quantilePlot } from '@/statistics/describe/quantilePlot'
import type { ShortDescription } from '@/statistics/describe/describe'

export type Point = Readonly<{ x: number; y: number }>

type Axis = Readonly<{
  min?: number
  max?: number
  title: 'row' | 'readings' | 'normal quantile' | ''
  unit: string
  isShown: boolean
}>

/** Readings as points, and what stands behind them, in the unit of the readings: drawn from this wherever it is drawn. */
export type ReadingsPicture = Readonly<{
  /** Each point's reading, by its row. */
  points: readonly (Point & Readonly<{ row: number; isSetAside: boolean }>)[]
  /** Lines from point to point: a box, a straight line. */
  lines: readonly (readonly Point[])[]
  bars: readonly Point[]
  /** Where the reading of a row stands in this picture. */
  placeOf: (row: number) => Point | undefined
  x: Axis
  y: Axis
}>

/** Readings in their order of size, and their figures. */
export type Look = Readonly<{ sorted: Float64Array; figures: ShortDescription }>

/** More points than these say no more in a picture of this size. */
const MAX_POINTS = 1500

/** Readings ready to be drawn: those that are tested, in the order given, and those that are set aside. */
export type Drawn = Readonly<{
  values: readonly number[]
  rows: readonly number[]
  aside: readonly Readonly<{ value: number; row: number }>[]
  unit: string
  valueOf: (row: number) => number | undefined
}>

/** The readings without those that are set aside, in the order given. */
export function testedOf({
  values,
  setAside,
}: Readonly<Record<'values' | 'setAside', readonly number[]>>): readonly number[] {
  const excluded = new Set(setAside)
  return excluded.size === 0 ? values : values.filter((_, place) => !excluded.has(place))
}

export function drawnOf(
  { values, rows, setAside }: Readonly<Record<'values' | 'rows' | 'setAside', readonly number[]>>,
  unit: string,
): Drawn {
  return {
    values: testedOf({ values, setAside }),
    rows: testedOf({ values: rows, setAside }),
    aside: setAside.map((place) => ({ value: values[place]!, row: rows[place]! })),
    unit,
    valueOf: (row) => values[placeOf(rows, row)],
  }
}

/** The place of a row among rows that rise; −1 where it is not among them. */
function placeOf(rows: readonly number[], row: number): number {
  let [from, to] = [0, rows.length]
  while (from < to) {
    const middle = (from + to) >> 1
    if (rows[middle]! < row) from = middle + 1
    else to = middle
  }
  return rows[from] === row ? from : -1
}

/** A histogram of more bins shows nothing. */
const MAX_BINS = 500

/** The width of bins that are drawn where one is stated: no narrower than there is room for. */
export const drawnWidth = (stated: number, { min, max }: Pick<ShortDescription, 'min' | 'max'>): number =>
  Math.max(stated, (max - min) / MAX_BINS)

export function histogramPicture(drawn: Drawn, sorted: Float64Array, width: number): ReadingsPicture {
  const { unit, valueOf } = drawn
  const bins = histogram(sorted, width)
  return {
    points: [],
    lines: [],
    bars: bins.map(({ from, to, count }) => ({ x: (from + to) / 2, y: count })),
    placeOf: (row) => at(valueOf(row), (x) => ({ x, y: 0 })),
    x: { title: '', unit, isShown: true, min: bins[0]!.from, max: bins.at(-1)!.to },
    y: { title: 'readings', unit: '', isShown: true, min: 0 },
  }
}

export function boxPicture(drawn: Drawn, { sorted, figures }: Look): ReadingsPicture {
  const { values, rows, unit, valueOf, aside } = drawn
  const { quartiles, median, fences, beyondFences } = figures
  const [low, high] = quartiles
  // The whiskers reach to the last readings within the fences.
  const min = sorted.find((value) => value >= fences[0])!
  const max = sorted.findLast((value) => value <= fences[1])!
  const upright = (x: number, from: number, to: number): readonly Point[] => [
    { x, y: from },
    { x, y: to },
  ]
  const beyond = beyondFences.slice(0, MAX_POINTS)
  return {
    points: [
      ...beyond.map((place) => ({ x: values[place]!, y: 0.5, row: rows[place]!, isSetAside: false })),
      ...aside.map(({ value, row }) => ({ x: value, y: 0.5, row, isSetAside: true })),
    ],
    lines: [
      [
        { x: low, y: 0.25 },
        { x: high, y: 0.25 },
        { x: high, y: 0.75 },
        { x: low, y: 0.75 },
        { x: low, y: 0.25 },
      ],
      upright(median, 0.25, 0.75),
      [
        { x: min, y: 0.5 },
        { x: low, y: 0.5 },
      ],
      [
        { x: high, y: 0.5 },
        { x: max, y: 0.5 },
      ],
      upright(min, 0.4, 0.6),
      upright(max, 0.4, 0.6),
    ],
    bars: [],
    placeOf: (row) => at(valueOf(row), (x) => ({ x, y: 0.5 })),
    x: { title: '', unit, isShown: true },
    y: { title: '', unit: '', isShown: false, min: 0, max: 1 },
  }
}

export function orderPicture(drawn: Drawn): ReadingsPicture {
  const { values, rows, unit, valueOf, aside } = drawn
  const shown = extremesOf(values, MAX_POINTS)
  return {
    points: [
      ...shown.map((place) => ({
        x: rows[place]! + 1,
        y: values[place]!,
        row: rows[place]!,
        isSetAside: false,
      })),
      ...aside.map(({ value, row }) => ({ x: row + 1, y: value, row, isSetAside: true })),
    ],
    lines: [],
    bars: [],
    placeOf: (row) => at(valueOf(row), (y) => ({ x: row + 1, y })),
    x: { title: 'row', unit: '', isShown: true },
    y: { title: '', unit, isShown: true },
  }
}

export function quantilePicture(drawn: Drawn, { sorted, figures }: Look): ReadingsPicture {
  const { values, rows, unit, valueOf } = drawn
  const points = quantilePlot(values, sorted, MAX_POINTS)
  const [first, last] = [points[0]!, points.at(-1)!]
  const on = (z: number): Point => ({ x: z, y: figures.mean + z * (figures.standardDeviation ?? 0) })
  const zOf = new Map(points.map(({ place, z }) => [rows[place]!, z]))
  return {
    points: points.map(({ place, z, value }) => ({ x: z, y: value, row: rows[place]!, isSetAside: false })),
    lines: [[on(first.z), on(last.z)]],
    bars: [],
    placeOf: (row) => {
      const y = valueOf(row)
      const x = zOf.get(row) ?? (y === undefined ? undefined : nearestZ(points, sorted, y))
      return x === undefined || y === undefined ? undefined : { x, y }
    },
    x: { title: 'normal quantile', unit: '', isShown: true },
    y: { title: '', unit, isShown: true },
  }
}

/** Of a reading that is not drawn for want of room: where the next one that is drawn stands. */
function nearestZ(
  points: ReturnType<typeof quantilePlot>,
  sorted: Float64Array,
  value: number,
): number | undefined {
  if (!sorted.includes(value)) return undefined
  return points.find((point) => point.value >= value)?.z
}

/** Places of readings to draw: all of them, or the least and the greatest of each stretch, so that no spike is lost. */
function extremesOf(values: readonly number[], max: number): readonly number[] {
  if (values.length <= max) return values.map((_, place) => place)
  const stretch = Math.ceil((2 * values.length) / max)
  const places: number[] = []
  for (let from = 0; from < values.length; from += stretch) {
    let [low, high] = [from, from]
    for (let place = from; place < Math.min(values.length, from + stretch); place += 1) {
      if (values[place]! < values[low]!) low = place
      if (values[place]! > values[high]!) high = place
    }
    places.push(Math.min(low, high), ...(low === high ? [] : [Math.max(low, high)]))
  }
  return places
}

function at(value: number | undefined, place: (value: number) => Point): Point | undefined {
  return value === undefined ? undefined : place(value)
}
