/** What may stand between groups of three digits. */
export const THOUSANDS = ['none', ',', '.', ' ', "'"] as const
export type Thousands = (typeof THOUSANDS)[number]

const COMMA = 0x2c
/** Spaces that stand for a space between digits: unbreakable and thin ones. */
const SPACES = /[\u00a0\u2009\u202f]/g
const APOSTROPHES = /\u2019/g
const DIGITS = /^[+-]?\d+(\.\d*)?$/

/**
 * Reads a number whose digits stand in groups of three: "1,234.5". Groups of any other size are refused.
 *
 * @param mark - the decimal mark, as its byte
 * @returns undefined for a text that is no such number
 */
export function withoutThousands(text: string, thousands: Thousands, mark: number): number | undefined {
  if (thousands === 'none') return undefined
  const plain = text.replace(SPACES, ' ').replace(APOSTROPHES, "'")
  const decimal = mark === COMMA ? ',' : '.'
  const [whole = '', ...decimals] = plain.split(decimal)
  const [first = '', ...groups] = whole.split(thousands)
  const isGrouped =
    /^[+-]?[1-9]\d{0,2}$/.test(first) && groups.length > 0 && groups.every((group) => /^\d{3}$/.test(group))
  if (!isGrouped || decimals.length > 1) return undefined
  const digits = [`${first}${groups.join('')}`, ...decimals].join('.')
  return DIGITS.test(digits) ? Number(digits) : undefined
}
