export type Dot = Readonly<{ x: number; y: number }>

/**
 * Piles up readings that would cover each other: each is drawn at its own value, in the lowest row that has room.
 *
 * @param width - how wide a dot is, in the readings' unit
 * @returns a dot a reading, in the order given; y counts from 0
 */
export function stackReadings(values: readonly number[], width: number): readonly Dot[] {
  const rising = Array.from(values.keys()).sort((a, b) => values[a]! - values[b]!)
  const rowEnds: number[] = []
  const rows = new Int32Array(values.length)
  for (const index of rising) {
    const x = values[index]!
    const free = rowEnds.findIndex((end) => end <= x)
    const row = free === -1 ? rowEnds.length : free
    rowEnds[row] = x + width
    rows[index] = row
  }
  return values.map((x, index) => ({ x, y: rows[index]! }))
}
