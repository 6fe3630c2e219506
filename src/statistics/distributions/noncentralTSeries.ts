import { normal } from './normal'
import { incompleteBeta, logBetaKernel } from './incompleteBeta'

const HALF_LOG_TWO_PI = 0.918938533204672741780329736406
const NEGLIGIBLE = 1e-17
const MAX_TERMS = 2000

/** Where the series is right to eleven digits: not for far tails, nor far from the middle. */
export const SERIES_RANGE = { t: 30, noncentrality: 35, tail: 1e-4 } as const

/**
 * Both tails of the noncentral t distribution at one t ≥ 0, as functions of the noncentrality: fast, for the middle of
 * the distribution only (`SERIES_RANGE`). Elsewhere `noncentralTTails` is slower and keeps its digits.
 *
 * P(T ≤ t) = Φ(−δ) + ½ Σ [pⱼ I_x(j + ½, ν/2) + qⱼ I_x(j + 1, ν/2)], x = t²/(t² + ν); the incomplete beta functions
 * follow from one another.
 *
 * @param input - ν > 0; t ≥ 0
 * @see R. Lenth (1989), Algorithm AS 243, Applied Statistics 38, 185-189
 * @example
 * noncentralTSeries({ t: 2, degreesOfFreedom: 10 })(1).lower // 0.807612
 */
export function noncentralTSeries({
  t,
  degreesOfFreedom: df,
}: Readonly<{ t: number; degreesOfFreedom: number }>): (noncentrality: number) => Readonly<{
  lower: number
  upper: number
}> {
  const b = df / 2
  const [x, y] = [(t * t) / (df + t * t), df / (df + t * t)]
  const half = incompleteBeta({ a: 0.5, b, x, y })
  const logY = -b * Math.log1p((t * t) / df)
  const whole = { lower: -Math.expm1(logY), upper: Math.exp(logY) }
  // I(a, b) − I(a + 1, b) at a = ½ and at a = 1.
  const firstHalf = x === 0 ? 0 : Math.exp(logBetaKernel({ a: 0.5, b, x, y }) - Math.log(0.5))
  const firstWhole = x * b * whole.upper
  return (noncentrality) => {
    const rate = (noncentrality * noncentrality) / 2
    let p = Math.exp(-rate)
    let q = 2 * noncentrality * Math.exp(-rate - HALF_LOG_TWO_PI)
    let [lower, upper] = [0, 0]
    let [halfLower, halfUpper, halfStep] = [half.lower, half.upper, firstHalf]
    let [wholeLower, wholeUpper, wholeStep] = [whole.lower, whole.upper, firstWhole]
    for (let j = 0; j < MAX_TERMS; j += 1) {
      lower += p * halfLower + q * wholeLower
      upper += p * halfUpper + q * wholeUpper
      if (j > rate && p < NEGLIGIBLE && Math.abs(q) < NEGLIGIBLE) break
      p *= rate / (j + 1)
      q *= rate / (j + 1.5)
      halfLower = Math.max(0, halfLower - halfStep)
      halfUpper += halfStep
      halfStep *= (x * (j + 0.5 + b)) / (j + 1.5)
      wholeLower = Math.max(0, wholeLower - wholeStep)
      wholeUpper += wholeStep
      wholeStep *= (x * (j + 1 + b)) / (j + 2)
    }
    return { lower: normal.tails(noncentrality).upper + lower / 2, upper: upper / 2 }
  }
}
