import { moments } from './moments'
import { shape, skewnessError } from './shape'

// Standard errors of G1 as tables of the statistic have them, to three decimals; from memory.
test.each([
  [10, 0.687],
  [20, 0.512],
  [30, 0.427],
  [50, 0.337],
  [100, 0.241],
  [500, 0.109],
])('the standard error of the skewness of %i readings is %f', (n, printed) => {
  expect(skewnessError(n)).toBeCloseTo(printed, 3)
})

// By hand: 1, 2, 3, 10 have mean 4, second to fourth central moments 12.5, 45 and 348.5.
test('skewness and excess kurtosis are those of their formulas', () => {
  const values = [1, 2, 3, 10]
  const { skewness, excessKurtosis } = shape(values, moments(values))
  const g1 = 45 / 12.5 ** 1.5
  const g2 = 348.5 / 12.5 ** 2 - 3
  expect(skewness.g1).toBeCloseTo(g1, 13)
  expect(skewness.G1).toBeCloseTo((g1 * Math.sqrt(4 * 3)) / 2, 13)
  expect(excessKurtosis.g2).toBeCloseTo(g2, 13)
  expect(excessKurtosis.G2).toBeCloseTo((3 / (2 * 1)) * (5 * g2 + 6), 13)
})

test('too few readings have no unbiased form, and equal ones no shape', () => {
  expect(shape([1, 2], moments([1, 2]))).toEqual({
    skewness: { g1: expect.closeTo(0, 14) },
    excessKurtosis: { g2: expect.closeTo(-2, 12) },
  })
  expect(shape([1, 2, 4], moments([1, 2, 4])).excessKurtosis).not.toHaveProperty('G2')
  expect(shape([3, 3, 3], moments([3, 3, 3]))).toEqual({ skewness: {}, excessKurtosis: {} })
})
