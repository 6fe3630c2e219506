import { type DateOrder, readDate } from '../reading/date'
import { type CategoryColumn, CHUNK_LENGTH, type DateColumn, type TextColumn } from './columns'

/** A column of texts that are all dates, as dates; undefined where one of them is none. */
export function asDates(column: CategoryColumn | TextColumn, order: DateOrder): DateColumn | undefined {
  if (column.missing === column.length) return undefined
  const days = daysOf(column, order)
  if (!days) return undefined
  const { name, length, missing } = column
  const count = Math.ceil(length / CHUNK_LENGTH)
  const chunks = Array.from({ length: count }, (_, at) =>
    days.slice(at * CHUNK_LENGTH, Math.min(length, (at + 1) * CHUNK_LENGTH)),
  )
  return { kind: 'date', name, chunks, length, missing }
}

function daysOf(column: CategoryColumn | TextColumn, order: DateOrder): Float64Array | undefined {
  const read = (text: string) => (text === '' ? Number.NaN : readDate(text, order))
  const days = new Float64Array(column.length)
  if (column.kind === 'text') {
    for (const [row, text] of column.texts.entries()) {
      const day = read(text)
      if (day === undefined) return undefined
      days[row] = day
    }
    return days
  }
  const known = ['', ...column.dictionary].map(read)
  if (known.includes(undefined)) return undefined
  let row = 0
  for (const chunk of column.chunks) {
    for (let i = 0; i < chunk.length; i += 1, row += 1) days[row] = known[chunk[i]!]!
  }
  return days
}
