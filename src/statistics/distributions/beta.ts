import { incompleteBeta, logBetaKernel } from './incompleteBeta'
import { positiveQuantile } from './positiveQuantile'
import { type Continuous, type Tails, tailsFromLog } from './tails'

/**
 * The beta distribution on 0 to 1: P(X ≤ x) = I_x(a, b).
 *
 * @param shape - a and b, both > 0
 * @see NIST DLMF 8.17; Abramowitz & Stegun (1964) 26.5
 * @example
 * beta({ a: 2, b: 3 }).tails(0.4).lower // 0.5248
 */
export function beta({ a, b }: Readonly<{ a: number; b: number }>): Continuous {
  const tails = (x: number): Tails => {
    if (x >= 1) return tailsFromLog(-Infinity, 'upper')
    return incompleteBeta({ a, b, x, y: 1 - x })
  }
  const logDensity = (x: number) => logBetaKernel({ a, b, x, y: 1 - x }) - Math.log(x) - Math.log1p(-x)
  return {
    density: (x) => (x > 0 && x < 1 ? Math.exp(logDensity(x)) : densityAtEnd({ a, b }, x)),
    tails,
    quantile: (probability, tail) =>
      Math.min(1, positiveQuantile({ probability, tail, tails, logDensity, start: a / (a + b) })),
  }
}

/** f(0) = 1/B(1, b) = b where a = 1, and f(1) = a where b = 1. */
function densityAtEnd({ a, b }: Readonly<{ a: number; b: number }>, x: number): number {
  if (x !== 0 && x !== 1) return 0
  const [near, far] = x === 0 ? [a, b] : [b, a]
  if (near === 1) return far
  return near < 1 ? Infinity : 0
}
