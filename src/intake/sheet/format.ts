import type { DecimalMark } from '@/core/claim/draft'

export const SEPARATORS = [',', ';', '\t', '|'] as const
export type Separator = (typeof SEPARATORS)[number]
export const ENCODINGS = ['utf-8', 'windows-1252'] as const
export type Encoding = (typeof ENCODINGS)[number]

/** How a sheet file is written. Cells may stand in double quotes, a quote in them doubled. */
export type SheetFormat = Readonly<{
  separator: Separator
  encoding: Encoding
  decimalMark: DecimalMark
  /** Whether the first row names the columns. */
  header: 'first-row' | 'none'
}>

/** So much of a file is enough to guess by, and little enough to look at at once. */
const GUESSED_FROM = 64 * 1024
const MOST_LINES = 200

/**
 * Guesses how a sheet file is written from its beginning: the separator that divides most lines alike, the encoding
 * that its bytes fit, the decimal mark of its numbers, and a header where the first row has no number and the second has.
 *
 * @param beginning - the first bytes of the file
 */
export function guessFormat(beginning: Uint8Array): SheetFormat {
  const bytes = beginning.subarray(0, GUESSED_FROM)
  const encoding = isUtf8(bytes) ? 'utf-8' : 'windows-1252'
  const text = new TextDecoder(encoding).decode(bytes)
  const lines = text.split(/\r\n|\n|\r/).filter((line) => line !== '')
  const whole = beginning.length > GUESSED_FROM && lines.length > 1 ? lines.slice(0, -1) : lines
  const sample = whole.slice(0, MOST_LINES)
  const separator = guessSeparator(sample)
  const rows = sample.map((line) => cellsOf(line, separator))
  return { separator, encoding, decimalMark: guessDecimalMark(rows, separator), header: guessHeader(rows) }
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

/** Cells of one line; quoted ones are not taken apart. */
function cellsOf(line: string, separator: Separator): readonly string[] {
  const outside = line.replace(/"(?:[^"]|"")*"/g, (quoted) => quoted.replaceAll(separator, ' '))
  return outside.split(separator).map((cell) => cell.trim().replace(/^"(.*)"$/, '$1'))
}

const WITH_COMMA = /^[+-]?\d+,\d+$/
const WITH_POINT = /^[+-]?\d*\.\d+$/

function guessDecimalMark(rows: readonly (readonly string[])[], separator: Separator): DecimalMark {
  const cells = rows.flat()
  const count = (pattern: RegExp) => cells.filter((cell) => pattern.test(cell)).length
  return separator !== ',' && count(WITH_COMMA) > count(WITH_POINT) ? 'comma' : 'point'
}

const NUMBER = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?$/i

function guessHeader([first = [], second]: readonly (readonly string[])[]): SheetFormat['header'] {
  const isNumber = (cell: string) => NUMBER.test(cell)
  if (first.some(isNumber) || first.some((cell) => cell === '')) return 'none'
  return second === undefined || second.some(isNumber) || new Set(first).size === first.length
    ? 'first-row'
    : 'none'
}
