import type { Pieces } from '@/desk/pieces'

/** What every binary copy of PostgreSQL begins with: its signature, no flags and no extension (its manual, "COPY", File Formats). */
const HEADER = Uint8Array.from([
  0x50, 0x47, 0x43, 0x4f, 0x50, 0x59, 0x0a, 0xff, 0x0d, 0x0a, 0x00, 0, 0, 0, 0, 0, 0, 0, 0,
])
const FIELD_COUNT_BYTES = 2
const LENGTH_BYTES = 4
const END = -1
const NULL = -1

/** Rows are copied by as many as have so many bytes: what is copied is held in memory. */
const COPIED_AT_ONCE = 8 * 1024 * 1024

/** Parts by as many as are copied at once. */
export async function* inCopies(parts: Pieces): AsyncGenerator<readonly Uint8Array[]> {
  let [some, bytes] = [[] as Uint8Array[], 0]
  for await (const part of parts) {
    some.push(part)
    bytes += part.length
    if (bytes < COPIED_AT_ONCE) continue
    yield some
    ;[some, bytes] = [[], 0]
  }
  if (some.length > 0) yield some
}

/** Rows of fields as a binary copy takes them; each field in its type's own binary form, or null. */
export function writeBinaryCopy(rows: readonly (readonly (Uint8Array | null)[])[]): readonly Uint8Array[] {
  return [
    HEADER,
    ...rows.flatMap((fields) => [
      int16(fields.length),
      ...fields.flatMap((field) => (field === null ? [int32(NULL)] : [int32(field.length), field])),
    ]),
    int16(END),
  ]
}

/** The rows of a binary copy. The fields are views of its bytes, and none of them is null. */
export function readBinaryCopy(bytes: Uint8Array): readonly (readonly Uint8Array[])[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const rows: Uint8Array[][] = []
  let at = HEADER.length
  for (;;) {
    const count = view.getInt16(at)
    at += FIELD_COUNT_BYTES
    if (count === END) return rows
    const fields: Uint8Array[] = []
    for (let field = 0; field < count; field += 1) {
      const length = view.getInt32(at)
      at += LENGTH_BYTES
      fields.push(bytes.subarray(at, at + length))
      at += length
    }
    rows.push(fields)
  }
}

function int16(value: number): Uint8Array {
  const bytes = Buffer.allocUnsafe(FIELD_COUNT_BYTES)
  bytes.writeInt16BE(value)
  return bytes
}

/** A whole number in four bytes, as PostgreSQL's `integer` and every length is written. */
export function int32(value: number): Uint8Array {
  const bytes = Buffer.allocUnsafe(LENGTH_BYTES)
  bytes.writeInt32BE(value)
  return bytes
}
