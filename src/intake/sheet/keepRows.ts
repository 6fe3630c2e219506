import type { RowCondition } from '../rowCondition'
import { CHUNK_LENGTH, type Column } from './columns'

/**
 * Which rows meet every condition: 1 for a row that is kept, 0 for another.
 *
 * A category is compared once for each of its texts, not for each of its cells.
 *
 * @param columns - must hold every column that a condition names
 */
export function keptRows(
  columns: readonly Column[],
  rowCount: number,
  conditions: readonly RowCondition[],
): Uint8Array {
  const kept = new Uint8Array(rowCount).fill(1)
  for (const condition of conditions) {
    const column = columns.find(({ name }) => name === condition.column)!
    dropRows(kept, column, condition)
  }
  return kept
}

function dropRows(kept: Uint8Array, column: Column, { holdsNumber, holdsText }: RowCondition): void {
  switch (column.kind) {
    case 'number':
      return dropBy(kept, column.chunks, holdsNumber)
    case 'category': {
      const holds = ['', ...column.dictionary].map(holdsText)
      return dropBy(kept, column.chunks, (code) => holds[code]!)
    }
    case 'text':
      return column.texts.forEach((text, row) => {
        if (!holdsText(text)) kept[row] = 0
      })
    default:
      return column satisfies never
  }
}

function dropBy(
  kept: Uint8Array,
  chunks: readonly (Float64Array | Uint16Array)[],
  holds: (cell: number) => boolean,
): void {
  for (const [at, chunk] of chunks.entries()) {
    const from = at * CHUNK_LENGTH
    for (let i = 0; i < chunk.length; i += 1) if (!holds(chunk[i]!)) kept[from + i] = 0
  }
}

/** The numbers of the rows that are kept, without the missing ones. */
export function keptNumbers(
  { chunks }: Extract<Column, { kind: 'number' }>,
  kept: Uint8Array,
): readonly number[] {
  const values: number[] = []
  for (const [at, chunk] of chunks.entries()) {
    const from = at * CHUNK_LENGTH
    for (let i = 0; i < chunk.length; i += 1) {
      const value = chunk[i]!
      if (kept[from + i] === 1 && !Number.isNaN(value)) values.push(value)
    }
  }
  return values
}
