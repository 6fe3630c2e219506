import { type ColumnWords, columnNamed, type SampleDraft } from '@/desk/sampleDraft'
import type { DecimalMark } from '@/desk/typed'
import { DATE_ORDERS, daysMeant, orderOfDates, readDate } from '../reading/date'
import { type ReadAsSaid, readAsSaid, readEntry, type Writing } from '../reading/entry'
import type { NumberReading } from '../reading/number'
import { trimmed } from '../reading/trimmed'
import { type Limits, type Readings, readReadings, type UnreadEntry } from '../reading/readings'
import { numberColumn } from './asNumbers'
import type { Column } from './columns'

/** A sheet that was typed, as columns. An entry that is no number where one is needed is missing from its column. */
export type TypedSheet = Readonly<{
  columns: readonly Column[]
  rowCount: number
  /** Entries that are no numbers, or no dates. They stay in the text, and while a column has one nothing is computed of it. */
  unread: readonly UnreadEntry[]
  /** Of each column that has some: what is read as somebody said. */
  said: Readonly<Record<string, ReadAsSaid>>
  /** Of each column that has some: its entries that are limits. */
  limits: Readonly<Record<string, Limits>>
  /** The first line of a list, where it names the column: a row without a reading. */
  header?: string
  lineCount: number
}>

/** The one column of a list of readings of which nothing is said yet. */
export const READINGS_COLUMN = columnNamed('readings', 'number')

type Typed = Pick<SampleDraft, 'readings' | 'decimalMark' | 'columns'>

/** How the numbers of a column are written. */
export const writingOf = (
  decimalMark: DecimalMark,
  column: Pick<ColumnWords, 'readAs'> | undefined,
): Writing => ({
  mark: decimalMark,
  rules: column?.readAs ?? [],
})

/** Reads what was typed: one column as a list of readings, more as lines of cells that tabs separate. */
export function readTypedSheet(typed: Typed): TypedSheet {
  const { decimalMark, columns } = typed
  if (columns.length > 1) return readCells(typed.readings, decimalMark, columns)
  const { name } = columns[0] ?? READINGS_COLUMN
  const { values, places, entries, unread, limits, ...rest } = readList(typed)
  const writing = writingOf(decimalMark, columns[0])
  const said = writing.rules.length > 0 ? readAsSaid(timesOf(entries), writing) : undefined
  const cells = new Float64Array(entries.length).fill(Number.NaN)
  for (const [at, place] of places.entries()) cells[place] = values[at]!
  return {
    columns: [numberColumn(name, cells)],
    rowCount: entries.length,
    unread: unread.map((entry) => ({ ...entry, column: name })),
    said: said ? { [name]: said } : {},
    limits: hasLimits(limits) ? { [name]: limits } : {},
    ...rest,
  }
}

const hasLimits = ({ below, above }: Limits) => below.length + above.length > 0

const timesOf = (texts: readonly string[]) => texts.map((text) => [text, 1] as const)

const readList = ({ readings, decimalMark, columns }: Typed): Readings =>
  readReadings(readings, writingOf(decimalMark, columns[0]))

/** The cells of a typed sheet as texts, row by row; of a list of readings, an entry a row. */
export function typedCells(typed: Typed): readonly (readonly string[])[] {
  if (typed.columns.length <= 1) return readList(typed).entries.map((entry) => [entry])
  return linesOf(typed.readings).map((line) => line.split('\t'))
}

/** Lines with their cells; empty ones at the end are none. */
function linesOf(text: string): readonly string[] {
  const lines = text.split(/\r\n|\r|\n/)
  const last = lines.findLastIndex((line) => line !== '')
  return lines.slice(0, last + 1)
}

function readCells(text: string, mark: DecimalMark, columns: readonly ColumnWords[]): TypedSheet {
  const rows = linesOf(text).map((line) => line.split('\t'))
  const unread: UnreadEntry[] = []
  const said: Record<string, ReadAsSaid> = {}
  const limits: Record<string, Limits> = {}
  const starts: number[] = []
  let start = 0
  for (const row of rows) {
    starts.push(start)
    start += row.join('\t').length + 1
  }
  const made = columns.map((words, at): Column => {
    const { name, kind } = words
    const texts = rows.map((row) => trimmed(row[at] ?? ''))
    const order = kind === 'date' && orderOfDates(texts)
    const saidOf = writingOf(mark, words)
    // What is said goes before what the cells tell.
    const writing = order
      ? { mark, rules: [...saidOf.rules, { rule: 'dates' as const, text: order }] }
      : saidOf
    if (kind === 'category' || kind === 'text') {
      const missing = texts.filter((cell) => cell === '').length
      return { kind: 'text', name, texts, length: texts.length, missing }
    }
    const own = kind === 'number' ? readAsSaid(timesOf(texts), writing) : undefined
    if (own) said[name] = own
    const beyond: Readonly<Record<keyof Limits, number[]>> = { below: [], above: [] }
    const cells = Float64Array.from(texts, (cell, row) => {
      if (cell === '') return Number.NaN
      const reading = readCell(cell, kind, writing)
      if (reading.ok) {
        if ('side' in reading && reading.side) beyond[reading.side].push(row)
        return reading.value
      }
      const before = rows[row]!.slice(0, at).join('\t').length + (at === 0 ? 0 : 1)
      const start = starts[row]! + before
      unread.push({ line: row + 1, start, text: cell, row, column: name, reason: reading.reason })
      return Number.NaN
    })
    if (hasLimits(beyond)) limits[name] = beyond
    return { ...numberColumn(name, cells), kind } as Column
  })
  return { columns: made, rowCount: rows.length, unread, said, limits, lineCount: rows.length }
}

/** Reads a cell of numbers, or of dates. */
function readCell(text: string, kind: 'number' | 'date', writing: Writing): CellReading {
  if (kind === 'number') return readEntry(text, writing)
  const said = writing.rules.find(({ rule }) => rule === 'dates')
  const order = DATE_ORDERS.find((one) => one === said?.text)
  const [value, other] = order ? [readDate(text, order)] : daysMeant(text)
  if (value === undefined) return { ok: false, reason: 'not-a-date' }
  return other === undefined ? { ok: true, value } : { ok: false, reason: 'two-dates' }
}

type CellReading = NumberReading | Readonly<{ ok: false; reason: 'not-a-date' | 'two-dates' }>
