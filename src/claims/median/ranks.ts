import { differencesFrom } from './differences'

/** The signed ranks of readings about a value. */
export type Ranks = Readonly<{
  /** Readings that differ from the value. */
  n: number
  positive: number
  /** Σ(t³ − t) over groups of t tied ranks. */
  tieSum: number
  /** The middle rank of each, from the smallest. */
  ranks: readonly number[]
}>

/** Ranks |xᵢ − value| over the readings that differ from it; ties share the mean of their ranks. */
export function ranksOf(values: readonly number[], value: number): Ranks {
  const { differences, isTied } = differencesFrom(values, value)
  const n = differences.length
  let [positive, tieSum] = [0, 0]
  const ranks: number[] = []
  for (let start = 0; start < n;) {
    let end = start + 1
    while (end < n && isTied(end)) end += 1
    const size = end - start
    const above = differences.slice(start, end).filter((difference) => difference > 0).length
    const middle = (start + 1 + end) / 2
    for (let at = start; at < end; at += 1) ranks.push(middle)
    positive += middle * above
    tieSum += size ** 3 - size
    start = end
  }
  return { n, positive, tieSum, ranks }
}

/** n(n + 1)/2: the largest sum of ranks, and how many averages of pairs there are. */
export function pairs(n: number): number {
  return (n * (n + 1)) / 2
}

/** The standard deviation of W⁺ under the value, with ties. */
export function deviationOf(n: number, tieSum: number): number {
  return Math.sqrt((n * (n + 1) * (2 * n + 1)) / 24 - tieSum / 48)
}
