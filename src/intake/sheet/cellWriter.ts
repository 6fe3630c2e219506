import { dateText } from '../reading/date'
import { CHUNK_LENGTH, type Column } from './columns'

/** More than a hundred years. */
const MAX_DAYS = 50_000

/**
 * Writes the cells of a column by their rows: an empty text for a missing one.
 *
 * @param written - a text as a cell holds it; of a text that comes again it is asked once
 */
export function cellWriter(column: Column, written: (text: string) => string): (row: number) => string {
  const place = (row: number) => [Math.floor(row / CHUNK_LENGTH), row % CHUNK_LENGTH] as const
  switch (column.kind) {
    case 'number':
    case 'date': {
      const write = column.kind === 'date' ? daysAsTexts() : String
      return (row) => {
        const [chunk, at] = place(row)
        const value = column.chunks[chunk]![at]!
        return Number.isNaN(value) ? '' : Object.is(value, -0) ? '-0' : write(value)
      }
    }
    case 'category': {
      const texts = ['', ...column.dictionary.map(written)]
      return (row) => {
        const [chunk, at] = place(row)
        return texts[column.chunks[chunk]![at]!]!
      }
    }
    case 'text':
      return (row) => written(column.texts[row]!)
    default:
      return column satisfies never
  }
}

/** Days come again: each is made into a text once, as long as they are no more than can be kept. */
function daysAsTexts(): (days: number) => string {
  const known = new Map<number, string>()
  return (days) => {
    const text = known.get(days) ?? dateText(days)
    if (known.size < MAX_DAYS) known.set(days, text)
    return text
  }
}
