import type { Claim } from '@/claims/terms/claim'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { CheckDocument } from '@/claims/terms/request'
import type { KeptRows } from '@/desk/rowCondition'
import { readNumber } from '@/intake/reading/number'
import { cellText, type Column } from '@/intake/sheet/columns'
import type { Sheet } from '@/intake/sheet/readSheet'

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
  sheet: Sheet
  kept: KeptRows
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

export function notANumber(column: Column, kept: Uint8Array) {
  const row = kept.findIndex((one, at) => one === 1 && !readNumber(cellText(column, at), 'point').ok)
  return {
    code: 'not-a-number',
    path: 'csv',
    message: `“${cellText(column, Math.max(0, row))}” in row ${row + 2} of the column “${column.name}” is not a number, so the column is one of texts. Correct it, or name another column.`,
  }
}

export function noRows(column: string, rows: number) {
  const message = `None of the ${rows} rows has a value in “${column}” and meets the conditions.`
  return { code: 'no-rows', path: 'csv', message }
}

export function needed(option: string, what: string) {
  return { code: 'missing', path: option, message: `${option} is missing; state ${what}.` }
}
