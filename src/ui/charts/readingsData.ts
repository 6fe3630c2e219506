import type { ChartData } from 'chart.js'
import type { Point, ReadingsPicture } from '@/pictures/readings'
import type { Colours } from './useColours'

/** Where a point is found in the data that is drawn. */
export type Place = Readonly<{ datasetIndex: number; index: number }>

/** The readings that are tested and those set aside: points of one look are drawn many times faster than each with its own. */
const kindsOf = ({ points }: ReadingsPicture) =>
  [points.filter(({ isSetAside }) => !isSetAside), points.filter(({ isSetAside }) => isSetAside)] as const

/** The points of a picture, then the lines and the bars behind them, and last the one that is pointed at, which is none yet. */
export function readingsData(picture: ReadingsPicture, colours: Colours): ChartData {
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

/** Finds the row whose reading a point stands for; none where it is no reading. */
export function rowsBehind(picture: ReadingsPicture): (place: Place) => number | undefined {
  const kinds = kindsOf(picture)
  return ({ datasetIndex, index }) => kinds[datasetIndex]?.[index]?.row
}
