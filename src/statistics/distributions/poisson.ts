import { type Discrete, discreteQuantile } from './discrete'
import { incompleteGamma, logGammaKernel } from './incompleteGamma'
import { mirrored, type Tails, tailsFromLog } from './tails'

/**
 * The Poisson distribution: P(X ≤ k) = Q(k + 1, μ), the upper regularised incomplete gamma function.
 *
 * @param mean - μ > 0
 * @see NIST DLMF 8.4.10; Abramowitz & Stegun (1964) 26.4.21
 * @example
 * poisson(4.2).tails(2).lower // 0.210238
 */
export function poisson(mean: number): Discrete {
  const tails = (k: number) => tailsAt(Math.floor(k), mean)
  return {
    mass: (k) => (Number.isInteger(k) ? Math.exp(logPoissonMass(k, mean)) : 0),
    tails,
    quantile: (probability, tail) => {
      const isFar = (k: number) =>
        tail === 'lower' ? tails(k).lower >= probability : tails(k).upper <= probability
      let max = farthestCount(mean)
      while (!isFar(max) && tails(max).upper > 0) max *= 2
      return discreteQuantile({ probability, tail, tails, min: 0, max })
    },
  }
}

/**
 * ln P(X = k), for whole k; −Infinity below 0.
 *
 * @example
 * logPoissonMass(2, 4.2) // -2.02298
 */
export function logPoissonMass(k: number, mean: number): number {
  if (k < 0) return -Infinity
  return k === 0 ? -mean : logGammaKernel(k, mean) - Math.log(k)
}

/**
 * A count that is never reached: the probability of as many lies below the range of a double.
 *
 * @example
 * farthestCount(4) // 884
 */
export const farthestCount = (mean: number): number => Math.ceil(mean + 40 * Math.sqrt(mean) + 800)

const tailsAt = (k: number, mean: number): Tails =>
  k < 0 ? tailsFromLog(-Infinity, 'lower') : mirrored(incompleteGamma(k + 1, mean))
