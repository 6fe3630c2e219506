import type { Claim } from '@/claims/terms/claim'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import type { CheckDocument } from '@/claims/terms/request'
import { type KeptRows, ORDERED } from '@/desk/rowCondition'
import type { Writing } from '@/intake/reading/entry'
import { asNumbers, isOfTexts } from '@/intake/sheet/asNumbers'
import { cellText, type Column, numberAt, type NumberColumn } from '@/intake/sheet/columns'
import { keptRows } from '@/intake/sheet/keepRows'
import { nearEntry } from '@/intake/sheet/nearEntry'
import type { Sheet } from '@/intake/sheet/readSheet'
import type { WrittenSheet } from './sheetFile'

/** What was stated on the command line, as texts. */
export type CsvOptions = Readonly<{
  csv: string
  column?: string | undefined
  where?: readonly string[] | undefined
  missing?: readonly string[] | undefined
  numbers?: string | undefined
  dates?: string | undefined
  claim?: string | undefined
  success?: string | undefined
  method?: string | undefined
  alpha?: string | undefined
  confidence?: string | undefined
  sigma?: string | undefined
  lot?: string | undefined
  limit?: string | undefined
  cluster?: string | undefined
  /** The column by whose entries the claim is held against each group, and how that is adjusted. */
  by?: string | undefined
  adjust?: string | undefined
  /** A specification as a CSV file, in place of one claim and one column. */
  spec?: string | undefined
}>

/** What a claim is taken from: a column, and the rows of the sheet that are kept. */
export type From = Readonly<{
  options: CsvOptions
  column: string
  sheet: WrittenSheet
  /** A mark a row: 1 for one that is kept. */
  kept: Uint8Array
  claim: Claim
}>

/** The entry of each row in the column of clusters; refused where a row that is taken has none. */
export function clustersOf(
  sheet: Sheet,
  name: string | undefined,
  rows: readonly number[],
): Outcome<Pick<Extract<CheckDocument['evidence'], { kind: 'readings' }>, 'cluster'>> {
  if (name === undefined) return success({})
  const column = sheet.columns.find((one) => one.name === name)!
  const cluster = rows.map((row) => cellText(column, row))
  const blank = cluster.indexOf('')
  if (blank < 0) return success({ cluster })
  const message = `Row ${rows[blank]! + 2} has no entry in “${name}”, so its cluster is not known. Enter it, or leave the row out with --where.`
  return failure({ code: 'missing', path: '--cluster', message })
}

export function notOneOf(option: string, seen: string, choices: readonly string[]) {
  const listed = choices.map((choice) => `"${choice}"`).join(', ')
  return { code: 'not-a-choice', path: option, message: `${option} is “${seen}”. It is one of ${listed}.` }
}

/**
 * A column as numbers: also one of texts each of which is a number, such as one with a space behind it in quotes.
 *
 * @returns refused with the first of the kept entries that is no number, or else of all
 */
export function numbersOf(column: Column, kept: Uint8Array, writing: Writing): Outcome<NumberColumn> {
  if (column.kind === 'number') return success(column)
  if (!isOfTexts(column))
    return failure(notNumbers(`The column “${column.name}” is one of dates. Name another column.`))
  const { column: numbers, unread } = asNumbers(column, writing)
  const [first] = unread
  if (!first) return success(numbers)
  const { text, line } = unread.find(({ row }) => kept[row] === 1) ?? first
  const more = unread.length - 1
  const others = more === 0 ? '' : more === 1 ? ', nor is one more entry' : `, nor are ${more} more entries`
  const seen = `“${text.slice(0, 60)}” in row ${line + 1} of the column “${column.name}” is not a number${others}, so the column is one of texts.`
  return failure(notNumbers(`${seen} Correct ${more === 0 ? 'it' : 'them'}, or name another column.`))
}

/**
 * Which rows the conditions keep; refused where one compares an entry that is no number with a number, or tells it from what
 * it states only by how it is written.
 */
export function rowsKept(sheet: WrittenSheet, kept: KeptRows): Outcome<Uint8Array> {
  const near = nearlyKept(sheet, kept)
  if (near) return failure(near)
  const compared = kept.flat().filter(({ relation }) => ORDERED.includes(relation))
  const columns: Column[] = []
  for (const column of sheet.columns) {
    if (!isOfTexts(column) || !compared.some((condition) => condition.column === column.name)) {
      columns.push(column)
      continue
    }
    const read = numbersOf(column, new Uint8Array(column.length).fill(1), sheet.writing)
    if (!read.ok) return read
    columns.push(read.value)
  }
  return keptRows({ ...sheet, columns }, kept, 'point')
}

/** An entry that the conditions tell from what they state only by how it is written: it may be meant or not. */
export function nearlyKept({ columns, writing }: WrittenSheet, kept: KeptRows): Problem | undefined {
  const near = nearEntry(columns, kept.flat(), 'point', writing)
  if (!near) return undefined
  const { column, seen, text } = near
  const message = `“${seen}” in the column “${column}” is the “${text}” of --where but for how it is written, and whether it is meant can't be told. Write them alike, or name both: “${column} one of ${text}; ${seen}” takes both, a further condition “${column} is not ${seen}” only one.`
  return { code: 'two-ways', path: '--where', message }
}

/** The reading of a row; nothing where it has none. */
export function readingAt(column: NumberColumn, row: number): number | undefined {
  const value = numberAt(column, row)
  return Number.isNaN(value) ? undefined : value
}

const notNumbers = (message: string) => ({ code: 'not-a-number', path: 'csv', message })

export function noRows(column: string, rows: number) {
  const message = `None of the ${rows} rows has a value in “${column}” and meets the conditions.`
  return { code: 'no-rows', path: 'csv', message }
}

export function needed(option: string, what: string) {
  return { code: 'missing', path: option, message: `${option} is missing; state ${what}.` }
}
