import type { ChartDataset } from 'chart.js'
import { drawnOf, orderPicture } from '@/pictures/readings'
import { readingsData, rowsBehind } from './readingsData'
import type { Colours } from './useColours'

/** Each colour is its own name. */
const colours = new Proxy({} as Colours, { get: (_, name) => String(name) })
const values = [15, 14.9, 15.1, 18]
const picture = orderPicture(drawnOf({ values, rows: [0, 2, 4, 6], setAside: [1] }, 'kg'))
const { datasets } = readingsData(picture, colours)

test('what is set aside is crossed, every other reading is a circle, and nothing is pointed at yet', () => {
  const looks = datasets.map((set) => {
    const { data, pointStyle, borderColor } = set as ChartDataset<'scatter', { x: number; y: number }[]>
    return [data.map(({ y }) => y), pointStyle, borderColor]
  })
  expect(looks.slice(0, 2)).toEqual([
    [[15, 15.1, 18], 'circle', 'ink'],
    [[14.9], 'crossRot', 'quiet'],
  ])
  expect(looks.at(-1)).toEqual([[], 'circle', 'brass'])
})

test('all points of a kind have one look, which is drawn many times faster than one each', () => {
  const lists = datasets.flatMap((set) => Object.entries(set)).filter(([, option]) => Array.isArray(option))
  expect(new Set(lists.map(([name]) => name))).toEqual(new Set(['data']))
})

test('a point is known by its row, whichever kind it is of', () => {
  const rowAt = rowsBehind(picture)
  expect([0, 1, 2].map((index) => rowAt({ datasetIndex: 0, index }))).toEqual([0, 4, 6])
  expect(rowAt({ datasetIndex: 1, index: 0 })).toBe(2)
  expect(rowAt({ datasetIndex: 1, index: 1 })).toBeUndefined()
  expect(rowAt({ datasetIndex: datasets.length - 1, index: 0 })).toBeUndefined()
})
