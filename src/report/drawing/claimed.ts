import type { Axis } from './axis'
import { BRASS, label, type Shape } from './drawing'

/** The claimed value, or both limits of a tolerance, each with its words. */
export type Claimed = readonly Readonly<{ value: number; words: string }>[]

/** An upright line at each claimed value, and over it what it is. */
export function claimedShapes(
  claimed: Claimed,
  place: Readonly<{ axis: Axis; top: number; bottom: number; width: number }>,
  write: (text: string) => string,
): Readonly<{ lines: readonly Shape[]; labels: readonly Shape[] }> {
  const { axis, top, bottom, width } = place
  return {
    lines: claimed.map(({ value }): Shape => ({
      is: 'line',
      points: [
        [axis.x(value), top],
        [axis.x(value), bottom],
      ],
      stroke: { colour: BRASS, width: 1.6 },
    })),
    labels: claimed.flatMap(({ value, words }, at) => {
      // Those of two limits lean apart.
      const shift = claimed.length === 2 ? (at === 0 ? -1 : 1) * words.length * 2.6 : 0
      return label({ text: write(words), at: [axis.x(value) + shift, 9], colour: BRASS, within: [0, width] })
    }),
  }
}
