import { moments } from '@/statistics/describe/moments'
import { biasCorrected } from '@/statistics/resampling/biasCorrected'
import { resample } from '@/statistics/resampling/resample'
import { figuresOf, resultOf } from '@tests/reference/answers'
import type { CheckDocument } from '@/claims/terms/request'

// Each example names its source; all data and figures here are recalled from memory, to the digits shown, and were found
// to agree with one another when computed.

const claimOf = (
  parameter: CheckDocument['claim']['parameter'],
  relation: CheckDocument['claim']['relation'],
  value: number,
) => ({ parameter, relation, value })

// NIST/SEMATECH e-Handbook 1.3.5.8, GEAR.DAT: n = 100, s = 0.6278908E-02; H0 σ = 0.1: chi-square 0.3903044 on 99.
test('chi-square test of a standard deviation: the handbook’s gears', () => {
  const { test: figures } = resultOf({
    claim: claimOf('standard-deviation', 'equal-to', 0.1),
    evidence: { kind: 'summary', n: 100, standardDeviation: 0.6278908e-2 },
  })
  expect(figures.statistic).toBeCloseTo(0.3903044, 6)
  expect(figures.criticalValues[0]).toBeCloseTo(73.361, 3)
  expect(figures.criticalValues[1]).toBeCloseTo(128.4219, 2)
  expect(figures.decision).toBe('rejected')
})

// NIST/SEMATECH e-Handbook 1.3.5.9, JAHANMI2.DAT: s1 = 65.54909, s2 = 61.85425, n = 240 each: F = 1.123037 on 239 and 239.
test('F test of two standard deviations: the handbook’s ceramic strength', () => {
  const { test: figures } = resultOf({
    claim: claimOf('variance-ratio', 'equal-to', 1),
    evidence: {
      kind: 'two-summaries',
      first: { n: 240, standardDeviation: 65.54909 },
      second: { n: 240, standardDeviation: 61.85425 },
    },
  })
  expect(figures.statistic).toBeCloseTo(1.123037, 5)
  expect(figures.criticalValues[0]).toBeCloseTo(0.7756, 4)
  expect(figures.criticalValues[1]).toBeCloseTo(1.2894, 4)
  expect(figures.decision).toBe('not-rejected')
})

// NIST/SEMATECH e-Handbook 7.2.4: 26 defective of 200 chips against a claimed 10 %: z = 1.414, not beyond 1.645.
test('score test of a share: the handbook’s chips', () => {
  const { test: figures } = resultOf({
    claim: claimOf('proportion', 'at-most', 0.1),
    evidence: { kind: 'count', n: 200, successes: 26 },
    test: { method: 'score-z' },
  })
  expect(figures.statistic).toBeCloseTo(1.414, 3)
  expect(figures.criticalValues[0]).toBeCloseTo(1.645, 3)
  expect(figures.decision).toBe('not-rejected')
})

// E. Newcombe (1998), Statistics in Medicine 17, 857-872, table I: 81 of 263, 15 of 148, 0 of 20 and 1 of 29, 95 %.
test.each([
  [81, 263, 'wilson', 0.2553, 0.3662],
  [81, 263, 'wilson-corrected', 0.2535, 0.3682],
  [81, 263, 'clopper-pearson', 0.2527, 0.3676],
  [15, 148, 'wilson', 0.0624, 0.1605],
  [15, 148, 'wilson-corrected', 0.0598, 0.1644],
  [15, 148, 'clopper-pearson', 0.0578, 0.1617],
  [0, 20, 'wilson', 0, 0.1611],
  [0, 20, 'wilson-corrected', 0, 0.2005],
  [0, 20, 'clopper-pearson', 0, 0.1684],
  [1, 29, 'wilson', 0.0061, 0.1718],
  [1, 29, 'wilson-corrected', 0.0018, 0.1963],
  [1, 29, 'clopper-pearson', 0.0009, 0.1776],
] as const)('intervals for a share: %i of %i, %s', (successes, n, interval, lower, upper) => {
  const { interval: ends } = resultOf({
    claim: claimOf('proportion', 'equal-to', 0.5),
    evidence: { kind: 'count', n, successes },
    test: { interval },
  })
  expect(ends!.lower).toBeCloseTo(lower, 4)
  expect(ends!.upper).toBeCloseTo(upper, 4)
})

