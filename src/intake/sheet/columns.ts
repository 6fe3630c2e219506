import { dateText } from '../reading/date'

/** So many cells are kept together: a chunk. */
export const CHUNK_LENGTH = 65_536

/** A column of numbers, in chunks; a missing cell is NaN. */
export type NumberColumn = Readonly<{
  kind: 'number'
  name: string
  chunks: readonly Float64Array[]
  length: number
  missing: number
}>

/** A column of texts that come again: each cell is a place in the dictionary, counted from 1; 0 is a missing cell. */
export type CategoryColumn = Readonly<{
  kind: 'category'
  name: string
  chunks: readonly Uint16Array[]
  dictionary: readonly string[]
  length: number
  missing: number
}>

/** A column of free text; a missing cell is empty. */
export type TextColumn = Readonly<{
  kind: 'text'
  name: string
  texts: readonly string[]
  length: number
  missing: number
}>

/** A column of dates, as days since 1970-01-01, in chunks; a missing cell is NaN. */
export type DateColumn = Omit<NumberColumn, 'kind'> & Readonly<{ kind: 'date' }>

export type Column = NumberColumn | CategoryColumn | TextColumn | DateColumn

type Elsewhere<C> =
  C extends Readonly<{ chunks: readonly (infer Chunk)[] }>
    ? Omit<C, 'chunks'> & Readonly<{ chunks: Iterable<Chunk> }>
    : Omit<C, 'texts'> & Readonly<{ texts: Iterable<string> }>
/** A column that may stand elsewhere than in memory: it is gone through from its first cell, as often as is wanted. */
export type KeptColumn =
  Elsewhere<NumberColumn> | Elsewhere<CategoryColumn> | Elsewhere<TextColumn> | Elsewhere<DateColumn>

/** What is kept of a column, in its order: a list keeps it in memory. */
export type Kept<T> = Iterable<T> & Readonly<{ push: (more: T) => unknown }>
/** Where columns are kept as they are read: each is begun by one of these. */
export type Keeping = Readonly<{
  numbers: () => Kept<Float64Array>
  codes: () => Kept<Uint16Array>
  texts: () => Kept<string>
}>
export const IN_MEMORY: Keeping = {
  numbers: () => new Array<Float64Array>(),
  codes: () => new Array<Uint16Array>(),
  texts: () => new Array<string>(),
}

/** The same column in memory, wherever it was kept. */
export function inMemory(column: KeptColumn): Column {
  if (column.kind === 'text') return { ...column, texts: [...column.texts] }
  if (column.kind === 'category') return { ...column, chunks: [...column.chunks] }
  return { ...column, chunks: [...column.chunks] }
}

/** The figure in a cell; NaN for a missing one. */
export const numberAt = ({ chunks }: NumberColumn | DateColumn, row: number): number =>
  chunks[Math.floor(row / CHUNK_LENGTH)]![row % CHUNK_LENGTH]!

/** So many different whole numbers at most are codes, where each comes often. */
const MAX_WHOLE_CODES = 50
const TIMES_EACH = 2

/**
 * The only column that can hold readings: of numbers that neither rise from row to row as those of rows do nor are whole and
 * come again as codes do.
 *
 * @returns its name; empty where there is none, and where several could be meant
 */
export function likelyColumn(columns: readonly KeptColumn[]): string {
  const likely = columns.filter(
    (column) => column.kind === 'number' && !risesByWhole(column) && !isCoded(column),
  )
  return likely.length === 1 ? likely[0]!.name : ''
}

const isWholeOrMissing = (value: number) => Number.isInteger(value) || Number.isNaN(value)

function risesByWhole({ chunks, length }: Elsewhere<NumberColumn>): boolean {
  let last = -Infinity
  const isNext = (value: number) => {
    const rises = Number.isInteger(value) && value > last
    last = value
    return rises
  }
  for (const chunk of chunks) if (!chunk.every(isNext)) return false
  return length > 1
}

function isCoded({ chunks, length }: Elsewhere<NumberColumn>): boolean {
  const seen = new Set<number>()
  const most = Math.min(MAX_WHOLE_CODES, length / TIMES_EACH)
  const isCode = (value: number) => {
    seen.add(value)
    return isWholeOrMissing(value) && seen.size <= most
  }
  for (const chunk of chunks) if (!chunk.every(isCode)) return false
  return true
}

/** The text of a cell: a number as the language writes it, a date as ISO 8601 has it. */
export function cellText(column: Column, row: number): string {
  switch (column.kind) {
    case 'number':
    case 'date': {
      const value = column.chunks[Math.floor(row / CHUNK_LENGTH)]![row % CHUNK_LENGTH]!
      if (Number.isNaN(value)) return ''
      return column.kind === 'date' ? dateText(value) : String(value)
    }
    case 'category': {
      const code = column.chunks[Math.floor(row / CHUNK_LENGTH)]![row % CHUNK_LENGTH]!
      return code === 0 ? '' : column.dictionary[code - 1]!
    }
    case 'text':
      return column.texts[row]!
    default:
      return column satisfies never
  }
}
