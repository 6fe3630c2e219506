import { bracketedRoot } from '../numeric/bracketedRoot'
import { logPeakIntegral } from '../numeric/peakIntegral'
import { stirlingError } from '../numeric/stirlingError'
import { incompleteGamma } from './incompleteGamma'
import { normal } from './normal'
import { type Continuous, mirrored, type Tail, type Tails, tailsFromLog } from './tails'

const HALF_LOG_TWO_PI = 0.918938533204672741780329736406
/** From this noncentrality on, Z never comes near −δ, where the integrand over Z has a kink. */
const FAR_FROM_ZERO = 12
/** So many times sharper than S is wide, the edge of the normal part is still smooth enough to integrate over S. */
const EDGE = 4
/** Beyond this noncentrality Z adds nothing to it that ten digits would show. */
const LARGEST_NONCENTRALITY = 1e5
const LARGEST_REACH = 1e300

type Shape = Readonly<{ degreesOfFreedom: number; noncentrality: number }>
type NoncentralT = Shape & Readonly<{ t: number }>

/**
 * The noncentral t distribution, that of (Z + δ) / S with S = √(χ²/ν).
 *
 * @param shape - ν > 0, fractional too; δ has no unit
 * @see N. Johnson, S. Kotz & N. Balakrishnan (1995), Continuous Univariate Distributions 2, ch. 31
 * @example
 * noncentralT({ degreesOfFreedom: 10, noncentrality: 1 }).density(2) // 0.225424
 */
export function noncentralT(shape: Shape): Continuous {
  return {
    density: (t) => Math.exp(logDensity({ ...shape, t })),
    tails: (t) => noncentralTTails({ ...shape, t }),
    quantile: (probability, tail) => quantile(shape, probability, tail),
  }
}

/**
 * Both tails at t of the noncentral t distribution, that of (Z + δ) / S with S = √(χ²/ν).
 *
 * The tail is a mean over S of normal tails, or over Z of chi-square tails, whichever integrand is the smoother. Both
 * are positive with one peak, so far tails keep their digits, which series that alternate or start from the
 * centre do not.
 *
 * @param input - ν > 0, fractional too; δ and t have no unit
 * @see N. Johnson, S. Kotz & N. Balakrishnan (1995), Continuous Univariate Distributions 2, ch. 31
 * @example
 * noncentralTTails({ degreesOfFreedom: 10, noncentrality: 1, t: 2 }).upper // 0.192388
 */
export function noncentralTTails(input: NoncentralT): Tails {
  const { t, degreesOfFreedom, noncentrality } = input
  if (t < 0) return mirrored(noncentralTTails({ degreesOfFreedom, noncentrality: -noncentrality, t: -t }))
  if (Math.abs(noncentrality) > LARGEST_NONCENTRALITY) return withoutNormalPart(input)
  const tail = t > noncentrality ? 'upper' : 'lower'
  const isSharp = noncentrality > Math.max(FAR_FROM_ZERO, EDGE * Math.sqrt(2 * degreesOfFreedom))
  const isOverZ = isSharp && t > Math.min(noncentrality / 4, Math.sqrt(degreesOfFreedom))
  const logTail = isOverZ ? logMeanOverZ(input, tail) : logMeanOverS(input, tail)
  return tailsFromLog(Math.min(0, logTail), tail)
}

/** The tails of δ / S, for t ≥ 0. */
function withoutNormalPart({ t, degreesOfFreedom: df, noncentrality }: NoncentralT): Tails {
  if (noncentrality < 0) return tailsFromLog(normal.tails(Math.min(-noncentrality, 1e150)).logUpper, 'upper')
  const s = Math.min(noncentrality / t, 1e150)
  return mirrored(incompleteGamma(df / 2, (df / 2) * s * s))
}

/** ∫ s φ(t s − δ) dP(s), over ln s. */
function logDensity({ t, degreesOfFreedom: df, noncentrality }: NoncentralT): number {
  return logPeakIntegral({
    f: (u) => logChiDensity(u, df) + u - 0.5 * (t * Math.exp(u) - noncentrality) ** 2 - HALF_LOG_TWO_PI,
    near: nearPeak({ t: Math.abs(t), degreesOfFreedom: df, noncentrality }),
    width: 1 / Math.sqrt(2 * df),
  })
}

/** The root of ln of the smaller tail, which falls or rises throughout. */
function quantile({ degreesOfFreedom, noncentrality }: Shape, probability: number, tail: Tail): number {
  const isNear = probability <= 0.5
  const target = Math.log(isNear ? probability : 1 - probability)
  const isUpper = (tail === 'upper') === isNear
  const excess = (t: number) => {
    const tails = noncentralTTails({ t, degreesOfFreedom, noncentrality })
    return isUpper ? target - tails.logUpper : tails.logLower - target
  }
  let [low, high] = [noncentrality - 1, noncentrality + 1]
  for (let step = 1; excess(low) > 0 && step < LARGEST_REACH; step *= 2) low -= step
  for (let step = 1; excess(high) < 0 && step < LARGEST_REACH; step *= 2) high += step
  return bracketedRoot({ f: excess, low, high })
}

/**
 * ln of the density of ln S, S = √(χ²/ν).
 *
 * @example
 * logChiDensity(0, 10) // 0.562283
 */
export function logChiDensity(u: number, df: number): number {
  const logScale = Math.LN2 + 0.5 * Math.log(df / 2) - HALF_LOG_TWO_PI - stirlingError(df / 2)
  return logScale - 0.5 * df * expBeyondLinear(2 * u)
}

/** eˣ − 1 − x, without the cancellation that it would suffer near 0. */
function expBeyondLinear(x: number): number {
  if (Math.abs(x) > 0.5) return Math.expm1(x) - x
  let term = (x * x) / 2
  let sum = term
  for (let k = 3; Math.abs(term) > 1e-17 * sum; k += 1) {
    term *= x / k
    sum += term
  }
  return sum
}

/** For a large t the normal part vanishes long before s = 1: where it does not. */
function nearPeak({ t, degreesOfFreedom, noncentrality }: NoncentralT): number {
  return Math.min(0, Math.log((Math.abs(noncentrality) + Math.sqrt(degreesOfFreedom)) / t))
}

/** ∫ P(Z ≤ or > t s − δ) dP(s), over ln s. */
function logMeanOverS({ t, degreesOfFreedom: df, noncentrality }: NoncentralT, tail: Tail): number {
  const sign = tail === 'lower' ? 1 : -1
  return logPeakIntegral({
    f: (u) => logChiDensity(u, df) + normal.tails(sign * (t * Math.exp(u) - noncentrality)).logLower,
    near: nearPeak({ t, degreesOfFreedom: df, noncentrality }),
    width: 1 / Math.sqrt(2 * df),
  })
}

/** ∫ P(S ≥ or < (z + δ) / t) dP(z). */
function logMeanOverZ({ t, degreesOfFreedom: df, noncentrality }: NoncentralT, tail: Tail): number {
  return logPeakIntegral({
    f: (z) => {
      const s = Math.max(0, z + noncentrality) / t
      const tails = incompleteGamma(df / 2, (df * s * s) / 2)
      return -0.5 * z * z - HALF_LOG_TWO_PI + (tail === 'lower' ? tails.logUpper : tails.logLower)
    },
    near: 0,
    width: 1,
  })
}
