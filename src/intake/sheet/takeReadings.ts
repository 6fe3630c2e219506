import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import type { KeptRows } from '@/desk/rowCondition'
import type { DecimalMark } from '@/desk/typed'
import type { ReadAsSaid, Writing } from '../reading/entry'
import { nextQuestion } from '../reading/questions'
import { type Limits, NO_LIMITS, type UnreadEntry } from '../reading/readings'
import { asNumbers, hasDigits, isOfTexts } from './asNumbers'
import { cellText, type Column } from './columns'
import { columnNotFound, keptNumbers, keptRows } from './keepRows'
import type { Sheet } from './readSheet'

/** Rows shown of a sheet before it is used. */
const PREVIEWED = 6

export type SheetView = Readonly<{
  rowCount: number
  columns: readonly Readonly<{
    name: string
    kind: Column['kind']
    missing: number
    /** A text that can be read as a number if somebody says how: "12.5 g". */
    likeNumber?: string
  }>[]
  /** The first rows, as texts. */
  rows: readonly (readonly string[])[]
  missingWords: Sheet['missingWords']
}>

/** What a person looks at before taking anything from a sheet. */
export function viewOf({ columns, rowCount, missingWords }: Sheet): SheetView {
  const rows = Array.from({ length: Math.min(rowCount, PREVIEWED) }, (_, row) =>
    columns.map((column) => cellText(column, row)),
  )
  return {
    rowCount,
    columns: columns.map((column) => {
      const { name, kind, missing } = column
      const likeNumber = likeNumberIn(column)
      return { name, kind, missing, ...(likeNumber === undefined ? {} : { likeNumber }) }
    }),
    rows,
    missingWords,
  }
}

function likeNumberIn(column: Column): string | undefined {
  if (!isOfTexts(column) || !hasDigits(column)) return undefined
  const writing = { mark: 'point', rules: [] } as const
  const { unread } = asNumbers(column, writing)
  const question = nextQuestion(unread, writing, { isMarkUsed: false, isList: false })
  return question?.ways.some(({ values }) => Number.isFinite(values[0])) ? question.entry.text : undefined
}

export type TakenReadings = Readonly<{
  values: readonly number[]
  /** The row of each value, counted from 0. */
  rows: readonly number[]
  /** Rows that meet the conditions, those without a number too. */
  keptCount: number
  /** Entries that are not read, where one is needed. */
  unread: readonly UnreadEntry[]
  /** What of the readings is read as somebody said. */
  said?: ReadAsSaid | undefined
  /** Those, by their places among the values, that say only on which side of their value they lie. */
  censored?: Limits | undefined
}>

/**
 * The numbers of one column, of the rows that meet the conditions.
 *
 * @param sheet - must hold the column and every column that a condition names
 * @param question.writing - how the numbers of a column of texts are to be read
 * @returns the numbers without the missing ones, or the problem `condition-not-read`, `column-not-found` or `not-numbers`
 */
export function takeReadings(
  sheet: Pick<Sheet, 'columns' | 'rowCount'>,
  question: Readonly<{
    column: string
    kept: KeptRows
    mark: DecimalMark
    writing: Writing
    /** Rows that are limits, where the column is one of numbers already. */
    limits?: Limits | undefined
  }>,
): Outcome<TakenReadings> {
  const found = sheet.columns.find(({ name }) => name === question.column)
  if (!found) return failure(columnNotFound(question.column, sheet.columns))
  const isRead = isOfTexts(found) && hasDigits(found)
  const { column, unread, said, limits } = isRead
    ? asNumbers(found, question.writing)
    : { column: found, unread: [], said: undefined, limits: question.limits ?? NO_LIMITS }
  if (column.kind !== 'number') return failure(notNumbers(column, 'Name a column of numbers.'))
  const kept = keptRows(sheet, question.kept, question.mark)
  if (!kept.ok) return kept
  const marks = kept.value
  let keptCount = 0
  // By places, which takes a third of the time.
  for (let row = 0; row < sheet.rowCount; row += 1) keptCount += marks[row]!
  const wanted = unread.filter(({ row }) => marks[row] === 1)
  const taken = keptNumbers(column, marks)
  const censored = placesOf(limits, taken.rows)
  return success({ ...taken, keptCount, unread: wanted, said, ...(censored ? { censored } : {}) })
}

/** Rows as places among those that are taken; nothing where none of them is. */
function placesOf({ below, above }: Limits, rows: readonly number[]): Limits | undefined {
  if (below.length + above.length === 0) return undefined
  const places = new Map(rows.map((row, at) => [row, at]))
  const taken = (side: readonly number[]) =>
    side.flatMap((row) => {
      const place = places.get(row)
      return place === undefined ? [] : [place]
    })
  const censored = { below: taken(below), above: taken(above) }
  return censored.below.length + censored.above.length > 0 ? censored : undefined
}

const KIND_WORDS: Readonly<Record<Column['kind'], string>> = {
  number: 'numbers',
  category: 'categories',
  text: 'texts',
  date: 'dates',
}

/** A column whose cells are not what is wanted of them, with one of them. */
export function notNumbers(column: Column, advice: string): Problem {
  const row =
    Array.from({ length: column.length }, (_, at) => at).find((at) => cellText(column, at) !== '') ?? 0
  return {
    code: 'not-numbers',
    path: 'column',
    message: `“${column.name}” is a column of ${KIND_WORDS[column.kind]}, such as “${cellText(column, row)}” in row ${row + 1}. ${advice}`,
  }
}
