import { chiSquare } from './chiSquare'

// The density at 0 is without bound, ½ or 0: by its formula.
test.each([
  [1, Infinity],
  [2, 0.5],
  [3, 0],
])('the density of chi-square with %i degrees of freedom at 0', (df, density) => {
  expect(chiSquare(df).density(0)).toBe(density)
  expect(chiSquare(df).density(-1)).toBe(0)
})
