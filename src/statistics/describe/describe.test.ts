import { figuresOf } from '@tests/reference/answers'
import { Comparison, readReference } from '@tests/reference/reference'
import type { Description } from './describe'
import { histogram } from './bins'

type Row = Readonly<Record<string, string | null>> &
  Readonly<{ id: string; data: readonly string[]; outside: readonly string[]; fence_tie: boolean }>
const { datasets } = readReference<Readonly<{ datasets: readonly Row[] }>>('describe.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

const described = (values: readonly number[]) => figuresOf<Description>({ describe: { values } })

test.each(datasets.map((row) => [row.id, row] as const))('describes %s', (id, row) => {
  const values = row.data.map(Number)
  const figures = described(values)
  const compare = (
    group: string,
    actual: number | undefined,
    expected: string | null,
    tolerance = 1e-14,
    absolute = 0,
  ) => {
    if (expected === null) return expect({ id, group, actual }).toEqual({ id, group, actual: undefined })
    return comparison.close(group, id, { actual, expected }, tolerance, absolute)
  }
  compare('mean', figures.mean, row.mean!)
  compare('standard deviation', figures.standardDeviation, row.sd!)
  compare('variance', figures.variance, row.variance!)
  compare('standard error', figures.standardError, row.se!)
  compare('median and quartiles', figures.median, row.median!)
  compare('median and quartiles', figures.min, row.min!)
  compare('median and quartiles', figures.max, row.max!)
  for (const [index, q] of ['q1', 'q3'].entries()) {
    compare('median and quartiles', figures.quartiles[index], row[`${q}_type7`]!)
    compare('median and quartiles', figures.quartilesType6[index], row[`${q}_type6`]!)
  }
  compare('median absolute deviation', figures.medianAbsoluteDeviation, row.mad_raw!, 1e-11)
  // Readings that share most of their digits leave few for their cubes.
  const isOffset = figures.standardDeviation! < 1e-6 * Math.abs(figures.mean)
  const absolute = isOffset ? 1e-9 : 1e-12
  compare('skewness', figures.skewness.g1, row.skew_g1!, 1e-12, absolute)
  compare('skewness', figures.skewness.G1, row.skew_G1!, 1e-12, absolute)
  compare('kurtosis', figures.excessKurtosis.g2, row.kurt_g2!, 1e-12, absolute)
  compare('kurtosis', figures.excessKurtosis.G2, row.kurt_G2!, 1e-12, absolute)
  if (Number(row.fd_bin_width) > 0) compare('bin width', figures.binWidth, row.fd_bin_width!, 1e-11)
  compare('fences', figures.fences[0], row.fence_low!, 1e-11, 1e-12)
  compare('fences', figures.fences[1], row.fence_high!, 1e-11, 1e-12)
  if (!row.fence_tie) {
    expect(figures.beyondFences.map((index) => values[index]).sort()).toEqual(row.outside.map(Number).sort())
  }
})

test('a histogram holds every reading, each in its own bin', () => {
  const sorted = [-1.5, 0, 0.2, 0.5, 0.9, 3]
  expect(histogram(sorted, 0.5).filter(({ count }) => count > 0)).toEqual([
    { from: -1.5, to: -1, count: 1 },
    { from: 0, to: 0.5, count: 2 },
    { from: 0.5, to: 1, count: 2 },
    { from: 3, to: 3.5, count: 1 },
  ])
  expect(histogram([2, 2], 0)).toEqual([{ from: 2, to: 2, count: 2 }])
})

// H. Sturges (1926): 1 + log2 n classes; the number is rounded up. Eight equal readings and one other have no IQR.
test('takes a width from the range where the middle half is all one value', () => {
  expect(described([5, 5, 5, 5, 5, 5, 5, 9]).binWidth).toBe(1)
  expect(described([5, 5]).binWidth).toBe(0)
})
