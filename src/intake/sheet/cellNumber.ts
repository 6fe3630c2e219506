const ZERO = 0x30
const NINE = 0x39
const MINUS = 0x2d
const PLUS = 0x2b
const SMALL_E = 0x65
/** Up to so many digits a whole number is exact in a double. */
const EXACT_DIGITS = 15
/** Powers of ten, all of which a double holds exactly. */
const POWERS = Float64Array.from({ length: EXACT_DIGITS + 1 }, (_, exponent) => Number(`1e${exponent}`))

/** What a cell is that is no number. */
export const NOT_A_NUMBER = Number.NaN

/**
 * Reads a cell's bytes as a number, exactly as the language's own parser would.
 *
 * A number of up to 15 digits is a whole number over a power of ten, both exact, so that one division rounds as it should
 * (Clinger 1990); any other is handed to the language's parser.
 *
 * @param bytes - ASCII digits, a sign, the decimal mark, an exponent
 * @param mark - the decimal mark, as its byte
 * @returns NaN for a cell that is no number; ±Infinity for one beyond the range of a double
 */
export function cellNumber(bytes: Uint8Array, start: number, end: number, mark: number): number {
  const sign = bytes[start]!
  const first = sign === MINUS || sign === PLUS ? start + 1 : start
  let mantissa = 0
  let behindMark = -1
  for (let at = first; at < end; at += 1) {
    const byte = bytes[at]!
    if (byte >= ZERO && byte <= NINE) {
      mantissa = mantissa * 10 + (byte - ZERO)
    } else if (byte === mark && behindMark < 0) {
      behindMark = at + 1
    } else if ((byte | 0x20) === SMALL_E) {
      return slowly(bytes, start, end, mark)
    } else {
      return NOT_A_NUMBER
    }
  }
  const digits = end - first - (behindMark < 0 ? 0 : 1)
  if (digits <= 0) return NOT_A_NUMBER
  if (digits > EXACT_DIGITS) return slowly(bytes, start, end, mark)
  const decimals = behindMark < 0 ? 0 : end - behindMark
  const value = decimals === 0 ? mantissa : mantissa / POWERS[decimals]!
  return sign === MINUS ? -value : value
}

const PLAIN = /^[+-]?(\d+(?:\.\d*)?|\.\d+)(e[+-]?\d+)?$/i

function slowly(bytes: Uint8Array, start: number, end: number, mark: number): number {
  let text = ''
  for (let at = start; at < end; at += 1) text += String.fromCharCode(bytes[at] === mark ? 0x2e : bytes[at]!)
  return PLAIN.test(text) ? Number(text) : NOT_A_NUMBER
}
