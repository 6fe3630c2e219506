export type Dot = Readonly<{ x: number; y: number }>

/**
 * Piles up readings that would cover each other: each is drawn at its own value, above those before it that fall
 * into the same column.
 *
 * @param width - how wide a column is, in the readings' unit
 * @returns a dot a reading, in the order given; y counts from 0
 */
export function stackReadings(values: readonly number[], width: number): readonly Dot[] {
  const heights = new Map<number, number>()
  return values.map((x) => {
    const column = width > 0 ? Math.round(x / width) : x
    const y = heights.get(column) ?? 0
    heights.set(column, y + 1)
    return { x, y }
  })
}
