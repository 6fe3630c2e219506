import { type BetaPoint, incompleteBeta, logBetaKernel } from './incompleteBeta'
import { positiveQuantile } from './positiveQuantile'
import { type Continuous, type Tails, tailsFromLog } from './tails'

type Degrees = Readonly<{ numerator: number; denominator: number }>

/**
 * The F distribution: P(X ≤ x) = I_u(ν₁/2, ν₂/2) with u = ν₁x / (ν₁x + ν₂).
 *
 * @param degrees - ν₁ and ν₂, both > 0, fractional too
 * @see Abramowitz & Stegun (1964) 26.6.2; NIST DLMF 8.17
 * @example
 * fDistribution({ numerator: 5, denominator: 10 }).tails(3.326).upper // 0.0499933
 */
export function fDistribution(degrees: Degrees): Continuous {
  const tails = (x: number): Tails =>
    x > 0 ? incompleteBeta(pointOf(x, degrees)) : tailsFromLog(-Infinity, 'lower')
  const logDensity = (x: number) => logBetaKernel(pointOf(x, degrees)) - Math.log(x)
  return {
    density: (x) => (x > 0 ? Math.exp(logDensity(x)) : x < 0 ? 0 : densityAtZero(degrees)),
    tails,
    quantile: (probability, tail) => positiveQuantile({ probability, tail, tails, logDensity, start: 1 }),
  }
}

function pointOf(x: number, { numerator, denominator }: Degrees): BetaPoint {
  const ratio = (numerator / denominator) * x
  return { a: numerator / 2, b: denominator / 2, x: 1 / (1 + 1 / ratio), y: 1 / (1 + ratio) }
}

function densityAtZero({ numerator }: Degrees): number {
  if (numerator === 2) return 1
  return numerator < 2 ? Infinity : 0
}
