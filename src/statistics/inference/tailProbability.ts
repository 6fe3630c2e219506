import type { Alternative } from './alternative'
import type { Continuous, Tails } from '../distributions/tails'

export type TailProbability = Readonly<{
  /** Absent where it lies below the range of a double; its log holds. */
  pValue?: number
  /** Natural log; −∞ where the probability is exactly 0. */
  logPValue: number
}>

const SMALLEST_FULL_DOUBLE = 2.2250738585072014e-308

/** How far sums of probabilities that are exactly a level may round away from it. */
const SLACK = 1e-12

/**
 * Whether a probability is at most a level, as p = α rejects; one that is the level but for its last digits is.
 *
 * @example
 * isWithin(0.05000000000000003, 0.05) // true
 */
export const isWithin = (probability: number, level: number): boolean => probability <= level * (1 + SLACK)

/**
 * A probability as a result carries it: one of exactly 0 has no log to give.
 *
 * @example
 * withFiniteLog({ pValue: 0, logPValue: -Infinity }) // { pValue: 0 }
 */
export function withFiniteLog({
  pValue,
  logPValue,
}: TailProbability): Readonly<{ pValue?: number; logPValue?: number }> {
  return {
    ...(pValue === undefined ? {} : { pValue }),
    ...(logPValue === -Infinity ? {} : { logPValue }),
  }
}

/**
 * The probability of a statistic at least as far out, in the alternative's tails: twice the smaller for both.
 *
 * @example
 * tailProbability(studentT(11), -2.2, 'less') // { pValue: 0.0250431, logPValue: -3.68716 }
 */
export function tailProbability(
  reference: Continuous,
  statistic: number,
  alternative: Alternative,
): TailProbability {
  const tails = reference.tails(statistic)
  switch (alternative) {
    case 'less':
      return lowerTail(tails)
    case 'greater':
      return upperTail(tails)
    case 'two-sided':
      return doubledSmaller(lowerTail(tails), upperTail(tails))
    default:
      return alternative satisfies never
  }
}

/**
 * The p-value of a statistic that counts as extreme below: the lower tail.
 *
 * @example
 * lowerTail(normal.tails(-1.96)) // { pValue: 0.0249979, logPValue: -3.68896 }
 */
export function lowerTail({ lower, logLower }: Tails): TailProbability {
  return fromLog(logLower, lower)
}

/**
 * That of one that counts as extreme above: the upper tail.
 *
 * @example
 * upperTail(normal.tails(1.96)) // { pValue: 0.0249979, logPValue: -3.68896 }
 */
export function upperTail({ upper, logUpper }: Tails): TailProbability {
  return fromLog(logUpper, upper)
}

/**
 * Twice the smaller of two tails, at most 1.
 *
 * @example
 * doubledSmaller(fromLog(Math.log(0.02)), fromLog(Math.log(0.98))).pValue // 0.04
 */
export function doubledSmaller(first: TailProbability, second: TailProbability): TailProbability {
  return doubled(smaller(first, second))
}

/**
 * Twice a tail probability, at most 1.
 *
 * @example
 * doubled(fromLog(Math.log(0.02))).pValue // 0.04
 */
export function doubled({ pValue, logPValue }: TailProbability): TailProbability {
  const logDoubled = Math.min(0, logPValue + Math.LN2)
  return pValue === undefined ? { logPValue: logDoubled } : fromLog(logDoubled, Math.min(1, 2 * pValue))
}

/**
 * The smaller of two p-values, by their logs where one lies below the range of a double.
 *
 * @example
 * smaller(fromLog(Math.log(0.02)), fromLog(Math.log(0.98))).pValue // 0.02
 */
export function smaller(first: TailProbability, second: TailProbability): TailProbability {
  const isSecond =
    first.pValue === undefined || second.pValue === undefined
      ? second.logPValue < first.logPValue
      : second.pValue < first.pValue
  const { pValue, logPValue } = isSecond ? second : first
  return pValue === undefined ? { logPValue } : { pValue, logPValue }
}

/**
 * A probability with its log, without the former where it is not 0 but underflows.
 *
 * @example
 * fromLog(-800) // { logPValue: -800 }
 */
export function fromLog(logPValue: number, pValue = Math.exp(logPValue)): TailProbability {
  const isThere = pValue >= SMALLEST_FULL_DOUBLE || logPValue === -Infinity
  return isThere ? { pValue, logPValue } : { logPValue }
}
