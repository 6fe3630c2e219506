import { cellText, CHUNK_LENGTH, type Column } from './columns'

/** More places than a person steps through. */
const MAX_FOUND = 100_000

/**
 * The rows of a column in rising or falling order of its cells; missing ones last, equal ones in the order of the file.
 *
 * Numbers and dates go by their value. Texts go as a person sorts them, with the numbers in them by their value.
 */
export function sortedRows(column: Column, direction: 'rising' | 'falling'): Uint32Array {
  const keys = keysOf(column)
  const rows = Uint32Array.from(keys, (_, row) => row)
  const sign = direction === 'rising' ? 1 : -1
  return rows.sort((a, b) => {
    const [first, second] = [keys[a]!, keys[b]!]
    if (first === second) return a - b
    if (Number.isNaN(first)) return Number.isNaN(second) ? a - b : 1
    if (Number.isNaN(second)) return -1
    return sign * (first - second)
  })
}

/** A number a row, in the order of the cells. */
function keysOf(column: Column): Float64Array {
  const keys = new Float64Array(column.length)
  if (column.kind === 'number' || column.kind === 'date') {
    for (const [at, chunk] of column.chunks.entries()) keys.set(chunk, at * CHUNK_LENGTH)
    return keys
  }
  const collator = new Intl.Collator('en', { numeric: true })
  const texts = column.kind === 'category' ? column.dictionary : [...new Set(column.texts)]
  const ranks = new Map([...texts].sort(collator.compare).map((text, rank) => [text, rank]))
  ranks.set('', Number.NaN)
  for (let row = 0; row < column.length; row += 1) keys[row] = ranks.get(cellText(column, row))!
  return keys
}

/**
 * The places at which a text stands in any of the columns, whatever its case.
 *
 * @param order - the rows in the order that they are shown in; absent: that of the file
 */
export function findRows(columns: readonly Column[], text: string, order?: Uint32Array): Uint32Array {
  const wanted = text.trim().toLowerCase()
  const count = columns[0]?.length ?? 0
  const holds = columns.map((column) => matcher(column, wanted))
  const found: number[] = []
  for (let place = 0; wanted !== '' && place < count && found.length < MAX_FOUND; place += 1) {
    const row = order ? order[place]! : place
    if (holds.some((one) => one(row))) found.push(place)
  }
  return Uint32Array.from(found)
}

function matcher(column: Column, wanted: string): (row: number) => boolean {
  if (column.kind !== 'category') return (row) => cellText(column, row).toLowerCase().includes(wanted)
  const known = ['', ...column.dictionary].map((text) => text.toLowerCase().includes(wanted))
  return (row) => known[column.chunks[Math.floor(row / CHUNK_LENGTH)]![row % CHUNK_LENGTH]!]!
}
