import { type ReadAsSaid, readAsSaid, readEntry, type Writing } from '../reading/entry'
import type { NumberReading } from '../reading/number'
import type { Limits, UnreadEntry } from '../reading/readings'
import { trimmed } from '../reading/trimmed'
import { type CategoryColumn, CHUNK_LENGTH, type Column, type NumberColumn, type TextColumn } from './columns'

/** A column of texts read as numbers: what can't be read is missing from it, and told of. */
export type AsNumbers = Readonly<{
  column: NumberColumn
  unread: readonly UnreadEntry[]
  said: ReadAsSaid | undefined
  limits: Limits
}>

/** Whether a column holds texts. */
export const isOfTexts = (column: Column): column is CategoryColumn | TextColumn =>
  column.kind === 'category' || column.kind === 'text'

/** Whether any of the texts has a digit, as a number has. */
export function hasDigits(column: CategoryColumn | TextColumn): boolean {
  const texts = column.kind === 'text' ? column.texts : column.dictionary
  return texts.some((text) => /\d/.test(text))
}

/** Reads a column of texts as numbers. */
export function asNumbers(column: CategoryColumn | TextColumn, writing: Writing): AsNumbers {
  const texts = textsOf(column).map(trimmed)
  const known = new Map<string, NumberReading>()
  const times = new Map<string, number>()
  for (const text of texts) {
    times.set(text, (times.get(text) ?? 0) + 1)
    if (!known.has(text)) known.set(text, readEntry(text, writing))
  }
  const { name, length } = column
  const unread: UnreadEntry[] = []
  const limits: Readonly<Record<keyof Limits, number[]>> = { below: [], above: [] }
  const cells = new Float64Array(length)
  for (const [row, text] of texts.entries()) {
    const reading: NumberReading = text === '' ? { ok: true, value: Number.NaN } : known.get(text)!
    cells[row] = reading.ok ? reading.value : Number.NaN
    if (reading.ok && reading.side) limits[reading.side].push(row)
    if (!reading.ok) unread.push({ line: row + 1, start: 0, text, row, column: name, reason: reading.reason })
  }
  return { column: numberColumn(name, cells), unread, said: readAsSaid(times, writing), limits }
}

function textsOf(column: CategoryColumn | TextColumn): readonly string[] {
  if (column.kind === 'text') return column.texts
  const known = ['', ...column.dictionary]
  return column.chunks.flatMap((chunk) => Array.from(chunk, (code) => known[code]!))
}

/** A column of numbers of which NaN is a missing one. */
export function numberColumn(name: string, cells: Float64Array): NumberColumn {
  const chunks = Array.from({ length: Math.ceil(cells.length / CHUNK_LENGTH) }, (_, at) =>
    cells.subarray(at * CHUNK_LENGTH, (at + 1) * CHUNK_LENGTH),
  )
  const missing = cells.reduce((count, cell) => count + (Number.isNaN(cell) ? 1 : 0), 0)
  return { kind: 'number', name, chunks, length: cells.length, missing }
}
