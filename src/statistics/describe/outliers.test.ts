import { generalizedEsd } from './outliers'
import { shapiroWilk } from './shapiroWilk'

const around = [0.3, -0.2, 0.1, -0.1, 0.2, -0.3, 0.15, -0.15, 0.05, -0.05, 0.25, -0.25]
const found = (values: readonly number[]) => generalizedEsd(values, Float64Array.from(values).sort(), 0.05)

// Two readings as far out as each other, one on either side of a mean of 0: the one that was taken first is named first.
test.each([
  [
    [-9, ...around, 9],
    [0, 13],
  ],
  [
    [9, ...around, -9],
    [0, 13],
  ],
  [
    [...around, 9, -9],
    [12, 13],
  ],
])('outliers are named in the order of how far out they are, then of their place', (values, indexes) => {
  expect(found(values)).toEqual(indexes)
})

test('of equal readings each is named once', () => {
  expect(found([...around, ...around, 50, 50])).toEqual([24, 25])
})

// scipy 1.17.1, stats.shapiro: the largest sample by the first of Royston's two approximations, the smallest by the other.
test.each([
  [[1.2, 1.9, 2.1, 2.4, 2.5, 2.8, 3.0, 3.3, 3.9, 4.7, 8.1], 0.8230581811155091, 0.018921058315477846],
  [[1.2, 1.9, 2.1, 2.4, 2.5, 2.8, 3.0, 3.3, 3.9, 4.7, 5.0, 8.1], 0.8726290791168022, 0.0705723248628656],
])('Shapiro and Wilk’s W of readings about as many as divide its approximations', (sorted, w, pValue) => {
  const result = shapiroWilk(sorted)
  expect(result.w).toBeCloseTo(w, 6)
  expect(result.pValue).toBeCloseTo(pValue, 6)
})
