const ZERO = 0x30
const NINE = 0x39
const MINUS = 0x2d
const PLUS = 0x2b
const SMALL_E = 0x65
/** Up to so many digits a whole number is exact in a double. */
const EXACT_DIGITS = 15
/** Powers of ten that a double holds exactly. */
const POWERS = Float64Array.from({ length: 23 }, (_, exponent) => Number(`1e${exponent}`))

/** What a cell is that is no number. */
export const NOT_A_NUMBER = Number.NaN

/**
 * Reads a cell's bytes as a number, exactly as the language's own parser would.
 *
 * A number of up to 15 digits is a whole number over a power of ten up to 22, both exact, so that one division rounds as it
 * should (Clinger 1990); any other is handed to the language's parser.
 *
 * @param bytes - ASCII digits, a sign, the decimal mark, an exponent
 * @param mark - the decimal mark, as its byte
 * @returns NaN for a cell that is no number; ±Infinity for one beyond the range of a double
 */
export function cellNumber(bytes: Uint8Array, start: number, end: number, mark: number): number {
  let at = start
  const sign = bytes[at]!
  if (sign === MINUS || sign === PLUS) at += 1
  let [mantissa, digits, decimals, seen] = [0, 0, 0, 0]
  let isBehindMark = false
  for (; at < end; at += 1) {
    const byte = bytes[at]!
    if (byte >= ZERO && byte <= NINE) {
      seen += 1
      if (mantissa > 0 || byte > ZERO) digits += 1
      mantissa = mantissa * 10 + (byte - ZERO)
      if (isBehindMark) decimals += 1
    } else if (byte === mark && !isBehindMark) {
      isBehindMark = true
    } else if ((byte | 0x20) === SMALL_E && seen > 0) {
      return slowly(bytes, start, end, mark)
    } else {
      return NOT_A_NUMBER
    }
  }
  if (seen === 0) return NOT_A_NUMBER
  if (digits > EXACT_DIGITS || decimals >= POWERS.length) return slowly(bytes, start, end, mark)
  const value = decimals === 0 ? mantissa : mantissa / POWERS[decimals]!
  return sign === MINUS ? -value : value
}

const PLAIN = /^[+-]?(\d+(?:\.\d*)?|\.\d+)(e[+-]?\d+)?$/i

function slowly(bytes: Uint8Array, start: number, end: number, mark: number): number {
  let text = ''
  for (let at = start; at < end; at += 1) text += String.fromCharCode(bytes[at] === mark ? 0x2e : bytes[at]!)
  return PLAIN.test(text) ? Number(text) : NOT_A_NUMBER
}
