/** What a column asks for: the room of its longest word or figure, and that of its longest text on one line. */
export type Wish = Readonly<{ least: number; most: number }>

/**
 * Every column gets the width of its widest word; what is left goes to those whose text is longer, in proportion. Where even the
 * words do not fit, all columns shrink alike and words are broken.
 *
 * @param room - the width of them all together, in the unit of the wishes
 * @param wide - the column that takes what nobody asks for, so that every rule has the same length
 */
export function shareRoom(wishes: readonly Wish[], room: number, wide: number): readonly number[] {
  const sum = (list: readonly number[]) => list.reduce((total, one) => total + one, 0)
  const [least, most] = [wishes.map((wish) => wish.least), wishes.map((wish) => wish.most)]
  const spare = room - sum(most)
  if (spare >= 0) return most.map((width, at) => width + (at === wide ? spare : 0))
  if (sum(least) > room) return least.map((width) => (width * room) / sum(least))
  const more = sum(most) - sum(least)
  return wishes.map((wish) => wish.least + ((room - sum(least)) * (wish.most - wish.least)) / more)
}
