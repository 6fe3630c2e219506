import { type Moments, moments } from './moments'
import { compensatedSum } from '../numeric/compensatedSum'
import type { Groups } from './clusterMean'

/** A layer of a lot and what was seen of it. */
export type Stratum = Readonly<{
  size: number
  moments: Moments
  /** W²·s²/n, with (1 − n/N) where it is drawn without putting back. */
  variance: number
}>

/** A mean of readings from layers of known sizes, and how it scatters. */
export type StratifiedMean = Readonly<{
  mean: number
  meanRemainder: number
  standardError: number
  /** By Satterthwaite, fractional. */
  degreesOfFreedom: number
  strata: readonly Stratum[]
  /** A value for each reading, taken one by one: their mean is the same and they are as skewed. */
  linearised: readonly number[]
}>

/**
 * The mean of a lot from readings of each of its layers: Σ W·ȳ with W = N_h/N and the variance Σ W²·s²/n·(1 − n/N_h).
 *
 * @param values - in one unit; of each group at least two
 * @param input.sizes - N_h, of each group
 * @param input.layers - whether a layer counts as finite
 * @see W. Cochran (1977), Sampling Techniques, 5.4 and 5A
 * @example
 * stratifiedMean([1, 2, 3, 6], {
 *   groups: { codes: [0, 0, 1, 1], count: 2 },
 *   sizes: [10, 30],
 *   layers: 'endless',
 * }).mean // 3.75
 */
export function stratifiedMean(
  values: ArrayLike<number>,
  input: Readonly<{ groups: Groups; sizes: readonly number[]; layers: 'finite' | 'endless' }>,
): StratifiedMean {
  const { groups, sizes, layers } = input
  const lists: number[][] = sizes.map(() => [])
  for (let i = 0; i < values.length; i += 1) lists[groups.codes[i]!]!.push(values[i]!)
  const whole = sizes.reduce((sum, size) => sum + size, 0)
  const strata = lists.map((list, group): Stratum => {
    const size = sizes[group]!
    const own = moments(list)
    const { sampleSize: n, standardDeviation = 0 } = own
    const factor = layers === 'finite' ? Math.max(0, size - n) / size : 1
    return { size, moments: own, variance: ((size / whole) * standardDeviation) ** 2 * (factor / n) }
  })
  const weighted = (term: (stratum: Stratum) => number) =>
    compensatedSum(strata.length, (at) => (strata[at]!.size / whole) * term(strata[at]!))
  const mean = weighted((stratum) => stratum.moments.mean)
  const v = strata.reduce((sum, { variance }) => sum + variance, 0)
  const inverse = strata.reduce(
    (sum, { variance, moments: { sampleSize } }) => sum + (variance / v) ** 2 / (sampleSize - 1),
    0,
  )
  const n = values.length
  return {
    mean,
    meanRemainder: weighted((stratum) => stratum.moments.mean - mean + stratum.moments.meanRemainder),
    standardError: Math.sqrt(v),
    degreesOfFreedom: v > 0 ? 1 / inverse : 0,
    strata,
    linearised: Array.from({ length: n }, (_, i) => {
      const { size, moments: own } = strata[groups.codes[i]!]!
      return mean + ((size / whole) * n * (values[i]! - own.mean)) / own.sampleSize
    }),
  }
}
