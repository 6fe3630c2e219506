/** What a column asks for: the room of its longest word or figure, and that of its longest text on one line. */
export type Wish = Readonly<{ min: number; max: number }>

/**
 * Every column gets the width of its widest word; what is left goes to those whose text is longer, in proportion. Where even the
 * words do not fit, all columns shrink alike and words are broken.
 *
 * @param room - the width of them all together, in the unit of the wishes
 * @param wide - the column that takes what nobody asks for, so that every rule has the same length; absent: all alike
 */
export function shareRoom(
  wishes: readonly Wish[],
  room: number,
  wide: number | undefined,
): readonly number[] {
  const sum = (list: readonly number[]) => list.reduce((total, one) => total + one, 0)
  const [min, max] = [wishes.map((wish) => wish.min), wishes.map((wish) => wish.max)]
  const spare = room - sum(max)
  if (spare >= 0 && wide === undefined) return max.map((width) => width + spare / max.length)
  if (spare >= 0) return max.map((width, at) => width + (at === wide ? spare : 0))
  if (sum(min) > room) return min.map((width) => (width * room) / sum(min))
  const more = sum(max) - sum(min)
  return wishes.map((wish) => wish.min + ((room - sum(min)) * (wish.max - wish.min)) / more)
}

/** The column that takes what nobody asks for: one of texts, so that figures stay close to each other; none where all are figures. */
export function wideAmong(isFigure: readonly boolean[]): number | undefined {
  if (isFigure.every(Boolean)) return undefined
  return isFigure.at(-1) ? 0 : isFigure.length - 1
}
