import type { DecimalMark } from '@/desk/typed'
import { DATE_ORDERS, type DateOrder, readDate } from '../reading/date'
import type { Thousands } from '../reading/thousands'

export const SEPARATORS = [',', ';', '\t', '|'] as const
export type Separator = (typeof SEPARATORS)[number]
export const ENCODINGS = ['utf-8', 'windows-1252'] as const
export type Encoding = (typeof ENCODINGS)[number]

/** How a sheet file is written. Cells may stand in double quotes, a quote in them doubled. */
export type SheetFormat = Readonly<{
  separator: Separator
  encoding: Encoding
  decimalMark: DecimalMark
  /** What stands between groups of three digits. */
  thousands: Thousands
  dateOrder: DateOrder
  /** Whether the first row names the columns. */
  header: 'first-row' | 'none'
}>

/** So much of a file is enough to guess by, and little enough to look at at once. */
export const GUESSED_FROM = 64 * 1024
const MAX_LINES = 200

/**
 * Guesses how a sheet file is written from its beginning: the separator that divides most lines alike, the encoding
 * that its bytes fit, the decimal mark of its numbers, and a header where the first row has no number and the second has.
 *
 * @param beginning - the first bytes of the file
 * @param known - the separator, where it is known: the sheet of a workbook has commas, whatever its texts hold
 */
export function guessFormat(beginning: Uint8Array, known?: Separator): SheetFormat {
  const encoding = isUtf8(beginning.subarray(0, GUESSED_FROM)) ? 'utf-8' : 'windows-1252'
  const lines = firstLines(beginning, encoding)
  const separator = known ?? guessSeparator(lines)
  const rows = lines.map((line) => cellsOf(line, separator))
  const cells = rows.flat()
  return {
    separator,
    encoding,
    ...guessNumbers(cells, separator),
    dateOrder: guessDateOrder(cells),
    header: guessHeader(rows),
  }
}

function firstLines(beginning: Uint8Array, encoding: Encoding): readonly string[] {
  const text = new TextDecoder(encoding).decode(beginning.subarray(0, GUESSED_FROM))
  const lines = text.split(/\r\n|\n|\r/).filter((line) => line !== '')
  const whole = beginning.length >= GUESSED_FROM && lines.length > 1 ? lines.slice(0, -1) : lines
  return whole.slice(0, MAX_LINES)
}

function isUtf8(bytes: Uint8Array): boolean {
  try {
    // As a stream, so that a character cut off at the end is no error.
    new TextDecoder('utf-8', { fatal: true }).decode(bytes, { stream: true })
    return true
  } catch {
    return false
  }
}

/** The separator that gives the most lines the same number of cells, more than one. */
function guessSeparator(lines: readonly string[]): Separator {
  let [best, bestScore] = [SEPARATORS[0] as Separator, 0]
  for (const separator of SEPARATORS) {
    const counts = lines.map((line) => cellsOf(line, separator).length)
    const usual = counts[0] ?? 1
    const alike = counts.filter((count) => count === usual).length / Math.max(1, counts.length)
    const score = usual > 1 ? alike + usual / 1000 : 0
    if (score > bestScore) [best, bestScore] = [separator, score]
  }
  return best
}

/** Stands for a separator within quotes. */
const HIDDEN = '\u0001'

/** Cells of one line; quoted ones are not taken apart. */
function cellsOf(line: string, separator: Separator): readonly string[] {
  const outside = line.replace(/"(?:[^"]|"")*"/g, (quoted) => quoted.replaceAll(separator, HIDDEN))
  return outside.split(separator).map((cell) =>
    cell
      .trim()
      .replace(/^"(.*)"$/, '$1')
      .replaceAll(HIDDEN, separator),
  )
}

