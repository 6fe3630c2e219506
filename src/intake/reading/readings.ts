import { readEntry, type Writing } from './entry'
import { isHeader } from './header'
import { listIn, piecesOf } from './lists'
import type { NumberReading } from './number'

export type UnreadReason = Extract<NumberReading, { ok: false }>['reason'] | 'not-a-date' | 'several-columns'

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

export type Readings = Readonly<{
  values: readonly number[]
  /** Which entry each value is, counted from 0 over all entries, those that are no numbers too. */
  places: readonly number[]
  /** Every entry as it stands in the text. */
  entries: readonly string[]
  /** Entries that are no numbers. They stay in the text, and while they do nothing is computed. */
  unread: readonly Omit<UnreadEntry, 'column'>[]
  /** The first line, where it names the column: an entry without a reading. */
  header?: string
  lineCount: number
}>

type Entry = Readonly<{ start: number; text: string; reading: NumberReading }>
type Line = Readonly<{ line: number; start: number; text: string; entries: readonly Entry[] }>

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
  const { lines, lineCount } = linesOf(text, writing, isApart)
  const isSheet = !isApart && lines.filter(({ entries }) => entries.length > 1).length > 1
  const [values, places, entries]: [number[], number[], string[]] = [[], [], []]
  const unread: Omit<UnreadEntry, 'column'>[] = []
  for (const line of lines) {
    const isRow = !isApart && (line.text.includes('\t') || (isSheet && line.entries.length > 1))
    if (isRow) {
      const row = entries.push(line.text) - 1
      unread.push({ line: line.line, start: line.start, text: line.text, row, reason: 'several-columns' })
      continue
    }
    for (const { start, text: entry, reading } of line.entries) {
      const row = entries.push(entry) - 1
      if (!reading.ok) unread.push({ line: line.line, start, text: entry, row, reason: reading.reason })
      else if (!Number.isNaN(reading.value)) {
        places.push(row)
        values.push(reading.value)
      }
    }
  }
  const [first] = unread
  const isFirst = first?.row === 0 && first.reason !== 'several-columns'
  const header = isFirst && isHeader(entries, writing) ? first.text : undefined
  const read = { values, places, entries, lineCount }
  return header === undefined ? { ...read, unread } : { ...read, unread: unread.slice(1), header }
}

const LINE_END = /\r\n|\r|\n/g

/** Lines that are not blank, with their entries. */
function linesOf(text: string, writing: Writing, isApart: boolean) {
  const lines: Line[] = []
  let [line, from] = [0, 0]
  const take = (to: number) => {
    line += 1
    const whole = text.slice(from, to)
    const start = from + whole.length - whole.trimStart().length
    const trimmed = whole.trim()
    if (trimmed !== '')
      lines.push({ line, start, text: trimmed, entries: entriesOf(trimmed, start, writing, isApart) })
  }
  for (const { 0: end, index } of text.matchAll(LINE_END)) {
    take(index)
    from = index + end.length
  }
  take(text.length)
  return { lines, lineCount: line }
}

function entriesOf(text: string, start: number, writing: Writing, isApart: boolean): readonly Entry[] {
  const whole = readEntry(text, writing)
  if (whole.ok) return [{ start, text, reading: whole }]
  const entries: Entry[] = []
  let from = start
  for (const segment of text.split(';')) {
    const entry = segment.trim()
    const at = from + segment.length - segment.trimStart().length
    from += segment.length + 1
    if (entry === '') continue
    const pieces = (isApart ? piecesOf(entry, writing) : undefined) ?? listIn(entry, writing) ?? [entry]
    let place = at
    for (const piece of pieces) {
      const pieceStart = start + text.indexOf(piece, place - start)
      entries.push({ start: pieceStart, text: piece, reading: readEntry(piece, writing) })
      place = pieceStart + piece.length
    }
  }
  return entries
}
