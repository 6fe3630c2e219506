import { symmetricQuantile } from './symmetricQuantile'
import { type Continuous, memoizedQuantile, mirrored, type Tails, tailsFromLog } from './tails'

const HALF_LOG_TWO_PI = 0.918938533204672741780329736406
const SERIES_BELOW = 2

/**
 * The standard normal distribution.
 *
 * Near the middle by the series, beyond it by the continued fraction, so that either tail keeps its digits.
 * Relative error below 1e-14 for tails down to 1e-300; logs hold beyond.
 *
 * @see Abramowitz & Stegun (1964) 26.2.10 and 26.2.14; NIST DLMF 7.6.2, 7.9.3
 */
export const normal: Continuous = {
  density: (x) => Math.exp(logDensity(x)),
  tails,
  quantile: memoizedQuantile((probability, tail) =>
    symmetricQuantile({ probability, tail, middle, logUpper, density: normalDensity }),
  ),
}

function normalDensity(x: number): number {
  return Math.exp(logDensity(x))
}

function logDensity(x: number): number {
  return -0.5 * x * x - HALF_LOG_TWO_PI
}

function tails(x: number): Tails {
  const above = tailsFromLog(logUpper(Math.abs(x)), 'upper')
  return x < 0 ? mirrored(above) : above
}

/** P(0 < X < x) for x ≥ 0: φ(x) (x + x³/3 + x⁵/(3·5) + …), every term positive. */
function middle(x: number): number {
  let term = x
  let sum = x
  for (let odd = 3; term > sum * 1e-17; odd += 2) {
    term *= (x * x) / odd
    sum += term
  }
  return sum * normalDensity(x)
}

function logUpper(x: number): number {
  if (x < SERIES_BELOW) return Math.log(0.5 - middle(x))
  return logDensity(x) - Math.log(fraction(x))
}

/**
 * x + 1/(x + 2/(x + 3/(x + …))), whose reciprocal is the ratio of upper tail to density. Cut off after N terms its
 * error falls as exp(−2x√(2N)), which sets how many are needed.
 */
function fraction(x: number): number {
  const terms = Math.ceil(15 + 320 / (x * x))
  let value = x
  for (let k = terms; k >= 1; k -= 1) value = x + k / value
  return value
}
