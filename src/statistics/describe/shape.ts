import { compensatedTotal } from '../numeric/compensatedSum'
import type { Moments } from './moments'

/** Readings that the adjusted kurtosis needs. */
const KURTOSIS_LEAST = 4

export type Shape = Readonly<{
  /** Absent where the readings have no spread, or are too few for the form. */
  skewness: Readonly<{ g1?: number; G1?: number }>
  excessKurtosis: Readonly<{ g2?: number; G2?: number }>
}>

/**
 * Skewness and excess kurtosis: the moment forms g, and G, which corrects their bias.
 *
 * @param values - readings in one unit
 * @see D. Joanes & C. Gill (1998), The Statistician 47, 183-189
 * @example
 * shape([1, 2, 3, 10], moments([1, 2, 3, 10]))
 * // { skewness: { g1: 1.01823, G1: 1.76363 }, excessKurtosis: { g2: -0.7696, G2: 3.228 } }
 */
export function shape(
  values: ArrayLike<number>,
  { sampleSize: n, mean, meanRemainder, standardDeviation }: Moments,
): Shape {
  if (!standardDeviation) return { skewness: {}, excessKurtosis: {} }
  const terms = new Float64Array(n)
  const powerSum = (power: number) => {
    for (let i = 0; i < n; i += 1)
      terms[i] = ((values[i]! - mean - meanRemainder) / standardDeviation) ** power
    return compensatedTotal(terms)
  }
  // In units of s, Σ(x − x̄)² is n − 1.
  const m2 = (n - 1) / n
  const g1 = powerSum(3) / n / m2 ** 1.5
  const g2 = powerSum(4) / n / m2 ** 2 - 3
  return {
    skewness: { g1, ...(n > 2 ? { G1: (g1 * Math.sqrt(n * (n - 1))) / (n - 2) } : {}) },
    excessKurtosis: {
      g2,
      ...(n >= KURTOSIS_LEAST ? { G2: ((n - 1) / ((n - 2) * (n - 3))) * ((n + 1) * g2 + 6) } : {}),
    },
  }
}

/**
 * The standard error of G1 in samples of n from a normal population: √(6n(n − 1) / ((n − 2)(n + 1)(n + 3))).
 *
 * @param n - at least three
 * @see D. Joanes & C. Gill (1998), The Statistician 47, 183-189
 * @example
 * skewnessError(24) // 0.472261
 */
export function skewnessError(n: number): number {
  return Math.sqrt((6 * n * (n - 1)) / ((n - 2) * (n + 1) * (n + 3)))
}

/**
 * The standard error of G2 in samples of n from a normal population: 2 SE(G1) √((n² − 1) / ((n − 3)(n + 5))).
 *
 * @param n - at least four
 * @see D. Joanes & C. Gill (1998), The Statistician 47, 183-189
 * @example
 * kurtosisError(24) // 0.917777
 */
export function kurtosisError(n: number): number {
  return 2 * skewnessError(n) * Math.sqrt((n * n - 1) / ((n - 3) * (n + 5)))
}
