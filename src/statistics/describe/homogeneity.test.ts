import { moments } from './moments'
import { homogeneityOfRates, homogeneityOfShares, oneWay } from './homogeneity'

// NIST Statistical Reference Datasets, analysis of variance, SiRstv: readings and certified values from memory; the F that
// these readings come to is the one certified, to all its digits.
const SI_RSTV = [
  [196.3052, 196.124, 196.189, 196.2569, 196.3403],
  [196.3042, 196.3825, 196.1669, 196.3257, 196.0422],
  [196.1303, 196.2005, 196.2889, 196.0343, 196.1811],
  [196.2795, 196.1748, 196.1494, 196.1485, 195.9885],
  [196.2119, 196.1051, 196.185, 196.0052, 196.209],
]

test('the analysis of variance of silicon resistivities is the one certified', () => {
  const found = oneWay(SI_RSTV.map(moments))!
  expect(found.statistic / 1.18046237440255).toBeCloseTo(1, 12)
  expect([found.df, found.dfWithin]).toEqual([4, 20])
  expect(found.withinVariance! / 1.08318280000111e-2).toBeCloseTo(1, 11)
  // (1.27865e-2 − 1.08318e-2) / 5 readings a group
  expect(found.betweenVariance! / ((1.27865e-2 - 1.08318e-2) / 5)).toBeCloseTo(1, 3)
})

test('it does not change by what all readings share', () => {
  const shifted = SI_RSTV.map((group) => group.map((value) => Math.round((value - 196) * 1e4) / 1e4))
  expect(oneWay(shifted.map(moments))!.statistic / oneWay(SI_RSTV.map(moments))!.statistic).toBeCloseTo(1, 10)
})

test('groups that scatter less about each other than within show no variance between', () => {
  expect(oneWay([moments([1, 3]), moments([1.1, 3.1])])).toMatchObject({ betweenVariance: 0 })
  expect(oneWay([moments([1, 1]), moments([2, 2])])).toBeUndefined()
})

test('groups of unequal sizes: the mean size that the variance between is divided by', () => {
  // By hand: means 2, 5; SSB = 3·1.2² + 2·1.8² = 10.8; SSW = 2 + 2 = 4 on 3; n₀ = (5 − 13/5)/1 = 2.4.
  const found = oneWay([moments([1, 2, 3]), moments([4, 6])])!
  expect(found.statistic).toBeCloseTo(10.8 / (4 / 3), 12)
  expect(found.betweenVariance).toBeCloseTo((10.8 - 4 / 3) / 2.4, 12)
})

test('shares and rates by hand', () => {
  // 2×2: 100·(10·30 − 40·20)²/(50·50·30·70)
  const shares = homogeneityOfShares([
    { n: 50, x: 10 },
    { n: 50, x: 20 },
  ])!
  expect(shares.statistic).toBeCloseTo((100 * 500 ** 2) / (50 * 50 * 30 * 70), 12)
  expect(shares).toMatchObject({ df: 1 })
  expect(shares.pValue).toBeCloseTo(0.029096, 5)
  expect(
    homogeneityOfShares([
      { n: 5, x: 5 },
      { n: 9, x: 9 },
    ]),
  ).toBeUndefined()
  expect(
    homogeneityOfShares([
      { n: 5, x: 0 },
      { n: 9, x: 0 },
    ]),
  ).toBeUndefined()
  const rates = homogeneityOfRates([
    { events: 3, exposure: 10 },
    { events: 9, exposure: 30 },
    { events: 0, exposure: 10 },
  ])!
  expect(rates.statistic).toBeCloseTo(0.6 ** 2 / 2.4 + 1.8 ** 2 / 7.2 + 2.4, 12)
  expect(rates.df).toBe(2)
  expect(
    homogeneityOfRates([
      { events: 0, exposure: 1 },
      { events: 0, exposure: 2 },
    ]),
  ).toBeUndefined()
})
