import { normal } from '../distributions/normal'
import { memoized } from '../numeric/memoized'

/** A reading against the value that it would have in a normal population: the place among the readings given, and z. */
export type QuantilePoint = Readonly<{ place: number; z: number; value: number }>

/**
 * The points of a normal quantile plot, ascending: the i-th reading of n against the normal quantile of (i − 3/8)/(n + 1/4).
 *
 * @param values - in one unit, in any order
 * @param sorted - the same, ascending
 * @param max - so many points at most; the ends are kept whole and the middle is thinned out evenly
 * @see G. Blom (1958), Statistical Estimates and Transformed Beta-Variables, for the positions
 * @example
 * quantilePlot([3, 1, 2], Float64Array.of(1, 2, 3), 100)
 * // [{ place: 1, z: -0.869424, value: 1 }, { place: 2, z: 0, value: 2 }, { place: 0, z: 0.869424, value: 3 }]
 */
export function quantilePlot(
  values: ArrayLike<number>,
  sorted: Float64Array,
  max: number,
): readonly QuantilePoint[] {
  const positions = positionsOf(max)(values.length)
  const places = placesOf(
    values,
    positions.map(({ rank }) => sorted[rank]!),
  )
  return positions.map(({ rank, z }, at) => ({ place: places[at]!, z, value: sorted[rank]! }))
}

/** The ranks that are shown of so many readings, each with its z: the same at every keystroke but for those that add a reading. */
const positionsOf = memoized(4, (max: number) =>
  memoized(4, (n: number) =>
    thinned(n, max).map((rank) => ({ rank, z: normal.quantile((rank + 0.625) / (n + 0.25), 'lower') })),
  ),
)

/** Where each of some ascending values stands; equal ones in the order in which they stand. */
function placesOf(values: ArrayLike<number>, wanted: readonly number[]): readonly number[] {
  const firstOf = new Map<number, number>()
  for (const [at, value] of wanted.entries()) if (!firstOf.has(value)) firstOf.set(value, at)
  const places: number[] = []
  const placed = new Map<number, number>()
  for (let place = 0; place < values.length; place += 1) {
    const first = firstOf.get(values[place]!)
    if (first === undefined) continue
    const at = first + (placed.get(first) ?? 0)
    if (wanted[at] !== values[place]) continue
    places[at] = place
    placed.set(first, at - first + 1)
  }
  return places
}

/** So many ranks: all of them where they are few, else a tenth of the points for each end and the rest evenly between. */
function thinned(n: number, max: number): readonly number[] {
  if (n <= max) return Array.from({ length: n }, (_, rank) => rank)
  const end = Math.floor(max / 10)
  const between = max - 2 * end
  return [
    ...Array.from({ length: end }, (_, rank) => rank),
    ...Array.from({ length: between }, (_, at) => end + Math.floor(((n - 2 * end) * at) / between)),
    ...Array.from({ length: end }, (_, at) => n - end + at),
  ]
}
