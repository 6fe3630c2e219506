import { ByteDictionary } from './byteDictionary'
import { cellNumber } from './cellNumber'
import { CHUNK_LENGTH, type Keeping, type Kept, type KeptColumn } from './columns'
import { type Thousands, withoutThousands } from '../reading/thousands'

/** A column with more different texts than this is free text, not a code. */
const MAX_CODES = 65_535

/** What a cell was that its column could not take. */
export type CellProblem = 'not-a-number' | 'too-large'

/** Takes the cells of one column as they are read. An empty cell is a missing one. */
export type ColumnBuilder = Readonly<{
  add: (bytes: Uint8Array, start: number, end: number) => CellProblem | undefined
  finish: () => KeptColumn
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
  chunks: Kept<Float64Array>
}>

/** A column of numbers. */
export function numberBuilder(input: NumberWriting): ColumnBuilder {
  const decoder = new TextDecoder(input.encoding, { ignoreBOM: true })
  const { chunks } = input
  let chunk = new Float64Array(CHUNK_LENGTH)
  let [length, missing] = [0, 0]
  const put = (value: number) => {
    chunk[length % CHUNK_LENGTH] = value
    length += 1
    if (length % CHUNK_LENGTH > 0) return
    chunks.push(chunk)
    chunk = new Float64Array(CHUNK_LENGTH)
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
    finish: () => {
      pushRest(chunks, chunk, length)
      return { kind: 'number', name: input.name, chunks, length, missing }
    },
  }
}

/** A column of texts: a category with a dictionary while they come again, else free text. */
export function textBuilder(
  input: Readonly<{ name: string; encoding: string; keeping: Keeping }>,
): ColumnBuilder {
  const { name, encoding, keeping } = input
  const dictionary = new ByteDictionary()
  const chunks = keeping.codes()
  let chunk = new Uint16Array(CHUNK_LENGTH)
  let [length, missing] = [0, 0]
  let texts: Kept<string> | undefined
  const decoder = new TextDecoder(encoding, { ignoreBOM: true })
  const put = (code: number) => {
    chunk[length % CHUNK_LENGTH] = code
    length += 1
    if (length % CHUNK_LENGTH > 0) return
    chunks.push(chunk)
    chunk = new Uint16Array(CHUNK_LENGTH)
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
      pushRest(chunks, chunk, length)
      texts = keeping.texts()
      const known = ['', ...dictionary.texts(encoding)]
      for (const part of chunks) for (const one of part) texts.push(known[one]!)
      texts.push(known[code]!)
      length += 1
      return undefined
    },
    finish: () => {
      if (texts) return { kind: 'text', name, texts, length, missing }
      pushRest(chunks, chunk, length)
      return { kind: 'category', name, chunks, dictionary: dictionary.texts(encoding), length, missing }
    },
  }
}

/** The last chunk of so many cells, where it is not full. */
function pushRest<T extends Float64Array | Uint16Array>(chunks: Kept<T>, chunk: T, length: number): void {
  const rest = length % CHUNK_LENGTH
  if (rest > 0) chunks.push(chunk.slice(0, rest) as T)
}
