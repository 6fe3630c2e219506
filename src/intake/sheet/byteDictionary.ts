const FIRST_SLOTS = 1 << 10
const FIRST_BYTES = 1 << 14
const WORD = 4

/**
 * Numbers the different texts of a column by their bytes, in the order of their first appearance, so that a text met again
 * is found without being decoded.
 */
export class ByteDictionary {
  private slots = new Int32Array(FIRST_SLOTS).fill(-1)
  private bytes = new Uint8Array(FIRST_BYTES)
  private words = viewOf(this.bytes)
  private ends = new Uint32Array(FIRST_SLOTS)
  private hashes = new Int32Array(FIRST_SLOTS)
  /** The bytes that were looked into last, and the same by words: they are the same for thousands of cells. */
  private source: Uint8Array = this.bytes
  private sourceWords = this.words
  size = 0

  /** The number of a text, counted from 0; a new one where it has not been met. */
  codeOf(source: Uint8Array, start: number, end: number): number {
    if (source !== this.source) {
      this.source = source
      this.sourceWords = viewOf(source)
    }
    const mask = this.slots.length - 1
    const hash = hashOf(this.sourceWords, start, end)
    for (let slot = (hash ^ (hash >>> 15)) & mask; ; slot = (slot + 1) & mask) {
      const code = this.slots[slot]!
      if (code < 0) return this.add(slot, hash, start, end)
      if (this.hashes[code] === hash && this.isSame(code, start, end)) return code
    }
  }

  /** The texts, each at its number. */
  texts(encoding: string): readonly string[] {
    const decoder = new TextDecoder(encoding, { ignoreBOM: true })
    return Array.from({ length: this.size }, (_, code) =>
      decoder.decode(this.bytes.subarray(this.startOf(code), this.ends[code]!)),
    )
  }

  private startOf(code: number): number {
    return code === 0 ? 0 : this.ends[code - 1]!
  }

  private isSame(code: number, start: number, end: number): boolean {
    const { words, sourceWords } = this
    const from = this.startOf(code)
    const length = end - start
    if (this.ends[code]! - from !== length) return false
    let at = 0
    for (; at + WORD <= length; at += WORD)
      if (words.getInt32(from + at) !== sourceWords.getInt32(start + at)) return false
    for (; at < length; at += 1)
      if (words.getUint8(from + at) !== sourceWords.getUint8(start + at)) return false
    return true
  }

  private add(slot: number, hash: number, start: number, end: number): number {
    const from = this.size === 0 ? 0 : this.ends[this.size - 1]!
    const to = from + end - start
    if (to > this.bytes.length) {
      this.bytes = grown(this.bytes, Math.max(to, this.bytes.length * 2))
      this.words = viewOf(this.bytes)
    }
    this.bytes.set(this.source.subarray(start, end), from)
    this.ends[this.size] = to
    this.hashes[this.size] = hash
    this.slots[slot] = this.size
    this.size += 1
    if (this.size * 2 > this.slots.length) this.grow()
    return this.size - 1
  }

  private grow(): void {
    this.ends = grown(this.ends, this.ends.length * 2)
    this.hashes = grown(this.hashes, this.hashes.length * 2)
    this.slots = new Int32Array(this.slots.length * 2).fill(-1)
    const mask = this.slots.length - 1
    for (let code = 0; code < this.size; code += 1) {
      const hash = this.hashes[code]!
      let slot = (hash ^ (hash >>> 15)) & mask
      while (this.slots[slot]! >= 0) slot = (slot + 1) & mask
      this.slots[slot] = code
    }
  }
}

/** FNV-1a (G. Fowler, L. Noll & P. Vo), by four bytes at a time, which mixes well enough for a table. */
function hashOf(words: DataView, start: number, end: number): number {
  let hash = 0x811c9dc5 ^ (end - start)
  let at = start
  for (; at + WORD <= end; at += WORD) {
    hash = Math.imul(hash ^ words.getInt32(at), 0x01000193)
    hash ^= hash >>> 15
  }
  for (; at < end; at += 1) hash = Math.imul(hash ^ words.getUint8(at), 0x01000193)
  return hash
}

const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)

function grown<T extends Uint8Array | Uint32Array | Int32Array>(array: T, length: number): T {
  const larger = new (array.constructor as new (length: number) => T)(length)
  larger.set(array)
  return larger
}
