import { simultaneousInterval } from './simultaneousInterval'

const evidence = { kind: 'summary', n: 25, mean: 14.9, standardDeviation: 0.2 } as const
const document = { claim: { parameter: 'mean', relation: 'at-least', value: 15 }, evidence } as const

test('five intervals that hold at once at 95 % are made at 99 % each', () => {
  const interval = simultaneousInterval({ document, level: 0.95, count: 5 })!
  // Dunn (1961): t at 1 − 0.05/(2 · 5) on 24 degrees of freedom, 2.797 in tables of t.
  const half = 0.04 * 2.796939505
  expect(interval.level).toBeCloseTo(0.99, 12)
  expect(interval.lower).toBeCloseTo(14.9 - half, 8)
  expect(interval.upper).toBeCloseTo(14.9 + half, 8)
})

test('one claim by itself keeps its own', () => {
  const interval = simultaneousInterval({ document, level: 0.9, count: 1 })!
  expect(interval.level).toBeCloseTo(0.9, 12)
})
