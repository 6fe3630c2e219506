import type { DecimalMark } from '@/desk/typed'

export type NumberReading =
  /** `side`: of an entry that says only on which side of the value it lies. */
  | Readonly<{ ok: true; value: number; side?: 'below' | 'above' }>
  | Readonly<{ ok: false; reason: 'not-a-number' | 'other-decimal-mark' | 'too-large' }>

const PLAIN: Readonly<Record<DecimalMark, RegExp>> = {
  point: /^[+-]?(\d+(?:\.\d*)?|\.\d+)(e[+-]?\d+)?$/i,
  comma: /^[+-]?(\d+(?:,\d*)?|,\d+)(e[+-]?\d+)?$/i,
}

/**
 * Reads one number as it was typed, exactly as the language's own parser would, with the stated decimal mark.
 *
 * Thousands separators are refused, since "1,234" may mean two things; so is a number beyond the range of a double.
 */
export function readNumber(text: string, decimalMark: DecimalMark): NumberReading {
  // As nearly every entry stands, so that thousands of them are read anew with a key.
  if (PLAIN[decimalMark].test(text)) return inRange(text)
  const signed = text.trim().replace(/^[\u2212\u2013]/, '-')
  if (PLAIN[decimalMark].test(signed)) return inRange(signed)
  const isOther = PLAIN[decimalMark === 'comma' ? 'point' : 'comma'].test(signed)
  return { ok: false, reason: isOther ? 'other-decimal-mark' : 'not-a-number' }
}

function inRange(plain: string): NumberReading {
  const value = Number(plain.replace(',', '.'))
  return Number.isFinite(value) ? { ok: true, value } : { ok: false, reason: 'too-large' }
}

/** Three digits behind a mark may be thousands: "1,234". */
const MAYBE_THOUSANDS = /^[+-]?[1-9]\d{0,2}[.,]\d{3}$/

/**
 * Reads one number typed by itself, with either decimal mark. One that the other mark might make thousands of is
 * refused, not guessed.
 */
export function readTypedNumber(text: string, decimalMark: DecimalMark): NumberReading {
  const reading = readNumber(text, decimalMark)
  if (reading.ok || reading.reason !== 'other-decimal-mark' || MAYBE_THOUSANDS.test(text.trim()))
    return reading
  return readNumber(text, decimalMark === 'point' ? 'comma' : 'point')
}

/** Thousands set apart by one mark or space throughout, and decimals behind another mark. */
const GROUPED = /^([+-]?)([1-9]\d{0,2})(?:([,.'\u2019 \u00a0\u2009\u202f])\d{3})(?:\3\d{3})*(?:([.,])(\d+))?$/

/**
 * How a number with its thousands set apart is written so that it can be read in one way only.
 *
 * @returns nothing for any other text; two spellings where three digits may be thousands or decimals
 * @example
 * plainSpellings('1,234.5', 'point') // ['1234.5']
 * plainSpellings('40,000', 'point') // ['40000', '40.000']
 */
export function plainSpellings(text: string, decimalMark: DecimalMark): readonly string[] {
  const signed = text.trim().replace(/^[\u2212\u2013]/, '-')
  const [, sign, , apart, mark, decimals] = GROUPED.exec(signed) ?? []
  if (apart === undefined || apart === mark) return []
  const own = decimalMark === 'comma' ? ',' : '.'
  const groups = signed.slice(sign!.length, mark ? signed.lastIndexOf(mark) : undefined).split(apart)
  const whole = `${sign}${groups.join('')}`
  if (decimals !== undefined) return [`${whole}${own}${decimals}`]
  const isOneMark = groups.length === 2 && /[.,]/.test(apart)
  return isOneMark ? [whole, `${sign}${groups.join(own)}`] : [whole]
}
