/**
 * So many units shared out in proportion to sizes, each share rounded to a whole number: those with the largest remainders are
 * rounded up, of equal ones the first.
 *
 * @param sizes - whole numbers
 * @param count - at most their sum; no share is then larger than its size
 * @returns as many shares as sizes, whose sum is the count
 * @see the method of largest remainders
 * @example
 * allotted([400, 560], 35) // [15, 20]
 */
export function allotted(sizes: readonly number[], count: number): readonly number[] {
  const total = sizes.reduce((sum, size) => sum + BigInt(size), 0n)
  const parts = sizes.map((size) => BigInt(size) * BigInt(count))
  const shares = parts.map((part) => part / total)
  const left = BigInt(count) - shares.reduce((sum, share) => sum + share, 0n)
  const byRemainder = parts
    .map((part, at) => ({ at, remainder: part % total }))
    .sort((one, other) =>
      one.remainder === other.remainder ? one.at - other.at : one.remainder > other.remainder ? -1 : 1,
    )
  for (const { at } of byRemainder.slice(0, Number(left))) shares[at]! += 1n
  return shares.map(Number)
}
