/** A distribution by its name and parameters, as documents carry it. */
export type NamedDistribution =
  | Readonly<{ name: 'normal' }>
  | Readonly<{ name: 't'; df: number }>
  | Readonly<{ name: 'chi-square'; df: number }>
  | Readonly<{ name: 'f'; df1: number; df2: number }>
  | Readonly<{ name: 'beta'; a: number; b: number }>
  | Readonly<{ name: 'noncentral-t'; df: number; ncp: number }>
  | Readonly<{ name: 'binomial'; n: number; p: number }>
  | Readonly<{ name: 'hypergeometric'; lotSize: number; marked: number; n: number }>
  | Readonly<{ name: 'poisson'; mean: number }>
  /** The middle ranks, where any are tied. */
  | Readonly<{ name: 'signed-rank'; n: number; ranks?: readonly number[] | undefined }>

const DISCRETE: readonly NamedDistribution['name'][] = [
  'binomial',
  'hypergeometric',
  'poisson',
  'signed-rank',
]

/**
 * The step from one possible value of a discrete distribution to the next: 1, and of sums of tied ranks the greatest that
 * every rank is a multiple of.
 *
 * @returns undefined for a continuous one
 * @example
 * stepOf({ name: 'binomial', n: 10, p: 0.5 }) // 1
 */
export function stepOf(distribution: NamedDistribution): number | undefined {
  if (!DISCRETE.includes(distribution.name)) return undefined
  if (!('ranks' in distribution) || !distribution.ranks) return 1
  const divisor = (one: number, other: number): number => (other === 0 ? one : divisor(other, one % other))
  return distribution.ranks.reduce((known, rank) => divisor(known, 2 * rank), 0) / 2
}
