import { signedRank } from './signedRank'

/** How many sign patterns of the ranks 1 to n have each sum, by going through all of them. */
function patternsOf(n: number): readonly number[] {
  const counts = new Array<number>((n * (n + 1)) / 2 + 1).fill(0)
  for (let pattern = 0; pattern < 2 ** n; pattern += 1) {
    let sum = 0
    for (let rank = 1; rank <= n; rank += 1) if (pattern & (1 << (rank - 1))) sum += rank
    counts[sum]! += 1
  }
  return counts
}

test.each([1, 2, 3, 4, 5, 8, 11])('masses and tails for %i ranks are those of all sign patterns', (n) => {
  const counts = patternsOf(n)
  const { mass, tails } = signedRank(n)
  let below = 0
  for (const [k, count] of counts.entries()) {
    below += count
    expect(mass(k)).toBeCloseTo(count / 2 ** n, 14)
    expect(tails(k).lower).toBeCloseTo(below / 2 ** n, 14)
    expect(tails(k).upper).toBeCloseTo(1 - below / 2 ** n, 14)
  }
  expect(mass(counts.length)).toBe(0)
  expect(mass(-1)).toBe(0)
  expect(mass(0.5)).toBe(0)
})

test('a quantile is the least sum that its tail reaches', () => {
  const { quantile, tails } = signedRank(9)
  for (const probability of [0.01, 0.05, 0.5, 0.9]) {
    const low = quantile(probability, 'lower')
    expect(tails(low).lower).toBeGreaterThanOrEqual(probability)
    expect(tails(low - 1).lower).toBeLessThan(probability)
    const high = quantile(probability, 'upper')
    expect(tails(high).upper).toBeLessThanOrEqual(probability)
    expect(tails(high - 1).upper).toBeGreaterThan(probability)
  }
})
