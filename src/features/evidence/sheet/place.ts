/** A cell: its row in the order shown, and its column. */
export type Place = Readonly<{ place: number; column: number }>

/** The cells from one to another, whichever comes first. */
export type Range = Readonly<{ from: Place; to: Place }>

export function isWithin(range: Range | undefined, place: number, column: number): boolean {
  if (!range) return false
  const { from, to } = range
  const lies = (at: number, a: number, b: number) => at >= Math.min(a, b) && at <= Math.max(a, b)
  return lies(place, from.place, to.place) && lies(column, from.column, to.column)
}