/** Numbers whose groups of three digits can be nothing else: two groups, or a group and a decimal mark behind it. */
const GROUPED: readonly Readonly<{ thousands: Thousands; decimalMark: DecimalMark; pattern: RegExp }>[] = [
  { thousands: ',', decimalMark: 'point', pattern: /^[+-]?\d{1,3}(,\d{3}(,\d{3})+(\.\d+)?|,\d{3}\.\d+)$/ },
  { thousands: '.', decimalMark: 'comma', pattern: /^[+-]?\d{1,3}(\.\d{3}(\.\d{3})+(,\d+)?|\.\d{3},\d+)$/ },
  { thousands: "'", decimalMark: 'point', pattern: /^[+-]?\d{1,3}(['’]\d{3})+(\.\d+)?$/ },
  { thousands: ' ', decimalMark: 'comma', pattern: /^[+-]?\d{1,3}([ \u00a0\u2009\u202f]\d{3})+,\d+$/ },
  { thousands: ' ', decimalMark: 'point', pattern: /^[+-]?\d{1,3}([ \u00a0\u2009\u202f]\d{3})+(\.\d+)?$/ },
]
const WITH_COMMA = /^[+-]?\d+,\d+$/
const WITH_POINT = /^[+-]?\d*\.\d+$/

function guessNumbers(
  cells: readonly string[],
  separator: Separator,
): Pick<SheetFormat, 'thousands' | 'decimalMark'> {
  const grouped = GROUPED.find(({ pattern }) => cells.some((cell) => pattern.test(cell)))
  if (grouped) return { thousands: grouped.thousands, decimalMark: grouped.decimalMark }
  const count = (pattern: RegExp) => cells.filter((cell) => pattern.test(cell)).length
  const isComma = separator !== ',' && count(WITH_COMMA) > count(WITH_POINT)
  return { thousands: 'none', decimalMark: isComma ? 'comma' : 'point' }
}

/** The order in which every date of the file is one; the day first where the month might be. */
function guessDateOrder(cells: readonly string[]): DateOrder {
  const dates = cells.filter((cell) => DATE_ORDERS.some((order) => readDate(cell, order) !== undefined))
  const fits = (order: DateOrder) => dates.every((date) => readDate(date, order) !== undefined)
  return dates.length === 0 ? 'year-first' : (DATE_ORDERS.find(fits) ?? 'day-first')
}

/** What of a file can be read in two ways: shown with an example of its own, and asked about. */
export type FormatDoubt = Readonly<{ about: 'thousands' | 'date-order'; example: string }>

const MAYBE_THOUSANDS = /^[+-]?[1-9]\d{0,2}[.,]\d{3}$/

/**
 * What the guess can't settle: numbers that are all such as "1,234", or dates that are all such as "3/4/2026".
 *
 * @param beginning - the first bytes of the file
 */
export function doubtsOf(format: SheetFormat, beginning: Uint8Array): readonly FormatDoubt[] {
  const lines = firstLines(beginning, format.encoding)
  const cells = lines.flatMap((line) => cellsOf(line, format.separator))
  const { decimalMark, thousands, dateOrder, separator } = format
  // Where cells are parted by commas, a point before three digits is the decimal mark.
  const isPlain = thousands !== 'none' || (decimalMark === 'point' && separator !== ';')
  const mark = decimalMark === 'comma' ? ',' : '.'
  const marked = cells.filter((cell) => /^[+-]?\d*[.,]\d+$/.test(cell))
  const thousand = marked.every((cell) => MAYBE_THOUSANDS.test(cell) && cell.includes(mark))
    ? marked[0]
    : undefined
  const [day, month] = (['day-first', 'month-first'] as const).map((order) =>
    cells.filter((cell) => readDate(cell, order) !== undefined && readDate(cell, 'year-first') === undefined),
  )
  const isEither = day!.length > 0 && day!.length === month!.length && dateOrder !== 'year-first'
  return [
    ...(thousand !== undefined && !isPlain ? [{ about: 'thousands', example: thousand } as const] : []),
    ...(isEither ? [{ about: 'date-order', example: day![0]! } as const] : []),
  ]
}

const NUMBER = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?$/i

function guessHeader([first = [], second]: readonly (readonly string[])[]): SheetFormat['header'] {
  const isNumber = (cell: string) => NUMBER.test(cell)
  if (first.some(isNumber) || first.some((cell) => cell === '')) return 'none'
  return second === undefined || second.some(isNumber) || new Set(first).size === first.length
    ? 'first-row'
    : 'none'
}