// W. Conover (1971), Practical Nonparametric Statistics, p. 97 f.: 682 of 925 plants against Mendel's three quarters; p = 0.3825
// by likelihood, 95 % Clopper-Pearson limits 0.7077 and 0.7654.
test('exact binomial test: Mendel’s plants', () => {
  const { test: figures, interval } = resultOf({
    claim: claimOf('proportion', 'equal-to', 0.75),
    evidence: { kind: 'count', n: 925, successes: 682 },
    test: { method: 'exact-binomial', twoSidedRule: 'minimum-likelihood' },
  })
  expect(figures.pValue).toBeCloseTo(0.3825, 4)
  expect(interval!.method).toBe('clopper-pearson')
  expect(interval!.lower).toBeCloseTo(0.7076683, 6)
  expect(interval!.upper).toBeCloseTo(0.7654066, 6)
})

// R. Fisher (1935), The Design of Experiments, ch. II, a lady tasting tea: all four of four cups picked out of eight.
test('hypergeometric test: eight cups of tea', () => {
  const { test: figures } = resultOf({
    claim: claimOf('proportion', 'at-most', 0.5),
    evidence: { kind: 'count', n: 4, successes: 4, lotSize: 8 },
    test: { method: 'hypergeometric' },
  })
  expect(figures.pValue).toBeCloseTo(1 / 70, 14)
})

// M. Hollander & D. Wolfe (1999), Nonparametric Statistical Methods, example 3.1, depression scores of nine patients, as
// differences: T+ = 5 of 45, P = 0.0195 one-sided; the estimate −0.46.
test('signed-rank test: nine differences of a depression scale', () => {
  const before = [1.83, 0.5, 1.62, 2.48, 1.68, 1.88, 1.55, 3.06, 1.3]
  const after = [0.878, 0.647, 0.598, 2.05, 1.06, 1.29, 1.06, 3.14, 1.29]
  const values = after.map((value, index) => Number((value - before[index]!).toFixed(3)))
  const { test: figures, estimate } = resultOf({
    claim: claimOf('median', 'at-least', 0),
    evidence: { kind: 'readings', values },
    test: { method: 'signed-rank' },
  })
  expect(figures.statistic).toBe(5)
  expect(figures.pValue).toBeCloseTo(0.0195, 4)
  expect(estimate.value).toBeCloseTo(-0.46, 2)
})

// W. Conover (1999), Practical Nonparametric Statistics, 3.4: the sign test is the binomial test at one half; 8 of 10 on
// one side: P(X ≤ 2) = 56/1024.
test('sign test: eight of ten on one side', () => {
  const { test: figures } = resultOf({
    claim: claimOf('median', 'at-least', 5),
    evidence: { kind: 'readings', values: [1, 2, 3, 4, 4.1, 4.2, 4.3, 4.4, 6, 7] },
    test: { method: 'sign' },
  })
  expect(figures.pValue).toBeCloseTo(56 / 1024, 14)
})

// NIST/SEMATECH e-Handbook 1.3.5.10, GEAR.DAT in ten batches gives Levene's W = 1.705910; here two of the batches, 1 and 6,
// computed apart by the definition of a one-way analysis.
test('Brown-Forsythe test: the one-way analysis of distances from the median, by hand', () => {
  const first = [1.006, 0.996, 0.998, 1.0, 0.992, 0.993, 1.002, 0.999, 0.994, 1.0]
  const second = [0.996, 0.998, 1.0, 0.99, 1.0, 0.997, 1.0, 1.004, 0.994, 1.0]
  const distances = [first, second].map((values) => {
    const sorted = values.toSorted((a, b) => a - b)
    const median = (sorted[4]! + sorted[5]!) / 2
    return values.map((value) => Math.abs(value - median))
  })
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
  const grand = mean(distances.flat())
  const between = distances.reduce((sum, group) => sum + 10 * (mean(group) - grand) ** 2, 0)
  const within = distances.reduce(
    (sum, group) => sum + group.reduce((part, value) => part + (value - mean(group)) ** 2, 0),
    0,
  )
  const { test: figures } = resultOf({
    claim: claimOf('variance-ratio', 'equal-to', 1),
    evidence: { kind: 'two-readings', first, second },
    test: { method: 'brown-forsythe' },
  })
  expect(figures.statistic).toBeCloseTo(between / (within / 18), 9)
})

