import { chiSquare } from '../distributions/chiSquare'
import { logChiDensity, noncentralTTails } from '../distributions/noncentralT'
import { normal } from '../distributions/normal'
import { studentT } from '../distributions/studentT'
import { logPeakIntegral } from '../numeric/peakIntegral'
import type { PowerQuestion } from './question'

const CERTAIN_FROM = 100
/** Beyond this size a noncentrality is no larger for any purpose. */
const LARGEST = 1e100
/** Below the range of a double. */
const LOG_NEGLIGIBLE = -750

type MeanQuestion = PowerQuestion & Readonly<{ standardDeviation: number }>

/**
 * The power of the t test: the noncentral t distribution with δ = √n (μ − μ₀) / σ, beyond the critical values.
 *
 * @param question.standardDeviation - σ, the true one
 * @see J. Cohen (1988), Statistical Power Analysis for the Behavioral Sciences, ch. 2; Johnson, Kotz & Balakrishnan
 *   (1995), Continuous Univariate Distributions 2, ch. 31
 * @example
 * powerOfT({
 *   n: 12,
 *   value: 15,
 *   truth: 14.9,
 *   alternative: 'less',
 *   significanceLevel: 0.05,
 *   standardDeviation: 0.11,
 * })
 * // 0.903589
 */
export function powerOfT(question: MeanQuestion): number {
  const { n, value, truth, alternative, significanceLevel, standardDeviation } = question
  const noncentrality = (Math.sqrt(n) * (truth - value)) / standardDeviation
  const degreesOfFreedom = n - 1
  const tail = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  const t = studentT(degreesOfFreedom).quantile(tail, 'upper')
  if (isCertain(noncentrality, t, degreesOfFreedom)) {
    return inTails(
      alternative,
      () => (noncentrality < 0 ? 1 : 0),
      () => (noncentrality > 0 ? 1 : 0),
    )
  }
  const beyond = (at: number) => noncentralTTails({ t: at, degreesOfFreedom, noncentrality })
  return inTails(
    alternative,
    () => beyond(-t).lower,
    () => beyond(t).upper,
  )
}

/** Whether |T| can be told to lie beyond t: neither Z nor S can halve a noncentrality so large. */
function isCertain(noncentrality: number, t: number, degreesOfFreedom: number): boolean {
  const size = Math.min(Math.abs(noncentrality), LARGEST)
  if (size < CERTAIN_FROM) return false
  const s = size / (2 * t)
  return chiSquare(degreesOfFreedom).tails(degreesOfFreedom * s * s).logUpper < LOG_NEGLIGIBLE
}

/**
 * The power of the z test: Φ beyond the critical values, moved by √n (μ − μ₀) / σ.
 *
 * @see J. Cohen (1988), ch. 2
 * @example
 * powerOfZ({
 *   n: 12,
 *   value: 15,
 *   truth: 14.9,
 *   alternative: 'less',
 *   significanceLevel: 0.05,
 *   standardDeviation: 0.11,
 * })
 * // 0.933752
 */
export function powerOfZ(question: MeanQuestion): number {
  const { n, value, truth, alternative, significanceLevel, standardDeviation } = question
  const shift = (Math.sqrt(n) * (truth - value)) / standardDeviation
  const tail = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  const z = normal.quantile(tail, 'upper')
  return inTails(
    alternative,
    () => normal.tails(-z - shift).lower,
    () => normal.tails(z - shift).upper,
  )
}

export type RangeQuestion = Readonly<{
  n: number
  lower: number
  upper: number
  truth: number
  standardDeviation: number
  significanceLevel: number
}>

/**
 * The power of two one-sided t tests to show a mean inside a tolerance: over the sample's standard deviation s, the
 * chance that x̄ lies between lower + t s/√n and upper − t s/√n.
 *
 * @see D. Owen (1965), Biometrika 52, 437-446; K. Phillips (1990), J. Pharmacokinetics and Biopharmaceutics 18, 137-144
 * @example
 * powerInsideWithT({
 *   n: 12,
 *   lower: 14.8,
 *   upper: 15.2,
 *   truth: 15,
 *   significanceLevel: 0.05,
 *   standardDeviation: 0.11,
 * })
 * // 0.999976
 */
export function powerInsideWithT(question: RangeQuestion): number {
  const { n, significanceLevel } = question
  const df = n - 1
  const t = studentT(df).quantile(significanceLevel, 'upper')
  const { low, high } = standardized(question)
  const widest = (high - low) / (2 * t)
  if (!(widest > 0)) return 0
  // Over v with s = widest / (1 + e⁻ᵛ), so that the integrand is smooth up to where the two limits meet.
  const f = (v: number) => {
    const s = widest / (1 + Math.exp(-v))
    const inside = between(low + t * s, high - t * s)
    return inside > 0
      ? logChiDensity(Math.log(s), df) - Math.log1p(Math.exp(v)) + Math.log(inside)
      : -Infinity
  }
  const near = widest > 2 ? -Math.log(widest - 1) : 0
  return Math.exp(logPeakIntegral({ f, near, width: 1 / Math.sqrt(2 * df) }))
}

/**
 * The power of two one-sided z tests to show a mean inside a tolerance.
 *
 * @example
 * powerInsideWithZ({
 *   n: 12,
 *   lower: 14.8,
 *   upper: 15.2,
 *   truth: 15,
 *   significanceLevel: 0.05,
 *   standardDeviation: 0.11,
 * })
 * // 0.999997
 */
export function powerInsideWithZ(question: RangeQuestion): number {
  const z = normal.quantile(question.significanceLevel, 'upper')
  const { low, high } = standardized(question)
  return high - z > low + z ? between(low + z, high - z) : 0
}

/** The limits less the true mean, in standard errors. */
function standardized({ n, lower, upper, truth, standardDeviation }: RangeQuestion) {
  const scale = Math.sqrt(n) / standardDeviation
  return { low: (lower - truth) * scale, high: (upper - truth) * scale }
}

/** P(a < Z < b), from the tails that are the smaller. */
function between(a: number, b: number): number {
  return a > 0 ? normal.tails(a).upper - normal.tails(b).upper : normal.tails(b).lower - normal.tails(a).lower
}

/**
 * Adds up the tails that the alternative looks at.
 *
 * @example
 * inTails('two-sided', () => 0.01, () => 0.8) // 0.81
 */
export function inTails(
  alternative: PowerQuestion['alternative'],
  lower: () => number,
  upper: () => number,
): number {
  switch (alternative) {
    case 'less':
      return lower()
    case 'greater':
      return upper()
    case 'two-sided':
      return Math.min(1, lower() + upper())
    default:
      return alternative satisfies never
  }
}
