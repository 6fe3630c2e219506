import type { DecimalMark } from '@/core/claim/draft'
import { type NumberReading, readNumber } from './number'

export type UnreadEntry = Readonly<{
  /** Counted from 1. */
  line: number
  text: string
  reason: Extract<NumberReading, { ok: false }>['reason']
}>

export type Readings = Readonly<{
  values: readonly number[]
  /** Entries that are no numbers. They stay in the text and out of the figures. */
  unread: readonly UnreadEntry[]
  lineCount: number
}>

const SEPARATORS = /[\t ;\u00a0\u2009\u202f]+/

/** Reads typed or pasted readings: one a line, or separated by tabs, spaces or semicolons. */
export function readReadings(text: string, decimalMark: DecimalMark): Readings {
  const values: number[] = []
  const unread: UnreadEntry[] = []
  const lines = text.split(/\r\n|\r|\n/)
  for (const [index, line] of lines.entries()) {
    for (const entry of line.split(SEPARATORS)) {
      if (entry === '') continue
      const reading = readNumber(entry, decimalMark)
      if (reading.ok) values.push(reading.value)
      else unread.push({ line: index + 1, text: entry, reason: reading.reason })
    }
  }
  return { values, unread, lineCount: lines.length }
}
