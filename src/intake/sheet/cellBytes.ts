export const QUOTE = 0x22
export const SPACE = 0x20

/** Writes one quote where two stand. */
export function compact(bytes: Uint8Array, from: number, end: number): void {
  let to = from
  for (let at = from; at < end; at += 1) {
    bytes[to] = bytes[at]!
    to += 1
    if (bytes[at] === QUOTE) at += 1
  }
}

export function isBlank(bytes: Uint8Array, from: number, to: number): boolean {
  for (let at = from; at < to; at += 1) if (bytes[at] !== SPACE) return false
  return true
}
