const FIRST_SLOTS = 1 << 10
const FIRST_BYTES = 1 << 14

/**
 * Numbers the different texts of a column by their bytes, in the order of their first appearance, so that a text met again
 * is found without being decoded.
 */
export class ByteDictionary {
  private slots = new Int32Array(FIRST_SLOTS).fill(-1)
  private bytes = new Uint8Array(FIRST_BYTES)
  private ends = new Uint32Array(FIRST_SLOTS)
  size = 0

  /** The number of a text, counted from 0; a new one where it has not been met. */
  codeOf(source: Uint8Array, start: number, end: number): number {
    const mask = this.slots.length - 1
    const hash = hashOf(source, start, end)
    for (let slot = (hash ^ (hash >>> 15)) & mask; ; slot = (slot + 1) & mask) {
      const code = this.slots[slot]!
      if (code < 0) return this.add(slot, source, start, end)
      if (this.isSame(code, source, start, end)) return code
    }
  }

  /** The texts, each at its number. */
  texts(encoding: string): readonly string[] {
    const decoder = new TextDecoder(encoding)
    return Array.from({ length: this.size }, (_, code) => decoder.decode(this.bytesOf(code)))
  }

  bytesOf(code: number): Uint8Array {
    return this.bytes.subarray(code === 0 ? 0 : this.ends[code - 1]!, this.ends[code]!)
  }

  private isSame(code: number, source: Uint8Array, start: number, end: number): boolean {
    const from = code === 0 ? 0 : this.ends[code - 1]!
    const length = end - start
    if (this.ends[code]! - from !== length) return false
    for (let i = 0; i < length; i += 1) if (this.bytes[from + i] !== source[start + i]) return false
    return true
  }

  private add(slot: number, source: Uint8Array, start: number, end: number): number {
    const from = this.size === 0 ? 0 : this.ends[this.size - 1]!
    const to = from + end - start
    if (to > this.bytes.length) this.bytes = grown(this.bytes, Math.max(to, this.bytes.length * 2))
    this.bytes.set(source.subarray(start, end), from)
    this.ends[this.size] = to
    this.slots[slot] = this.size
    this.size += 1
    if (this.size * 2 > this.slots.length) this.grow()
    return this.size - 1
  }

  private grow(): void {
    const { size } = this
    const before = this.ends
    this.ends = grown(before, before.length * 2)
    this.slots = new Int32Array(this.slots.length * 2).fill(-1)
    const mask = this.slots.length - 1
    for (let code = 0; code < size; code += 1) {
      const hash = hashOf(this.bytes, code === 0 ? 0 : before[code - 1]!, before[code]!)
      let slot = (hash ^ (hash >>> 15)) & mask
      while (this.slots[slot]! >= 0) slot = (slot + 1) & mask
      this.slots[slot] = code
    }
  }
}

/** FNV-1a (G. Fowler, L. Noll & P. Vo), by four bytes at a time, which mixes well enough for a table. */
function hashOf(bytes: Uint8Array, start: number, end: number): number {
  let hash = 0x811c9dc5 ^ (end - start)
  let at = start
  for (; at + 4 <= end; at += 4) {
    const word = bytes[at]! | (bytes[at + 1]! << 8) | (bytes[at + 2]! << 16) | (bytes[at + 3]! << 24)
    hash = Math.imul(hash ^ word, 0x01000193)
    hash ^= hash >>> 15
  }
  for (; at < end; at += 1) hash = Math.imul(hash ^ bytes[at]!, 0x01000193)
  return hash
}

function grown<T extends Uint8Array | Uint32Array>(array: T, length: number): T {
  const larger = new (array.constructor as new (length: number) => T)(length)
  larger.set(array)
  return larger
}
