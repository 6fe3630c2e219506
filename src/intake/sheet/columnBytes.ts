import type { ColumnBytes, ColumnHead } from '@/desk/columnBytes'
import { CHUNK_LENGTH, type Column } from './columns'

/**
 * A column as it is stored: numbers and dates as doubles, categories as codes of 16 bits, both with the lowest byte first;
 * texts as a JSON list for each chunk.
 */
export function bytesOfColumn(column: Column): ColumnBytes {
  const { name, kind, length, missing } = column
  const head = { name, kind, length, missing, dictionary: kind === 'category' ? column.dictionary : [] }
  if (column.kind !== 'text') {
    const view = (chunk: Float64Array | Uint16Array) =>
      new Uint8Array(chunk.buffer, chunk.byteOffset, chunk.byteLength)
    return { head, chunks: column.chunks.map(view) }
  }
  const encoder = new TextEncoder()
  const count = Math.ceil(length / CHUNK_LENGTH)
  const chunks = Array.from({ length: count }, (_, at) =>
    encoder.encode(JSON.stringify(column.texts.slice(at * CHUNK_LENGTH, (at + 1) * CHUNK_LENGTH))),
  )
  return { head, chunks }
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
        chunks: chunks.map((bytes) => new Float64Array(new Uint8Array(bytes).buffer)),
      }
    case 'category':
      return {
        ...shared,
        kind,
        dictionary,
        chunks: chunks.map((bytes) => new Uint16Array(new Uint8Array(bytes).buffer)),
      }
    case 'text': {
      const decoder = new TextDecoder('utf-8', { ignoreBOM: true })
      return {
        ...shared,
        kind,
        texts: chunks.flatMap((bytes) => JSON.parse(decoder.decode(bytes)) as string[]),
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
    const words = new TextEncoder().encode(JSON.stringify({ ...head, chunks: chunks.length }))
    return [words, ...chunks].flatMap((part) => {
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
