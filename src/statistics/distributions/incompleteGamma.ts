import { deviance } from '../numeric/deviance'
import { stirlingError } from '../numeric/stirlingError'
import { type Tails, tailsFromLog } from './tails'

const LOG_TWO_PI = 1.83787706640934548356065947281
const MAX_TERMS = 1_000_000

/**
 * The regularised incomplete gamma functions P(a, x), as a lower tail, and Q(a, x), as an upper.
 *
 * By the series below a and the continued fraction above it, so that the smaller of the two is the one computed.
 *
 * @param a - positive
 * @param x - ≥ 0
 * @see NIST DLMF 8.11.4 and 8.9.2
 * @example
 * incompleteGamma(2, 3).upper // 0.199148
 */
export function incompleteGamma(a: number, x: number): Tails {
  if (x <= 0) return tailsFromLog(-Infinity, 'lower')
  if (x < a + 1) return tailsFromLog(logGammaKernel(a, x) - Math.log(a) + Math.log(series(a, x)), 'lower')
  return tailsFromLog(logGammaKernel(a, x) - Math.log(fraction(a, x)), 'upper')
}

/**
 * ln of xᵃ e⁻ˣ / Γ(a), by the deviance, so that large a and x keep their digits.
 *
 * @example
 * logGammaKernel(2, 3) // -0.802775
 */
export function logGammaKernel(a: number, x: number): number {
  return 0.5 * (Math.log(a) - LOG_TWO_PI) - stirlingError(a) - deviance(a, x)
}

/** 1 + x/(a + 1) + x²/((a + 1)(a + 2)) + … */
function series(a: number, x: number): number {
  let term = 1
  let sum = 1
  for (let k = 1; k < MAX_TERMS && term > sum * 1e-17; k += 1) {
    term *= x / (a + k)
    sum += term
  }
  return sum
}

/** x + 1 − a − 1(1 − a)/(x + 3 − a − 2(2 − a)/(x + 5 − a − …)), by the modified Lentz method. */
function fraction(a: number, x: number): number {
  let denominator = x + 1 - a
  let value = denominator
  let c = denominator
  let d = 0
  for (let k = 1; k < MAX_TERMS; k += 1) {
    const numerator = k * (a - k)
    denominator += 2
    d = 1 / (denominator + numerator * d)
    c = denominator + numerator / c
    const change = c * d
    value *= change
    if (Math.abs(change - 1) < 1e-16) break
  }
  return value
}
