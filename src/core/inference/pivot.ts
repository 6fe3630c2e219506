import type { Continuous } from '../distributions/tails'

export type Distribution = Readonly<{ name: 'normal' }> | Readonly<{ name: 't'; df: number }>

/**
 * What a test of a mean stands on: (x̄ − μ) / standard error follows a known distribution whatever μ is.
 * The estimate and the standard error share the readings' unit.
 */
export type Pivot = Readonly<{
  method: 't' | 'z'
  estimate: number
  /** What rounding took from the estimate. */
  estimateRemainder: number
  standardError: number
  distribution: Distribution
  reference: Continuous
}>

/** (x̄ − value), with the digits that the rounded mean alone would lose where the two are close. */
export function differenceFrom(pivot: Pivot, value: number): number {
  return pivot.estimate - value + pivot.estimateRemainder
}

export function statisticAt(pivot: Pivot, value: number): number {
  return differenceFrom(pivot, value) / pivot.standardError
}
