import { parameterOf } from '@/claims/all'
import { type Answer, answer } from '@/answers/answer'
import type { CheckDocument } from '@/claims/terms/request'
import type { Limit } from '@/claims/terms/limit'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { readClaimText } from '@/intake/claimText'
import { readNumber } from '@/intake/reading/number'
import type { GroupsDocument } from '@/claims/groups/groupsRequest'
import type { KeptRows } from '@/desk/rowCondition'
import { readRowConditions } from '@/intake/reading/rowCondition'
import type { Column } from '@/intake/sheet/columns'
import { keptNumbers } from '@/intake/sheet/keepRows'
import { DATE_ORDERS } from '@/intake/reading/date'
import { THOUSANDS } from '@/intake/reading/thousands'
import { groupsOf } from './csvGroups'
import {
  clustersOf,
  type CsvOptions,
  type From,
  needed,
  noRows,
  notOneOf,
  numbersOf,
  rowsKept,
} from './csvParts'
import { marksOf } from './marksOf'
import { readSheetFile, type SheetFileQuestion, type WrittenSheet } from './sheetFile'

/** Checks one claim against one column of a CSV file, or against each group of its rows. */
export async function checkCsv(options: CsvOptions): Promise<Answer> {
  const document = await documentOf(options)
  return document.ok ? answer(document.value) : { ok: false, error: document.problem }
}

async function documentOf(options: CsvOptions): Promise<Outcome<CheckDocument | GroupsDocument>> {
  const { csv, column } = options
  if (column === undefined) return failure(needed('--column', 'the name of the column to check'))
  if (options.claim === undefined)
    return failure(needed('--claim', 'the claim, such as "mean at least 15 kg"'))
  const claim = readClaimText(options.claim)
  if (!claim.ok) return claim
  const kept = keptOf(options.where ?? [])
  if (!kept.ok) return kept
  const test = testOf(options)
  if (!test.ok) return test
  const limit = limitOf(options.limit)
  if (!limit.ok) return limit
  const written = statedOf(options)
  if (!written.ok) return written
  const sheet = await readSheetFile({
    file: csv,
    wanted: [
      column,
      ...(options.cluster === undefined ? [] : [options.cluster]),
      ...(options.by === undefined ? [] : [options.by]),
      ...kept.value.flat().map((condition) => condition.column),
    ],
    missing: options.missing ?? [],
    stated: written.value,
  })
  if (!sheet.ok) return sheet
  const rows = rowsKept(sheet.value, kept.value)
  if (!rows.ok) return rows
  const limited = { ...claim.value, ...(limit.value ? { limit: limit.value } : {}) }
  const stated = { claim: { ...limited, wording: options.claim }, test: test.value }
  const from = { options, column, sheet: sheet.value, kept: rows.value, claim: limited }
  if (options.by !== undefined) return groupsOf(from, stated)
  if (options.adjust !== undefined)
    return failure(needed('--by', 'the column of the groups that --adjust is for'))
  const evidence = evidenceOf(from)
  return evidence.ok ? success({ ...stated, evidence: evidence.value }) : evidence
}

/** What one reading has to be for its item to count: "at least 14.8". */
function limitOf(text: string | undefined): Outcome<Limit | undefined> {
  if (text === undefined) return success(undefined)
  const [, words, figure = ''] = /^(at least|at most)\s+(\S+)$/i.exec(text.trim()) ?? []
  const value = readNumber(figure, 'point')
  if (words === undefined || !value.ok) {
    const message = `--limit is “${text}”. Write it as “at least 14.8” or “at most 42”, in the unit of the column.`
    return failure({ code: 'not-a-choice', path: '--limit', message })
  }
  return success({ side: words.toLowerCase() === 'at least' ? 'at-least' : 'at-most', value: value.value })
}

