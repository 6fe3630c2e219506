import type { Writing } from './entry'
import { isHeader } from './header'
import { type Entry, readLines } from './lines'
import type { NumberReading } from './number'

export type UnreadReason =
  Extract<NumberReading, { ok: false }>['reason'] | 'not-a-date' | 'two-dates' | 'several-columns'

export type UnreadEntry = Readonly<{
  /** Counted from 1. */
  line: number
  /** Where the entry begins in the whole text, counted from 0. */
  start: number
  text: string
  /** The row of the sheet that it is, or stands in, counted from 0. */
  row: number
  /** The column that it stands in. */
  column: string
  reason: UnreadReason
}>

/** Entries, by their rows, that lie below or above the value that they name. */
export type Limits = Readonly<{ below: readonly number[]; above: readonly number[] }>
export const NO_LIMITS: Limits = { below: [], above: [] }

export type Readings = Readonly<{
  values: readonly number[]
  /** Which entry each value is, counted from 0 over all entries, those that are no numbers too. */
  places: readonly number[]
  /** Every entry as it stands in the text. */
  entries: readonly string[]
  /** Entries that say only on which side of their value they lie. */
  limits: Limits
  /** Entries that are no numbers. They stay in the text, and while they do nothing is computed. */
  unread: readonly Omit<UnreadEntry, 'column'>[]
  /** The first line, where it names the column: an entry without a reading. */
  header?: string
  lineCount: number
}>

/**
 * Reads typed or pasted readings: one a line, or apart by semicolons, or by spaces or commas where they can be nothing but a
 * list. Two lines of several entries may be a sheet, and a tab parts its columns: such lines are not read until somebody says
 * that their entries are readings each.
 *
 * @example
 * readReadings('14.93\n15.02', { mark: 'point', rules: [] }).values // [14.93, 15.02]
 */
export function readReadings(text: string, writing: Writing): Readings {
  const isApart = writing.rules.some(({ rule }) => rule === 'apart')
  const { lines, lineCount } = readLines(text, writing, isApart)
  const isSheet = !isApart && lines.filter((line) => line.entries).length > 1
  const [values, places, entries]: [number[], number[], string[]] = [[], [], []]
  const unread: Omit<UnreadEntry, 'column'>[] = []
  const limits: Readonly<Record<keyof Limits, number[]>> = { below: [], above: [] }
  const take = ({ start, text: entry, reading }: Entry, line: number) => {
    const row = entries.push(entry) - 1
    if (!reading.ok) unread.push({ line, start, text: entry, row, reason: reading.reason })
    else if (!Number.isNaN(reading.value)) {
      if (reading.side) limits[reading.side].push(row)
      places.push(row)
      values.push(reading.value)
    }
  }
  for (const line of lines) {
    const isRow = !isApart && !line.reading.ok && (line.text.includes('\t') || (isSheet && line.entries))
    if (isRow) {
      const row = entries.push(line.text) - 1
      unread.push({ line: line.line, start: line.start, text: line.text, row, reason: 'several-columns' })
    } else if (line.entries) for (const entry of line.entries) take(entry, line.line)
    else take(line, line.line)
  }
  const [first] = unread
  const isFirst = first?.row === 0 && first.reason !== 'several-columns'
  const header = isFirst && isHeader(entries, writing) ? first.text : undefined
  const read = { values, places, entries, lineCount, limits }
  return header === undefined ? { ...read, unread } : { ...read, unread: unread.slice(1), header }
}
