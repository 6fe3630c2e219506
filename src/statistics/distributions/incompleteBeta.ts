import { deviance } from '../numeric/deviance'
import { stirlingError } from '../numeric/stirlingError'
import { mirrored, type Tails, tailsFromLog } from './tails'

const LOG_TWO_PI = 1.83787706640934548356065947281
const MAX_TERMS = 100_000

export type BetaPoint = Readonly<{
  a: number
  b: number
  x: number
  /** 1 − x, given apart because the subtraction would lose its digits. */
  y: number
}>

/**
 * The regularised incomplete beta function I_x(a, b) as a lower tail, and its complement as the upper.
 *
 * By the continued fraction on the side of the mean where it converges fast.
 *
 * @param point - a, b > 0; x and y between 0 and 1 with x + y = 1
 * @see NIST DLMF 8.17.22 (its even part); DiDonato & Morris (1992), ACM TOMS 18, 360-373
 * @example
 * incompleteBeta({ a: 2, b: 3, x: 0.4, y: 0.6 }).lower // 0.5248
 */
export function incompleteBeta(point: BetaPoint): Tails {
  const { a, b, x, y } = point
  if (x <= 0) return tailsFromLog(-Infinity, 'lower')
  if (y <= 0) return tailsFromLog(-Infinity, 'upper')
  if (x * b > y * a) return mirrored(incompleteBeta({ a: b, b: a, x: y, y: x }))
  return tailsFromLog(logBetaKernel(point) - Math.log(fraction(point)), 'lower')
}

/**
 * ln of xᵃ yᵇ / B(a, b), by deviances and Stirling errors, so that large a and b keep their digits.
 *
 * @see C. Loader (2000), Fast and Accurate Computation of Binomial Probabilities
 * @example
 * logBetaKernel({ a: 2, b: 3, x: 0.4, y: 0.6 }) // -0.880152
 */
export function logBetaKernel({ a, b, x, y }: BetaPoint): number {
  const n = a + b
  const gammas = stirlingError(n) - stirlingError(a) - stirlingError(b)
  const scale = 0.5 * (Math.log(a) + Math.log(b / n) - LOG_TWO_PI)
  return scale + gammas - deviance(a, n * x) - deviance(b, n * y)
}

/** The continued fraction f in I_x(a, b) = xᵃ yᵇ / (B(a, b) f), by the modified Lentz method. */
function fraction({ a, b, x, y }: BetaPoint): number {
  const n = a + b
  const first = a * y - b * x + 1
  const rise = 1 + y
  let value = (a * first) / (a + 1)
  let c = value
  let d = 0
  for (let m = 1; m < MAX_TERMS; m += 1) {
    const odd = a + 2 * m - 1
    const numerator = ((((a + m - 1) / odd) * (n + m - 1)) / odd) * m * (b - m) * x * x
    const denominator = m + (m * (b - m) * x) / odd + ((a + m) * (first + m * rise)) / (a + 2 * m + 1)
    d = 1 / (denominator + numerator * d)
    c = denominator + numerator / c
    const change = c * d
    value *= change
    if (Math.abs(change - 1) < 1e-16) break
  }
  return value
}
