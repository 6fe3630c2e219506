import { inflateSync } from 'node:zlib'

const HEADER = 44
const ENTRY = 20
const SFNT_HEADER = 12
const SFNT_ENTRY = 16
/** Behind the last table: an empty glyph at the very end of a font is still read where it would begin. */
const PADDING = 16

/**
 * The font that a WOFF file holds, as a TrueType file: its tables inflated and put behind one another.
 *
 * @see WOFF File Format 1.0, W3C Recommendation 2012, sections 3 to 5; OpenType 1.9, "Organization of an OpenType Font"
 */
export function trueTypeOf(woff: Buffer): Buffer {
  const count = woff.readUInt16BE(12)
  const tables = Array.from({ length: count }, (_, at) => {
    const entry = HEADER + at * ENTRY
    const [offset, packed, length] = [4, 8, 12].map((place) => woff.readUInt32BE(entry + place))
    const bytes = woff.subarray(offset!, offset! + packed!)
    return {
      tag: woff.subarray(entry, entry + 4),
      checksum: woff.readUInt32BE(entry + 16),
      bytes: packed! < length! ? inflateSync(bytes) : bytes,
    }
  })
  const selector = Math.floor(Math.log2(count))
  const head = Buffer.alloc(SFNT_HEADER + count * SFNT_ENTRY)
  head.writeUInt32BE(woff.readUInt32BE(4), 0)
  head.writeUInt16BE(count, 4)
  head.writeUInt16BE(SFNT_ENTRY * 2 ** selector, 6)
  head.writeUInt16BE(selector, 8)
  head.writeUInt16BE(SFNT_ENTRY * (count - 2 ** selector), 10)
  let offset = head.length
  const parts: Buffer[] = [head]
  for (const [at, { tag, checksum, bytes }] of tables.entries()) {
    const entry = SFNT_HEADER + at * SFNT_ENTRY
    tag.copy(head, entry)
    head.writeUInt32BE(checksum, entry + 4)
    head.writeUInt32BE(offset, entry + 8)
    head.writeUInt32BE(bytes.length, entry + 12)
    // Every table begins at a multiple of four bytes.
    const filled = Buffer.alloc(Math.ceil(bytes.length / 4) * 4)
    bytes.copy(filled)
    parts.push(filled)
    offset += filled.length
  }
  return Buffer.concat([...parts, Buffer.alloc(PADDING)])
}