// B. Efron & R. Tibshirani (1993), An Introduction to the Bootstrap, table 14.1: the BCa interval of the variance (divisor
// n) of 26 spatial test scores, 90 %: about 115.8 to 259.6; resampling leaves a few per cent.
test('BCa interval of a variance: 26 spatial test scores', () => {
  const values = [
    48, 36, 20, 29, 42, 42, 20, 42, 22, 41, 45, 14, 6, 0, 33, 28, 34, 4, 32, 24, 47, 41, 24, 26, 30, 41,
  ]
  // By the resampling itself: the check takes thirty readings for a spread.
  const varianceOf = (list: readonly number[]) => moments(list).variance!
  const estimate = varianceOf(values)
  const { mean } = moments(values)
  const centred = Float64Array.from(values, (value) => value - mean)
  const { statistics } = resample(centred, 'variance', { count: 99_999, seed: 1, own: estimate })
  const leftOut = Float64Array.from(values, (_, left) => varianceOf(values.filter((_, at) => at !== left)))
  const { lower, upper } = biasCorrected(statistics, { estimate, offset: 0, leftOut }).endsAt({
    beyond: 0.1,
    sides: 'two-sided',
  })
  const biased = 25 / 26
  expect(Math.abs((lower! * biased) / 115.8 - 1)).toBeLessThan(0.03)
  expect(Math.abs((upper! * biased) / 259.6 - 1)).toBeLessThan(0.03)
})

// J. Cohen (1988), Statistical Power Analysis, table 2.3.5 and 2.4.1: one-sample use of d = 0.5 at α = 0.05 two-sided and a
// power of 0.80 needs 34 units; general-purpose tables give the same.
test('sample size for the t test: a medium effect', () => {
  const plan = figuresOf<Readonly<{ n: number }>>({
    plan: {
      claim: claimOf('mean', 'equal-to', 0),
      assume: { value: 0.5, standardDeviation: 1 },
      find: 'n',
      power: 0.8,
    },
  })
  expect(plan.n).toBe(34)
})

// Y. Benjamini & Y. Hochberg (1995), section 3.1: of fifteen p-values four are rejected at 0.05 (three by Bonferroni).
test('adjusted p-values: fifteen endpoints of a trial', () => {
  const pValues = [
    0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719, 0.6528,
    0.759, 1,
  ]
  const adjusted = (method: string) =>
    figuresOf<Readonly<{ pValues: number[] }>>({ adjust: { pValues, method } }).pValues
  expect(adjusted('benjamini-hochberg').filter((p) => p <= 0.05)).toHaveLength(4)
  expect(adjusted('holm').filter((p) => p <= 0.05)).toHaveLength(3)
  expect(adjusted('holm').slice(0, 3)).toEqual([15 * 0.0001, 14 * 0.0004, 13 * 0.0019])
})

// F. Grubbs (1969), Technometrics 11, example 1: ten breaking strengths, T10 = 2.39 for 596, beyond 2.18, the one-sided
// 5 % point.
test('Grubbs’ outlier: ten breaking strengths', () => {
  const values = [568, 570, 570, 570, 572, 572, 572, 578, 584, 596]
  const { conditions } = figuresOf<{ conditions: { grubbs: { g: number; index: number } } }>({
    describe: { values },
  })
  expect(conditions.grubbs.g).toBeCloseTo(2.39, 2)
  expect(conditions.grubbs.index).toBe(9)
})

// S. Shapiro & M. Wilk (1965), Biometrika 52, example of eleven men's weights: W = 0.79, below the 1 % point.
test('Shapiro-Wilk: eleven weights', () => {
  const values = [148, 154, 158, 160, 161, 162, 166, 170, 182, 195, 236]
  const { conditions } = figuresOf<{ conditions: { shapiroWilk: { w: number; pValue: number } } }>({
    describe: { values },
  })
  expect(conditions.shapiroWilk.w).toBeCloseTo(0.79, 2)
  expect(conditions.shapiroWilk.pValue).toBeLessThan(0.01)
})
