import { type Discrete, discreteQuantile } from './discrete'
import { incompleteBeta, logBetaKernel } from './incompleteBeta'
import { type Tails, tailsFromLog } from './tails'

type Shape = Readonly<{ trials: number; probability: number }>

/**
 * The binomial distribution: P(X ≤ k) = I₁₋ₚ(n − k, k + 1).
 *
 * @param shape - n ≥ 1 whole, 0 < p < 1
 * @see NIST DLMF 8.17.5; C. Loader (2000), Fast and Accurate Computation of Binomial Probabilities
 * @example
 * binomial({ trials: 20, probability: 0.1 }).tails(2).lower // 0.676927
 */
export function binomial(shape: Shape): Discrete {
  const { trials } = shape
  const tails = (k: number) => tailsAt(Math.floor(k), shape)
  return {
    mass: (k) => (Number.isInteger(k) ? Math.exp(logMass(k, shape)) : 0),
    tails,
    quantile: (probability, tail) => discreteQuantile({ probability, tail, tails, min: 0, max: trials }),
  }
}

/**
 * ln P(X = k), for whole k; −Infinity outside 0 to n.
 *
 * @example
 * logMass(2, { trials: 20, probability: 0.1 }) // -1.25464
 */
export function logMass(k: number, { trials: n, probability: p }: Shape): number {
  if (k < 0 || k > n) return -Infinity
  if (k === 0) return n * Math.log1p(-p)
  if (k === n) return n * Math.log(p)
  return logBetaKernel({ a: k, b: n - k, x: p, y: 1 - p }) + Math.log(n / k / (n - k))
}

function tailsAt(k: number, { trials: n, probability: p }: Shape): Tails {
  if (k < 0) return tailsFromLog(-Infinity, 'lower')
  if (k >= n) return tailsFromLog(-Infinity, 'upper')
  return incompleteBeta({ a: n - k, b: k + 1, x: 1 - p, y: p })
}
