import { differenceOf, isAbove, numberOf, productOf, quotientOf, rational, sumOf, upToStep } from './rational'

test('a number is the decimals that it is written with', () => {
  expect(numberOf(differenceOf(rational(175), rational(167.1)))).toBe(7.9)
  expect(175 - 167.1).not.toBe(7.9)
  expect(isAbove(differenceOf(rational(175), rational(167.1)), rational(7.9))).toBe(false)
  expect(isAbove(rational(7.9000001), rational(7.9))).toBe(true)
  expect(numberOf(sumOf(rational(0.1), rational(0.2)))).toBe(0.3)
  expect(numberOf(sumOf(rational(1e-7), rational(2.5e21)))).toBe(2.5e21)
  expect(numberOf(productOf(rational(-1.1), rational(1.1)))).toBe(-1.21)
})

test('fractions are rounded once', () => {
  expect(numberOf(quotientOf(rational(1), rational(3)))).toBe(1 / 3)
  expect(numberOf(quotientOf(rational(-2), rational(-7)))).toBe(2 / 7)
  expect(numberOf(quotientOf(rational(1e-300), rational(-3e5)))).toBe(-1e-300 / 3e5)
  expect(numberOf(rational(0))).toBe(0)
  for (const value of [1e22, 123456.789, 5e-324, 1.7976931348623157e308, -0.1])
    expect(numberOf(rational(value))).toBe(value)
})

test('up to a step, and no further where it is on one', () => {
  const stepped = (value: number, step: number) => numberOf(upToStep(rational(value), rational(step)))
  expect(stepped(7.875, 0.1)).toBe(7.9)
  expect(stepped(8.1, 0.1)).toBe(8.1)
  expect(stepped(15.001, 1)).toBe(16)
  expect(stepped(-7.85, 0.1)).toBe(-7.8)
})
