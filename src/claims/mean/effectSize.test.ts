import { normal } from '@/statistics/distributions/normal'
import { relativeError } from '@tests/reference/reference'
import { meanEffectSize } from './effectSize'

function limitsOf(sampleSize: number, cohenD: number, confidenceLevel = 0.95) {
  const sample = { sampleSize, mean: cohenD, meanRemainder: 0, standardDeviation: 1, setAside: 0, path: '' }
  return meanEffectSize({ sample, difference: cohenD, root: Math.sqrt(sampleSize), confidenceLevel })
}

// T = (Z + δ)/S, so for a large t the limits tend to t times quantiles of S, which for two readings is |Z|.
test.each([1e8, 1e100, 1e299])('for two readings %p standard deviations off, the limits follow |Z|', (d) => {
  const { lower, upper } = limitsOf(2, d)!
  expect(relativeError(lower!, d * normal.quantile(0.5125, 'lower'))).toBeLessThan(1e-8)
  expect(relativeError(upper!, d * normal.quantile(0.9875, 'lower'))).toBeLessThan(1e-8)
})

test.each([2, 3, 24, 1e6])('the limits of %i readings turn with the sign of the gap', (n) => {
  for (const level of [1e-6, 0.95, 1 - 1e-15]) {
    const [below, above] = [limitsOf(n, -1e4, level)!, limitsOf(n, 1e4, level)!]
    expect(below.lower).toBe(-above.upper!)
    expect(below.upper).toBe(-above.lower!)
    expect(above.lower!).toBeLessThan(above.upper!)
  }
})

test('nothing is given where the gap cannot be measured by the spread', () => {
  expect(limitsOf(1, 2)).toBeUndefined()
  expect(limitsOf(24, 1e300)).toBeUndefined()
})
