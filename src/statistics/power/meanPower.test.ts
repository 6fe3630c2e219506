import { powerInsideWithT, powerInsideWithZ } from './meanPower'

const wide = { n: 12, lower: 14.8, upper: 15.2, truth: 15, significanceLevel: 0.05, standardDeviation: 0.11 }
/** Two readings of this spread never tell so narrow a tolerance: the two critical values pass each other. */
const narrow = { ...wide, n: 2, lower: 14.9, upper: 15.1 }

test('a tolerance too narrow for the sample is never shown', () => {
  expect(powerInsideWithZ(narrow)).toBe(0)
  expect(powerInsideWithT({ ...narrow, lower: 15, upper: 15 })).toBe(0)
})

test('the power is the same to both sides of the middle, and least at a limit', () => {
  for (const power of [powerInsideWithT, powerInsideWithZ]) {
    expect(power({ ...wide, truth: 14.9 })).toBeCloseTo(power({ ...wide, truth: 15.1 }), 10)
    expect(power({ ...wide, truth: 15.2 })).toBeCloseTo(0.05, 3)
    expect(power({ ...wide, truth: 15.3 })).toBeLessThan(0.05)
  }
})
