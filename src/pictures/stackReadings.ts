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

/** Above so many readings, or rows of dots, a dot stands for several readings. */
const MAX_SINGLE = 2000
const MAX_ROWS = 24

export type Pile = Readonly<{
  dots: readonly Dot[]
  /** How many readings a dot stands for; its pile is rounded up, so that a lone reading is never lost. */
  each: number
}>

/**
 * Piles up readings: each by itself while they are few, else in columns as wide as a dot, where a dot stands for several.
 *
 * @param width - how wide a dot is, in the readings' unit
 */
export function pileReadings(values: readonly number[], width: number): Pile {
  if (values.length <= MAX_SINGLE) {
    const dots = stackReadings(values, width)
    if (dots.every(({ y }) => y < MAX_ROWS)) return { dots, each: 1 }
  }
  const counts = new Map<number, number>()
  for (const value of values) {
    const column = Math.round(value / width)
    counts.set(column, (counts.get(column) ?? 0) + 1)
  }
  const highest = [...counts.values()].reduce((max, count) => Math.max(max, count), 0)
  const each = Math.ceil(highest / MAX_ROWS)
  const dots = [...counts].flatMap(([column, count]) =>
    Array.from({ length: Math.ceil(count / each) }, (_, y) => ({ x: column * width, y })),
  )
  return { dots, each }
}
