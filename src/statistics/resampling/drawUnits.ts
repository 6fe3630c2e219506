import { randomWords } from '../numeric/random'

/**
 * Units of a lot drawn at random without putting back, every choice of them as likely as any other; the same for the same seed
 * on every machine. Each is numbered from 1, in rising order.
 *
 * @param input.count - at most the size of the lot
 * @see R. Floyd, in J. Bentley (1987), Communications of the ACM 30, 754-757
 * @example
 * drawUnits({ lotSize: 12, count: 3, seed: 1 }) // [6, 9, 12]
 */
export function drawUnits(
  input: Readonly<{ lotSize: number; count: number; seed: number }>,
): readonly number[] {
  return unitsDrawnBy(randomWords(input.seed), input)
}

/**
 * The same by random numbers that other draws go on from.
 *
 * @param words - as `randomWords` gives them
 * @example
 * unitsDrawnBy(randomWords(1), { lotSize: 12, count: 3 }) // [6, 9, 12]
 */
export function unitsDrawnBy(
  words: (buffer: Uint32Array) => void,
  { lotSize, count }: Readonly<{ lotSize: number; count: number }>,
): readonly number[] {
  const upTo = wholeUpTo(words)
  const drawn = new Set<number>()
  for (let last = lotSize - count + 1; last <= lotSize; last += 1) {
    const unit = upTo(last)
    drawn.add(drawn.has(unit) ? last : unit)
  }
  return [...drawn].sort((a, b) => a - b)
}

/** Whole numbers from 1 to a limit, each as likely: words beyond the last whole multiple of it are passed over. */
function wholeUpTo(fill: (buffer: Uint32Array) => void): (limit: number) => number {
  const word = new Uint32Array(1)
  return (limit) => {
    const bound = Math.floor(2 ** 32 / limit) * limit
    do fill(word)
    while (word[0]! >= bound)
    return (word[0]! % limit) + 1
  }
}
