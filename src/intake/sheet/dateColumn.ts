import { type DateOrder, readDate } from '../reading/date'
import { CHUNK_LENGTH, type Keeping, type KeptColumn } from './columns'

type OfTexts = Extract<KeptColumn, { kind: 'category' | 'text' }>

/** A column of texts that are all dates, as dates; undefined where one of them is none. */
export function asDates(
  column: OfTexts,
  order: DateOrder,
  keeping: Keeping,
): Extract<KeptColumn, { kind: 'date' }> | undefined {
  const { name, length, missing } = column
  const chunks = keeping.numbers()
  for (const days of daysOf(column, order)) {
    if (!days) return undefined
    chunks.push(days)
  }
  return { kind: 'date', name, chunks, length, missing }
}

/** The days of a column, by chunks; undefined in the place of those with a text that is no date. */
function* daysOf(column: OfTexts, order: DateOrder): Generator<Float64Array | undefined> {
  const read = (text: string) => (text === '' ? Number.NaN : readDate(text, order))
  if (column.kind === 'category') {
    const known = ['', ...column.dictionary].map(read)
    const isDates = !known.includes(undefined)
    for (const codes of column.chunks) yield isDates ? translated(codes, known as number[]) : undefined
    return
  }
  let days: number[] = []
  for (const text of column.texts) {
    const day = read(text)
    if (day === undefined) return yield undefined
    days.push(day)
    if (days.length < CHUNK_LENGTH) continue
    yield Float64Array.from(days)
    days = []
  }
  if (days.length > 0) yield Float64Array.from(days)
}

function translated(codes: Uint16Array, known: readonly number[]): Float64Array {
  const days = new Float64Array(codes.length)
  for (let at = 0; at < codes.length; at += 1) days[at] = known[codes[at]!]!
  return days
}
