import { memoized } from '../numeric/memoized'
import { stirlingError } from '../numeric/stirlingError'
import { deviance } from '../numeric/deviance'
import { incompleteBeta, logBetaKernel } from './incompleteBeta'
import { symmetricQuantile } from './symmetricQuantile'
import { type Continuous, memoizedQuantile, mirrored, type Tails, tailsFromLog } from './tails'

const HALF_LOG_TWO_PI = 0.918938533204672741780329736406
/** Beyond this t² leaves the range of a double, while the tail's leading term is already exact. */
const FAR = 1e140

/**
 * Student's t distribution.
 *
 * P(|T| > t) = I_x(ν/2, ½) with x = ν / (ν + t²). Relative error below 1e-12 in either tail (1e-10 for ν of
 * 1e4 or more), down to 1e-300; logs hold beyond.
 *
 * @param degreesOfFreedom - ν > 0, fractional too
 * @see NIST DLMF 8.17; Abramowitz & Stegun (1964) 26.7.1
 * @example
 * studentT(11).quantile(0.025, 'upper') // 2.20099
 */
export const studentT = memoized(64, (degreesOfFreedom: number): Continuous => {
  const density = (x: number) => Math.exp(logDensity(x, degreesOfFreedom))
  const upper = (x: number) => upperTails(x, degreesOfFreedom)
  return {
    density,
    tails: (x) => (x < 0 ? mirrored(upper(-x)) : upper(x)),
    quantile: memoizedQuantile((probability, tail) =>
      symmetricQuantile({
        probability,
        tail,
        middle: (x) => 0.5 * twoSided(x, degreesOfFreedom).lower,
        logUpper: (x) => upper(x).logUpper,
        density,
      }),
    ),
  }
})

function upperTails(t: number, df: number): Tails {
  return tailsFromLog(twoSided(t, df).logUpper - Math.LN2, 'upper')
}

/** P(|T| ≤ t) as the lower tail and P(|T| > t) as the upper, for t ≥ 0. */
function twoSided(t: number, df: number): Tails {
  if (t > FAR) return tailsFromLog(logFarTail(t, df), 'upper')
  const sum = df + t * t
  return incompleteBeta({ a: 0.5, b: df / 2, x: (t * t) / sum, y: df / sum })
}

/** The leading term x^(ν/2) / (ν/2 · B(ν/2, ½)), x = ν / t². */
function logFarTail(t: number, df: number): number {
  const a = df / 2
  // The kernel at x = y = ½, less its own powers of ½, is ln of 1 / B(a, ½).
  const logBeta = (a + 0.5) * -Math.LN2 - logBetaKernel({ a, b: 0.5, x: 0.5, y: 0.5 })
  return a * (Math.log(df) - 2 * Math.log(t)) - Math.log(a) - logBeta
}

function logDensity(x: number, df: number): number {
  const half = df / 2
  const gammas = stirlingError(half + 0.5) - stirlingError(half) - deviance(half, half + 0.5)
  return gammas + logShape(Math.abs(x), df) - HALF_LOG_TWO_PI
}

/** ln of (1 + x²/ν)^(−(ν + 1)/2). */
function logShape(x: number, df: number): number {
  const logSum = x > FAR ? 2 * Math.log(x) - Math.log(df) : Math.log1p((x * x) / df)
  return -0.5 * (df + 1) * logSum
}
