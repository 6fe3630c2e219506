import { ByteDictionary } from './byteDictionary'
import { dateText } from '../reading/date'
import { cellNumber } from './cellNumber'
import { type Thousands, withoutThousands } from '../reading/thousands'

/** So many cells are kept together: a chunk. */
export const CHUNK_LENGTH = 65_536
/** A column with more different texts than this is free text, not a code. */
const MAX_CODES = 65_535

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

/** The figure in a cell; NaN for a missing one. */
export const numberAt = ({ chunks }: NumberColumn | DateColumn, row: number): number =>
  chunks[Math.floor(row / CHUNK_LENGTH)]![row % CHUNK_LENGTH]!

/** What a cell was that its column could not take. */
export type CellProblem = 'not-a-number' | 'too-large'

/** Takes the cells of one column as they are read. An empty cell is a missing one. */
export type ColumnBuilder = Readonly<{
  add: (bytes: Uint8Array, start: number, end: number) => CellProblem | undefined
  finish: () => Column
}>

/** How the numbers of a column are written, and which words among them stand for nothing measured. */
export type NumberWriting = Readonly<{
  name: string
  encoding: string
  /** The decimal mark, as its byte. */
  mark: number
  thousands: Thousands
  /** The word is counted as missing where this is true; else the cell is no number. */
  isMissing: (word: string) => boolean
}>

/** A column of numbers. */
export function numberBuilder(input: NumberWriting): ColumnBuilder {
  const decoder = new TextDecoder(input.encoding, { ignoreBOM: true })
  const chunks: Float64Array[] = []
  let chunk = new Float64Array(0)
  let [length, missing] = [0, 0]
  const put = (value: number) => {
    const place = length % CHUNK_LENGTH
    if (place === 0) {
      chunk = new Float64Array(CHUNK_LENGTH)
      chunks.push(chunk)
    }
    chunk[place] = value
    length += 1
  }
  return {
    add: (bytes, start, end) => {
      if (start === end) {
        missing += 1
        put(Number.NaN)
        return undefined
      }
      const value = cellNumber(bytes, start, end, input.mark)
      if (value - value === 0) {
        put(value)
        return undefined
      }
      if (value === Infinity || value === -Infinity) return 'too-large'
      const word = decoder.decode(bytes.subarray(start, end))
      const grouped = withoutThousands(word, input.thousands, input.mark)
      if (grouped !== undefined) {
        put(grouped)
        return undefined
      }
      if (!input.isMissing(word)) return 'not-a-number'
      missing += 1
      put(Number.NaN)
      return undefined
    },
    finish: () => ({
      kind: 'number',
      name: input.name,
      chunks: trimmed(chunks, length),
      length,
      missing,
    }),
  }
}

/** A column of texts: a category with a dictionary while they come again, else free text. */
export function textBuilder(input: Readonly<{ name: string; encoding: string }>): ColumnBuilder {
  const dictionary = new ByteDictionary()
  const chunks: Uint16Array[] = []
  let chunk = new Uint16Array(0)
  let [length, missing] = [0, 0]
  let texts: string[] | undefined
  const decoder = new TextDecoder(input.encoding, { ignoreBOM: true })
  const put = (code: number) => {
    const place = length % CHUNK_LENGTH
    if (place === 0) {
      chunk = new Uint16Array(CHUNK_LENGTH)
      chunks.push(chunk)
    }
    chunk[place] = code
    length += 1
  }
  return {
    add: (bytes, start, end) => {
      if (start === end) missing += 1
      if (texts) {
        texts.push(decoder.decode(bytes.subarray(start, end)))
        length += 1
        return undefined
      }
      const code = start === end ? 0 : dictionary.codeOf(bytes, start, end) + 1
      if (code <= MAX_CODES) {
        put(code)
        return undefined
      }
      const known = ['', ...dictionary.texts(input.encoding)]
      texts = trimmed(chunks, length).flatMap((part) => Array.from(part, (one) => known[one]!))
      texts.push(known[code]!)
      length += 1
      return undefined
    },
    finish: () =>
      texts
        ? { kind: 'text', name: input.name, texts, length, missing }
        : {
            kind: 'category',
            name: input.name,
            chunks: trimmed(chunks, length),
            dictionary: dictionary.texts(input.encoding),
            length,
            missing,
          },
  }
}

/** So many different whole numbers at most are codes, where each comes often. */
const MAX_WHOLE_CODES = 50
const TIMES_EACH = 2

/**
 * The only column that can hold readings: of numbers that neither rise from row to row as those of rows do nor are whole and
 * come again as codes do.
 *
 * @returns its name; empty where there is none, and where several could be meant
 */
export function likelyColumn(columns: readonly Column[]): string {
  const likely = columns.filter(
    (column) => column.kind === 'number' && !risesByWhole(column) && !isCoded(column),
  )
  return likely.length === 1 ? likely[0]!.name : ''
}

const isWholeOrMissing = (value: number) => Number.isInteger(value) || Number.isNaN(value)

function risesByWhole({ chunks, length }: NumberColumn): boolean {
  let last = -Infinity
  return (
    length > 1 &&
    chunks.every((chunk) =>
      chunk.every((value) => {
        const isNext = Number.isInteger(value) && value > last
        last = value
        return isNext
      }),
    )
  )
}

function isCoded({ chunks, length }: NumberColumn): boolean {
  const seen = new Set<number>()
  return chunks.every((chunk) =>
    chunk.every((value) => {
      seen.add(value)
      return isWholeOrMissing(value) && seen.size <= Math.min(MAX_WHOLE_CODES, length / TIMES_EACH)
    }),
  )
}

/** Cuts the last chunk to what it holds. */
function trimmed<T extends Float64Array | Uint16Array>(chunks: readonly T[], length: number): readonly T[] {
  const last = length % CHUNK_LENGTH
  if (last === 0) return chunks
  return [...chunks.slice(0, -1), chunks.at(-1)!.slice(0, last) as T]
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
