import type { DecimalMark } from '@/desk/typed'

export type NumberReading =
  | Readonly<{ ok: true; value: number }>
  | Readonly<{ ok: false; reason: 'not-a-number' | 'other-decimal-mark' | 'too-large' }>

const PLAIN = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i

/**
 * Reads one number as it was typed, exactly as the language's own parser would, with the stated decimal mark.
 *
 * Thousands separators are refused, since "1,234" may mean two things; so is a number beyond the range of a double.
 */
export function readNumber(text: string, decimalMark: DecimalMark): NumberReading {
  const signed = text.trim().replace(/^[\u2212\u2013]/, '-')
  const [mark, other] = decimalMark === 'comma' ? [',', '.'] : ['.', ',']
  const isOther = signed.includes(other) && PLAIN.test(signed.replace(other, '.'))
  if (isOther) return { ok: false, reason: 'other-decimal-mark' }
  const plain = mark === ',' ? signed.replace(',', '.') : signed
  if ((mark === ',' && signed.includes('.')) || !PLAIN.test(plain))
    return { ok: false, reason: 'not-a-number' }
  const value = Number(plain)
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
