import type { Alternative } from '../claim/claim'
import type { Continuous } from '../distributions/tails'
import { type Pivot, statisticAt } from './pivot'

export type TailProbability = Readonly<{
  /** Absent where it lies below the range of a double; its log holds. */
  pValue?: number
  logPValue: number
}>

export type LocationTest = TailProbability &
  Readonly<{
    statistic: number
    /** On the statistic's scale, the lower first. */
    criticalValues: readonly number[]
    /** The same limits as values of the estimate. */
    criticalEstimates: readonly number[]
  }>

/**
 * Tests one value of the parameter: the p-value of the given alternative, and where its decision turns.
 *
 * @param input.value - the value in the null hypothesis, in the estimate's unit
 * @param input.significanceLevel - between 0 and 1
 */
export function testLocation(
  input: Readonly<{ pivot: Pivot; value: number; alternative: Alternative; significanceLevel: number }>,
): LocationTest {
  const { pivot, value, alternative } = input
  const statistic = statisticAt(pivot, value)
  const criticalValues = criticalValuesOf(pivot.reference, alternative, input.significanceLevel)
  return {
    statistic,
    ...tailProbability(pivot.reference, statistic, alternative),
    criticalValues,
    criticalEstimates: criticalValues.map((critical) => value + critical * pivot.standardError),
  }
}

/** The probability of a statistic at least as far out, in the alternative's tails: twice the smaller for both. */
export function tailProbability(
  reference: Continuous,
  statistic: number,
  alternative: Alternative,
): TailProbability {
  const tails = reference.tails(statistic)
  switch (alternative) {
    case 'less':
      return fromLog(tails.logLower, tails.lower)
    case 'greater':
      return fromLog(tails.logUpper, tails.upper)
    case 'two-sided':
      return doubled(fromLog(Math.min(tails.logLower, tails.logUpper), Math.min(tails.lower, tails.upper)))
    default:
      return alternative satisfies never
  }
}

/** Twice a tail probability, at most 1. */
export function doubled({ pValue, logPValue }: TailProbability): TailProbability {
  const logDoubled = Math.min(0, logPValue + Math.LN2)
  return pValue === undefined ? { logPValue: logDoubled } : fromLog(logDoubled, Math.min(1, 2 * pValue))
}

const SMALLEST_FULL_DOUBLE = 2.2250738585072014e-308

function fromLog(logPValue: number, pValue: number): TailProbability {
  return pValue >= SMALLEST_FULL_DOUBLE ? { pValue, logPValue } : { logPValue }
}

export function criticalValuesOf(
  reference: Continuous,
  alternative: Alternative,
  significanceLevel: number,
): readonly number[] {
  switch (alternative) {
    case 'less':
      return [reference.quantile(significanceLevel, 'lower')]
    case 'greater':
      return [reference.quantile(significanceLevel, 'upper')]
    case 'two-sided': {
      const upper = reference.quantile(significanceLevel / 2, 'upper')
      return [-upper, upper]
    }
    default:
      return alternative satisfies never
  }
}
