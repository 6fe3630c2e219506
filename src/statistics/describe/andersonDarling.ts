import type { Moments } from './moments'
import { normal } from '../distributions/normal'
import { compensatedSum } from '../numeric/compensatedSum'
import { polynomial } from '../numeric/polynomial'

export const ANDERSON_DARLING_LEAST = 8

export type AndersonDarling = Readonly<{
  a2: number
  /** A² corrected for the size of the sample. */
  a2Star: number
  pValue: number
}>

/** From this A*² on the formula's parabola would rise again; the p-value there is below 1e-30. */
const LARGEST = 13

/** ln p, or ln of 1 − p, as a parabola in A*², below each limit. */
const PARABOLAS = [
  { below: 0.2, isComplement: true, coefficients: [-13.436, 101.14, -223.73] },
  { below: 0.34, isComplement: true, coefficients: [-8.318, 42.796, -59.938] },
  { below: 0.6, isComplement: false, coefficients: [0.9177, -4.279, -1.38] },
  { below: LARGEST, isComplement: false, coefficients: [1.2937, -5.709, 0.0186] },
] as const

/**
 * Anderson and Darling's test that readings come from a normal population whose mean and spread are estimated.
 *
 * @param sorted - at least 8 readings, ascending, not all equal
 * @see M. Stephens (1986), Tests based on EDF statistics, table 4.9, in R. D'Agostino & M. Stephens, Goodness-of-Fit
 *   Techniques. The coefficients are those that the R package nortest 1.0-4, which names the table but no page, and
 *   statsmodels (`normal_ad`) carry; the book itself was not at hand.
 * @example
 * andersonDarling([1, 2, 3, 4, 5, 6, 7, 20], moments([1, 2, 3, 4, 5, 6, 7, 20]))
 * // { a2: 0.902515, a2Star: 1.01885, pValue: 0.0110687 }
 */
export function andersonDarling(sorted: ArrayLike<number>, moments: Moments): AndersonDarling {
  const { sampleSize: n, mean, meanRemainder, standardDeviation } = moments
  const tails = Array.from({ length: n }, (_, i) =>
    normal.tails((sorted[i]! - mean - meanRemainder) / standardDeviation!),
  )
  const sum = compensatedSum(n, (i) => (2 * i + 1) * (tails[i]!.logLower + tails[n - 1 - i]!.logUpper))
  const a2 = -n - sum / n
  const a2Star = a2 * (1 + 0.75 / n + 2.25 / n ** 2)
  return { a2, a2Star, pValue: pValueOf(a2Star) }
}

function pValueOf(a2Star: number): number {
  const parabola = PARABOLAS.find(({ below }) => a2Star < below) ?? PARABOLAS.at(-1)!
  const value = Math.exp(polynomial(parabola.coefficients, Math.min(a2Star, LARGEST)))
  return parabola.isComplement ? 1 - value : value
}
