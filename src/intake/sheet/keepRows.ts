import type { Problem } from '@/claims/terms/outcome'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { KeptRows, RowCondition } from '@/desk/rowCondition'
import type { DecimalMark } from '@/desk/typed'
import { wordsOf } from '@/words/en/rowConditionWords'
import { plainSpellings } from '../reading/number'
import { type CellTest, testCells } from '../reading/rowCondition'
import { CHUNK_LENGTH, type Column } from './columns'

/**
 * Which rows are kept: 1 for a row that meets every condition of one of the lists, 0 for another.
 *
 * A category is compared once for each of its texts, not for each of its cells.
 *
 * @param mark - how numbers in the conditions are written
 * @returns a mark a row, or the problem `column-not-found` or `condition-not-read`
 */
export function keptRows(
  sheet: Readonly<{ columns: readonly Column[]; rowCount: number }>,
  kept: KeptRows,
  mark: DecimalMark,
): Outcome<Uint8Array> {
  const { columns, rowCount } = sheet
  let all: Uint8Array | undefined
  for (const list of kept) {
    const one = new Uint8Array(rowCount).fill(1)
    for (const condition of list) {
      const column = columns.find(({ name }) => name === condition.column)
      if (!column) return failure(columnNotFound(condition.column, columns))
      const test = testCells(condition, mark)
      if (!test.ok) return test
      const problem = notComparable(column, condition, test.value, mark)
      if (problem) return failure(problem)
      dropRows(one, column, test.value)
    }
    if (all) for (let row = 0; row < rowCount; row += 1) all[row]! |= one[row]!
    else all = one
  }
  return success(all ?? new Uint8Array(rowCount).fill(1))
}

export function columnNotFound(name: string, columns: readonly Readonly<{ name: string }>[]): Problem {
  const names = columns.map((column) => column.name).join(', ')
  return {
    code: 'column-not-found',
    path: 'where',
    message: `There is no column “${name}”. There are: ${names}.`,
  }
}

/** What would keep no row or all of them: numbers compared with what is no number, or dates with what is none. */
function notComparable(
  { kind }: Column,
  condition: RowCondition,
  { noNumber, noDate }: CellTest,
  mark: DecimalMark,
): Problem | undefined {
  if (kind !== 'number' && kind !== 'date') return undefined
  const unread = kind === 'number' ? noNumber : noDate
  if (unread === undefined) return undefined
  const spellings = plainSpellings(unread, mark).join(' or ')
  const number = spellings === '' ? 'a number, such as 7' : `${spellings}, whichever is meant`
  const message = `“${condition.column}” is a column of ${kind}s, and “${wordsOf(condition)}” compares it with “${unread}”, which is not read as one. State ${kind === 'date' ? 'a date as 2026-01-14' : number}.`
  return { code: 'condition-not-read', path: 'where', message }
}

function dropRows(kept: Uint8Array, column: Column, { holdsNumber, holdsText, holdsDate }: CellTest): void {
  switch (column.kind) {
    case 'number':
      return dropBy(kept, column.chunks, holdsNumber)
    case 'date':
      return dropBy(kept, column.chunks, holdsDate)
    case 'category': {
      const holds = ['', ...column.dictionary].map(holdsText)
      return dropBy(kept, column.chunks, (code) => holds[code]!)
    }
    case 'text':
      return column.texts.forEach((text, row) => {
        if (!holdsText(text)) kept[row] = 0
      })
    default:
      return column satisfies never
  }
}

function dropBy(
  kept: Uint8Array,
  chunks: readonly (Float64Array | Uint16Array)[],
  holds: (cell: number) => boolean,
): void {
  for (const [at, chunk] of chunks.entries()) {
    const from = at * CHUNK_LENGTH
    for (let i = 0; i < chunk.length; i += 1) if (!holds(chunk[i]!)) kept[from + i] = 0
  }
}

/** The numbers of the rows that are kept, without the missing ones, and the row of each. */
export function keptNumbers(
  { chunks }: Extract<Column, { kind: 'number' }>,
  kept: Uint8Array,
): Readonly<{ values: readonly number[]; rows: readonly number[] }> {
  const [values, rows]: [number[], number[]] = [[], []]
  for (const [at, chunk] of chunks.entries()) {
    const from = at * CHUNK_LENGTH
    for (let i = 0; i < chunk.length; i += 1) {
      const value = chunk[i]!
      if (kept[from + i] === 0 || Number.isNaN(value)) continue
      values.push(value)
      rows.push(from + i)
    }
  }
  return { values, rows }
}
