import type { DecimalMark } from '@/core/claim/draft'
import { type NumberReading, readNumber } from './number'

export type UnreadEntry = Readonly<{
  /** Counted from 1. */
  line: number
  /** Where the entry begins in the whole text, counted from 0. */
  start: number
  text: string
  reason: Extract<NumberReading, { ok: false }>['reason']
}>

export type Readings = Readonly<{
  values: readonly number[]
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
  const unread: UnreadEntry[] = []
  let line = 1
  for (const { 0: piece, index: start } of text.matchAll(PIECE)) {
    if (LINE_END.test(piece)) {
      line += 1
      continue
    }
    const reading = readNumber(piece, decimalMark)
    if (reading.ok) values.push(reading.value)
    else addUnread(unread, { line, start, text: piece, reason: reading.reason }, text)
  }
  return { values, unread, lineCount: line }
}

/** Words that stand side by side, "half a reading", make one entry. */
function addUnread(unread: UnreadEntry[], entry: UnreadEntry, text: string): void {
  const last = unread.at(-1)
  const end = last ? last.start + last.text.length : 0
  const isOneText =
    last?.line === entry.line &&
    last.reason === 'not-a-number' &&
    entry.reason === 'not-a-number' &&
    /^ +$/.test(text.slice(end, entry.start))
  if (!isOneText) unread.push(entry)
  else unread[unread.length - 1] = { ...last, text: text.slice(last.start, entry.start + entry.text.length) }
}
