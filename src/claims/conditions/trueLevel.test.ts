import { levelWithCorrelation, levelWithKurtosis, levelWithSkewness, stateOf, type Tested } from './trueLevel'

// By the formulas of the sources named there, with the normal distribution of Python's standard library.

const tested = (side: Tested['side']): Tested => ({ side, significanceLevel: 0.05 })
const skewed = { n: 20, skewness: 1 }

test.each([
  ['less', false, 0.074641899696],
  ['greater', false, 0.025358100304],
  ['less', true, 0.043444507722],
  ['greater', true, 0.056555492278],
  // What the one tail loses, the other gains, but for what a level can't lose below 0.
  ['two-sided', false, 0.05],
  ['outside', false, 0.05],
  // The worse of both.
  ['inside', false, 0.074641899696],
] as const)('the level of a mean with a skewness of 1, %s, known spread %p', (side, isSpreadKnown, level) => {
  expect(levelWithSkewness(tested(side), { ...skewed, isSpreadKnown })).toBeCloseTo(level, 9)
})

test.each([
  ['greater', 0.147643135232],
  ['less', 0.147643135232],
  ['two-sided', 0.212362585666],
] as const)('the level of a spread with an excess kurtosis of 3, %s', (side, level) => {
  expect(levelWithKurtosis(tested(side), { n: 50, excessKurtosis: 3 })).toBeCloseTo(level, 9)
})

test.each([
  ['less', 0.113717500567],
  ['two-sided', 0.150371537899],
] as const)('the level of a mean whose readings follow one another, r = 0.3, %s', (side, level) => {
  expect(levelWithCorrelation(tested(side), 0.3)).toBeCloseTo(level, 9)
})

test('the tails of a population that is lighter than normal, and a correlation of 1, have levels too', () => {
  expect(levelWithKurtosis(tested('less'), { n: 50, excessKurtosis: -3 })).toBe(0)
  expect(levelWithCorrelation(tested('less'), 1)).toBe(0.5)
})

test.each([
  [0.055, 0.06, 'met'],
  [0.055, 0.061, 'no-sign'],
  [0.06, 0.2, 'no-sign'],
  [0.061, 0.2, 'doubtful'],
  [0.1, 0.2, 'doubtful'],
  [0.101, 0.2, 'not-met'],
] as const)('a level of %d as seen and %d at the far end is %s', (seen, far, state) => {
  expect(stateOf({ seen, far }, 0.05)).toBe(state)
})
