export type Fences = Readonly<{ low: number; high: number }>

/**
 * The fences of a box plot: 1.5 IQR below the lower quartile and above the upper.
 *
 * @see J. Tukey (1977), Exploratory Data Analysis, ch. 2
 * @example
 * tukeyFences([2, 4]) // { low: -1, high: 7 }
 */
export function tukeyFences([q1, q3]: readonly [number, number]): Fences {
  const reach = 1.5 * (q3 - q1)
  return { low: q1 - reach, high: q3 + reach }
}

/**
 * The indexes of readings strictly beyond the fences.
 *
 * @example
 * beyondFences([1, 8, 3], { low: -1, high: 7 }) // [1]
 */
export function beyondFences(values: ArrayLike<number>, { low, high }: Fences): readonly number[] {
  const beyond: number[] = []
  for (let i = 0; i < values.length; i += 1) if (values[i]! < low || values[i]! > high) beyond.push(i)
  return beyond
}
