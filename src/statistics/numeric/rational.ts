/** An exact fraction of whole numbers; what it is under is above 0. */
export type Rational = Readonly<{ over: bigint; under: bigint }>

/** So many digits are more than a double has, whatever it is rounded from. */
const DIGITS = 40n

/**
 * A number as the decimals that it is written with: 167.1 is 1671/10, and not the double nearest to it.
 *
 * @param value - finite
 * @example
 * numberOf(rational(-0.25)) // -0.25
 */
export function rational(value: number): Rational {
  const [digits = '0', exponent = '0'] = String(value).split('e')
  const [whole = '0', part = ''] = digits.split('.')
  const power = Number(exponent) - part.length
  const figures = BigInt(whole + part)
  return power >= 0
    ? { over: figures * 10n ** BigInt(power), under: 1n }
    : { over: figures, under: 10n ** BigInt(-power) }
}

/**
 * The sum of two fractions, exactly.
 *
 * @example
 * numberOf(sumOf(rational(0.1), rational(0.2))) // 0.3
 */
export const sumOf = (a: Rational, b: Rational): Rational =>
  a.under === b.under
    ? { over: a.over + b.over, under: a.under }
    : { over: a.over * b.under + b.over * a.under, under: a.under * b.under }

/**
 * The difference of two fractions, exactly.
 *
 * @example
 * numberOf(differenceOf(rational(175), rational(167.1))) // 7.9
 */
export const differenceOf = (a: Rational, b: Rational): Rational =>
  sumOf(a, { over: -b.over, under: b.under })

/**
 * The product of two fractions, exactly.
 *
 * @example
 * numberOf(productOf(rational(1.1), rational(1.1))) // 1.21
 */
export const productOf = (a: Rational, b: Rational): Rational => ({
  over: a.over * b.over,
  under: a.under * b.under,
})

/**
 * One fraction over another, exactly.
 *
 * @param b - not 0
 * @example
 * numberOf(quotientOf(rational(1), rational(8))) // 0.125
 */
export const quotientOf = (a: Rational, b: Rational): Rational =>
  productOf(a, b.over < 0n ? { over: -b.under, under: -b.over } : { over: b.under, under: b.over })

/**
 * Whether one lies above the other, exactly: "more than" holds on neither side of what is equal.
 *
 * @example
 * isAbove(rational(0.3), sumOf(rational(0.1), rational(0.2))) // false
 */
export const isAbove = (a: Rational, b: Rational): boolean => a.over * b.under > b.over * a.under

/**
 * The least whole multiple of a step that is not below a fraction.
 *
 * @param step - above 0
 * @example numberOf(upToStep(rational(7.875), rational(0.1))) // 7.9
 */
export function upToStep(value: Rational, step: Rational): Rational {
  const { over, under } = quotientOf(value, step)
  const steps = over > 0n ? (over + under - 1n) / under : over / under
  return productOf({ over: steps, under: 1n }, step)
}

/**
 * The double nearest to a fraction, to within its last digit.
 *
 * @example
 * numberOf({ over: 1n, under: 3n }) // 0.333333
 */
export function numberOf({ over, under }: Rational): number {
  const magnitude = over < 0n ? -over : over
  if (magnitude === 0n) return 0
  const shift = DIGITS - BigInt(String(magnitude).length - String(under).length)
  const digits = shift >= 0n ? (magnitude * 10n ** shift) / under : magnitude / (under * 10n ** -shift)
  return Number(`${over < 0n ? '-' : ''}${digits}e${-shift}`)
}
