import { type ColumnWords, columnNamed, type SampleDraft } from '@/desk/sampleDraft'
import type { DecimalMark } from '@/desk/typed'
import { readDate } from '../reading/date'
import { type NumberReading, readNumber } from '../reading/number'
import { readReadings, type UnreadEntry } from '../reading/readings'
import { CHUNK_LENGTH, type Column, type NumberColumn } from './columns'

/** A sheet that was typed, as columns. An entry that is no number where one is needed is missing from its column. */
export type TypedSheet = Readonly<{
  columns: readonly Column[]
  rowCount: number
  /** Entries that are no numbers, or no dates. They stay in the text and out of the figures. */
  unread: readonly UnreadEntry[]
  lineCount: number
}>

/** The one column of a list of readings of which nothing is said yet. */
export const READINGS_COLUMN = columnNamed('readings', 'number')

type Typed = Pick<SampleDraft, 'readings' | 'decimalMark' | 'columns'>

/** Reads what was typed: one column as a list of readings, more as lines of cells that tabs separate. */
export function readTypedSheet({ readings: text, decimalMark, columns }: Typed): TypedSheet {
  if (columns.length > 1) return readCells(text, decimalMark, columns)
  const { name } = columns[0] ?? READINGS_COLUMN
  const { values, places, entries, unread, lineCount } = readReadings(text, decimalMark)
  const cells = new Float64Array(entries.length).fill(Number.NaN)
  for (const [at, place] of places.entries()) cells[place] = values[at]!
  return { columns: [numbers(name, 'number', cells)], rowCount: entries.length, unread, lineCount }
}

/** The cells of a typed sheet as texts, row by row; of a list of readings, an entry a row. */
export function typedCells({ readings: text, decimalMark, columns }: Typed): readonly (readonly string[])[] {
  if (columns.length <= 1) return readReadings(text, decimalMark).entries.map((entry) => [entry])
  return linesOf(text).map((line) => line.split('\t'))
}

/** Lines with their cells; empty ones at the end are none. */
function linesOf(text: string): readonly string[] {
  const lines = text.replace(/[\r\n]+$/, '')
  return lines === '' ? [] : lines.split(/\r\n|\r|\n/)
}

function readCells(text: string, mark: DecimalMark, columns: readonly ColumnWords[]): TypedSheet {
  const rows = linesOf(text).map((line) => line.split('\t'))
  const unread: UnreadEntry[] = []
  const starts: number[] = []
  let start = 0
  for (const row of rows) {
    starts.push(start)
    start += row.join('\t').length + 1
  }
  const made = columns.map(({ name, kind }, at): Column => {
    const texts = rows.map((row) => (row[at] ?? '').trim())
    if (kind === 'category' || kind === 'text') {
      const missing = texts.filter((cell) => cell === '').length
      return { kind: 'text', name, texts, length: texts.length, missing }
    }
    const cells = Float64Array.from(texts, (cell, row) => {
      if (cell === '') return Number.NaN
      const reading = readCell(cell, kind, mark)
      if (reading.ok) return reading.value
      const before = rows[row]!.slice(0, at).join('\t').length + (at === 0 ? 0 : 1)
      unread.push({ line: row + 1, start: starts[row]! + before, text: cell, reason: reading.reason })
      return Number.NaN
    })
    return numbers(name, kind, cells)
  })
  return { columns: made, rowCount: rows.length, unread, lineCount: rows.length }
}

/** Reads a cell of numbers, or of dates. */
export function readCell(text: string, kind: 'number' | 'date', mark: DecimalMark): CellReading {
  if (kind === 'number') return readNumber(text, mark)
  const value = readDate(text, 'day-first')
  return value === undefined ? { ok: false, reason: 'not-a-date' } : { ok: true, value }
}

type CellReading = NumberReading | Readonly<{ ok: false; reason: 'not-a-date' }>

function numbers(name: string, kind: 'number' | 'date', cells: Float64Array): Column {
  const chunks = Array.from({ length: Math.ceil(cells.length / CHUNK_LENGTH) }, (_, at) =>
    cells.subarray(at * CHUNK_LENGTH, (at + 1) * CHUNK_LENGTH),
  )
  const missing = cells.reduce((count, cell) => count + (Number.isNaN(cell) ? 1 : 0), 0)
  return { kind, name, chunks, length: cells.length, missing } as NumberColumn
}
