import type { DecimalMark } from '@/desk/typed'
import { type NumberReading, readNumber } from './number'

export type UnreadEntry = Readonly<{
  /** Counted from 1. */
  line: number
  /** Where the entry begins in the whole text, counted from 0. */
  start: number
  text: string
  reason: Extract<NumberReading, { ok: false }>['reason'] | 'not-a-date'
}>

export type Readings = Readonly<{
  values: readonly number[]
  /** Which entry each value is, counted from 0 over all entries, those that are no numbers too. */
  places: readonly number[]
  /** Every entry as it stands in the text. */
  entries: readonly string[]
  /** Entries that are no numbers. They stay in the text and out of the figures. */
  unread: readonly UnreadEntry[]
  lineCount: number
}>

/** An entry, or the end of a line. Entries stand apart by tabs, spaces (thin and unbreakable ones too) or semicolons. */
const PIECE = /\r\n|\r|\n|[^\r\n\t ;\u00a0\u2009\u202f]+/g
const LINE_END = /^[\r\n]/

/** Reads typed or pasted readings: one a line, or separated by tabs, spaces or semicolons. */
export function readReadings(text: string, decimalMark: DecimalMark): Readings {
  const values: number[] = []
  const places: number[] = []
  const unread: UnreadEntry[] = []
  const entries: string[] = []
  let line = 1
  for (const { 0: piece, index: start } of text.matchAll(PIECE)) {
    if (LINE_END.test(piece)) {
      line += 1
      continue
    }
    const reading = readNumber(piece, decimalMark)
    if (reading.ok) {
      places.push(entries.length)
      values.push(reading.value)
      entries.push(piece)
      continue
    }
    const entry = { line, start, text: piece, reason: reading.reason }
    const last = unread.at(-1)
    if (last && isOneText(last, entry, text)) {
      const whole = text.slice(last.start, start + piece.length)
      unread[unread.length - 1] = { ...last, text: whole }
      entries[entries.length - 1] = whole
    } else {
      unread.push(entry)
      entries.push(piece)
    }
  }
  return { values, places, entries, unread, lineCount: line }
}

/** Words that stand side by side, "half a reading", make one entry. */
function isOneText(last: UnreadEntry, next: UnreadEntry, text: string): boolean {
  return (
    last.line === next.line &&
    last.reason === 'not-a-number' &&
    next.reason === 'not-a-number' &&
    /^ +$/.test(text.slice(last.start + last.text.length, next.start))
  )
}