/** How the file is written, as far as that is stated: its numbers by an example, "1.234,5". */
export function statedOf({ numbers, dates }: CsvOptions): Outcome<SheetFileQuestion['stated']> {
  const [, thousands, mark] = /^1([,.' ]?)234([.,])5$/.exec(numbers ?? '') ?? []
  if (numbers !== undefined && (mark === undefined || mark === thousands))
    return failure(notOneOf('--numbers', numbers, NUMBER_EXAMPLES))
  const dateOrder = DATE_ORDERS.find((order) => order === dates)
  if (dates !== undefined && !dateOrder) return failure(notOneOf('--dates', dates, DATE_ORDERS))
  return success({
    ...(mark === undefined
      ? {}
      : {
          decimalMark: mark === ',' ? 'comma' : 'point',
          thousands: THOUSANDS.find((one) => one === thousands) ?? 'none',
        }),
    ...(dateOrder ? { dateOrder } : {}),
  })
}

const NUMBER_EXAMPLES = ['1234.5', '1234,5', '1,234.5', '1.234,5', '1 234,5', "1'234.5"] as const

/** Every condition stated has to hold: each one's lists are joined to those of the others. */
export function keptOf(where: readonly string[]): Outcome<KeptRows> {
  let all: KeptRows = []
  for (const text of where) {
    const read = readRowConditions(text)
    if (!read.ok) return read
    all = all.length === 0 ? read.value : all.flatMap((list) => read.value.map((more) => [...list, ...more]))
  }
  return success(all)
}

function evidenceOf(input: From): Outcome<CheckDocument['evidence']> {
  const { options, sheet, kept, claim } = input
  const column = sheet.columns.find(({ name }) => name === input.column)!
  const lot = options.lot === undefined ? undefined : readOption('evidence.lotSize', options.lot)
  if (lot && !lot.ok) return lot
  const lotSize = lot ? { lotSize: lot.value } : {}
  if (parameterOf(claim.parameter).sample === 'counted' && !claim.limit)
    return countOf(column, { sheet, kept, options, lotSize })
  const numbers = numbersOf(column, kept, sheet.writing)
  if (!numbers.ok) return numbers
  const { values, rows } = keptNumbers(numbers.value, kept)
  if (values.length === 0) return failure(noRows(column.name, sheet.rowCount))
  const clusters = clustersOf(sheet, options.cluster, rows)
  if (!clusters.ok) return clusters
  const blank = blankOf(kept, values.length)
  return success({ kind: 'readings', values: [...values], ...clusters.value, ...blank, ...lotSize })
}

/** Rows kept that have no entry, where there are any. */
function blankOf(kept: Uint8Array, taken: number): Pick<CheckDocument['evidence'], 'entries'> {
  const blank = kept.reduce((count, one) => count + one, 0) - taken
  return blank > 0 ? { entries: [{ blank }] } : {}
}

function countOf(
  column: Column,
  input: Readonly<{
    sheet: WrittenSheet
    kept: Uint8Array
    options: CsvOptions
    lotSize: Readonly<{ lotSize?: number }>
  }>,
): Outcome<CheckDocument['evidence']> {
  const { sheet, kept, options, lotSize } = input
  const { cluster } = options
  const marks = marksOf({ column, kept, writing: sheet.writing }, options.success)
  if (!marks.ok) return marks
  let [n, successes] = [0, 0]
  const [rows, values]: [number[], number[]] = [[], []]
  for (let row = 0; row < kept.length; row += 1) {
    const counts = kept[row] === 1 ? marks.value(row) : undefined
    if (counts === undefined) continue
    n += 1
    if (counts) successes += 1
    rows.push(row)
    values.push(counts ? 1 : 0)
  }
  if (n === 0) return failure(noRows(column.name, kept.length))
  const rest = { ...blankOf(kept, n), ...lotSize }
  if (cluster === undefined) return success({ kind: 'count', n, successes, ...rest })
  const clusters = clustersOf(sheet, cluster, rows)
  return clusters.ok ? success({ kind: 'readings', values, ...clusters.value, ...rest }) : clusters
}

function testOf(options: CsvOptions): Outcome<NonNullable<CheckDocument['test']>> {
  const figures = {
    significanceLevel: options.alpha,
    confidenceLevel: options.confidence,
    knownStandardDeviation: options.sigma,
  }
  const test: Record<string, unknown> = options.method === undefined ? {} : { method: options.method }
  for (const [name, text] of Object.entries(figures)) {
    if (text === undefined) continue
    const reading = readOption(`test.${name}`, text)
    if (!reading.ok) return reading
    test[name] = reading.value
  }
  return success(test as NonNullable<CheckDocument['test']>)
}

function readOption(path: string, text: string): Outcome<number> {
  const reading = readNumber(text, 'point')
  if (reading.ok) return success(reading.value)
  return failure({
    code: 'wrong-type',
    path,
    message: `“${text}” is not a number. State “${path}” as one, such as ${path === 'evidence.lotSize' ? '4000' : '0.05'}.`,
  })
}
