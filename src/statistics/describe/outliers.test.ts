import { studentT } from '../distributions/studentT'
import { drawNormal, randomWords } from '../numeric/random'
import { moments } from './moments'
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
  // Once the farthest is gone they are, though not by figures that were not summed anew.
  [
    [0.2, -0.2, 0.2, -0.2, 0, 0, 0.3, -0.3, 0.1, -0.1, 0, 0, 0.1, -0.1, 9, 7.8, -7.8],
    [14, 15, 16],
  ],
  // And once one is gone that nearly all of the spread was of.
  [
    [...around, ...around, 2e9, 9, -8],
    [24, 25, 26],
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

/** The test step by step as it is defined, each mean and spread summed anew. */
function byDefinition(values: readonly number[], level: number): readonly number[] {
  const n = values.length
  const left = values.map((value, index) => ({ value, index }))
  const removed: number[] = []
  let found = 0
  for (let step = 1; step <= Math.min(10, Math.floor(n / 5)); step += 1) {
    const known = moments(left.map(({ value }) => value))
    if (!known.standardDeviation) break
    const apart = left.map(({ value }) => Math.abs(value - known.mean - known.meanRemainder))
    const farthest = apart.indexOf(Math.max(...apart))
    const df = n - step - 1
    const t = studentT(df).quantile(level / (2 * (n - step + 1)), 'upper')
    const limit = ((n - step) * t) / Math.sqrt((df + t * t) * (n - step + 1))
    if (apart[farthest]! / known.standardDeviation > limit) found = step
    removed.push(left.splice(farthest, 1)[0]!.index)
  }
  return removed.slice(0, found)
}

test.each([
  ['alike', (z: number) => z],
  ['far from 0', (z: number) => 1e9 + z / 1e3],
  ['with some far out', (z: number) => (Math.abs(z) > 1.6 ? z ** 9 : z)],
  ['in whole numbers, many of them equal', (z: number) => Math.round(z * 2)],
  ['nearly all equal', (z: number) => Math.trunc(z / 1.5)],
  ['as small as doubles are', (z: number) => z * 1e-308],
  ['as large', (z: number) => z * 1e306],
])('outliers of readings %s are those of the definition', (_, made) => {
  const fill = randomWords(7)
  let outliers = 0
  for (let sample = 0; sample < 60; sample += 1) {
    const drawn = new Float64Array(8 + sample)
    const words = new Uint32Array(2 * drawn.length)
    fill(words)
    drawNormal(words, drawn)
    const values = Array.from(drawn, made)
    const mirrored = [...values, ...values.map((value) => 2 * values[0]! - value)]
    for (const readings of [values, mirrored]) {
      expect(found(readings)).toEqual(byDefinition(readings, 0.05))
      outliers += found(readings).length
    }
  }
  expect(outliers).toBeGreaterThan(0)
})
