import { failure, type Outcome, success } from '@/core/outcome'
import { readRowConditions } from '../rowCondition'
import { cellText, type Column } from './columns'
import { keptNumbers, keptRows } from './keepRows'
import type { Sheet } from './readSheet'

/** Rows shown of a sheet before it is used. */
const PREVIEWED = 6

export type SheetView = Readonly<{
  rowCount: number
  columns: readonly Readonly<{ name: string; kind: Column['kind']; missing: number }>[]
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
    columns: columns.map(({ name, kind, missing }) => ({ name, kind, missing })),
    rows,
    missingWords,
  }
}

/**
 * The numbers of one column, of the rows that meet the conditions.
 *
 * @param question.where - conditions as `readRowConditions` reads them; empty for every row
 * @returns the numbers without the missing ones, or the problem `condition-not-read` or `column-not-found`
 */
export function takeReadings(
  { columns, rowCount }: Sheet,
  question: Readonly<{ column: string; where: string }>,
): Outcome<readonly number[]> {
  const conditions = question.where.trim() === '' ? success([]) : readRowConditions(question.where)
  if (!conditions.ok) return conditions
  const column = columns.find(({ name }) => name === question.column)
  const named = conditions.value.map((condition) => condition.column)
  const missing = named.find((name) => !columns.some((known) => known.name === name))
  if (missing !== undefined || column?.kind !== 'number') {
    const names = columns.map(({ name }) => name).join(', ')
    const seen = missing ?? question.column
    const message = `There is no column “${seen}”${missing === undefined ? ' of numbers' : ''}. The file has: ${names}.`
    return failure({ code: 'column-not-found', path: 'where', message })
  }
  return success(keptNumbers(column, keptRows(columns, rowCount, conditions.value)))
}
