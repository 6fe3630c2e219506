import type { ColumnBytes, ColumnHead } from '@/desk/columnBytes'
import { CHUNK_LENGTH, type Column, type KeptColumn } from './columns'

/**
 * A column as it is stored: numbers and dates as doubles, categories as codes of 16 bits, both with the lowest byte first;
 * texts as a JSON list for each chunk.
 */
export function bytesOfColumn(column: KeptColumn): ColumnBytes {
  const { name, kind, length, missing } = column
  const head = { name, kind, length, missing, dictionary: kind === 'category' ? column.dictionary : [] }
  const chunks = column.kind === 'text' ? () => bytesOfTexts(column.texts) : () => bytesOfCells(column.chunks)
  return { head, chunks: { [Symbol.iterator]: chunks } }
}

function* bytesOfCells(chunks: Iterable<Float64Array | Uint16Array>): Generator<Uint8Array> {
  for (const { buffer, byteOffset, byteLength } of chunks)
    yield new Uint8Array(buffer, byteOffset, byteLength)
}

function* bytesOfTexts(texts: Iterable<string>): Generator<Uint8Array> {
  const encode = (some: readonly string[]) => new TextEncoder().encode(JSON.stringify(some))
  let some: string[] = []
  for (const text of texts) {
    some.push(text)
    if (some.length < CHUNK_LENGTH) continue
    yield encode(some)
    some = []
  }
  if (some.length > 0) yield encode(some)
}

/** The column that was stored. The bytes are copied: they may stand where no double can begin. */
export function columnOfBytes({ head, chunks }: ColumnBytes): Column {
  const { name, kind, length, missing, dictionary } = head
  const shared = { name, length, missing }
  switch (kind) {
    case 'number':
    case 'date':
      return {
        ...shared,
        kind,
        chunks: Array.from(chunks, (bytes) => new Float64Array(new Uint8Array(bytes).buffer)),
      }
    case 'category':
      return {
        ...shared,
        kind,
        dictionary,
        chunks: Array.from(chunks, (bytes) => new Uint16Array(new Uint8Array(bytes).buffer)),
      }
    case 'text': {
      const decoder = new TextDecoder('utf-8', { ignoreBOM: true })
      return {
        ...shared,
        kind,
        texts: [...chunks].flatMap((bytes) => JSON.parse(decoder.decode(bytes)) as string[]),
      }
    }
    default:
      return kind satisfies never
  }
}

const LENGTH_BYTES = 8

/** Columns as one run of bytes: of each its head as JSON and its chunks, every part behind its length. */
export function packColumns(columns: readonly ColumnBytes[]): readonly Uint8Array[] {
  return columns.flatMap(({ head, chunks }) => {
    const all = [...chunks]
    const words = new TextEncoder().encode(JSON.stringify({ ...head, chunks: all.length }))
    return [words, ...all].flatMap((part) => {
      const length = new Uint8Array(LENGTH_BYTES)
      new DataView(length.buffer).setUint32(0, part.length, true)
      return [length, part]
    })
  })
}

export function unpackColumns(bytes: Uint8Array): readonly ColumnBytes[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let at = 0
  const next = () => {
    const start = at + LENGTH_BYTES
    at = start + view.getUint32(at, true)
    return bytes.subarray(start, at)
  }
  const columns: ColumnBytes[] = []
  while (at < bytes.length) {
    const words = JSON.parse(new TextDecoder().decode(next())) as ColumnHead & { chunks: number }
    const { chunks: count, ...head } = words
    columns.push({ head, chunks: Array.from({ length: count }, next) })
  }
  return columns
}
