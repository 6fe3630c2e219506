import { memoized } from '../numeric/memoized'

/**
 * Both tails of a distribution at a point, and their natural logs. The smaller tail is computed directly and
 * the larger from it, so that neither loses digits.
 */
export type Tails = Readonly<{ lower: number; upper: number; logLower: number; logUpper: number }>

export type Tail = 'lower' | 'upper'

/** What every continuous distribution of the core can say. Probabilities have no unit; x has the variable's. */
export type Continuous = Readonly<{
  density: (x: number) => number
  tails: (x: number) => Tails
  /** The x that leaves `probability`, between 0 and 1, in the given tail. */
  quantile: (probability: number, tail: Tail) => number
}>

/**
 * A quantile function that keeps its last results: one check asks for the same few, and so does the next.
 *
 * @example
 * memoizedQuantile(normal.quantile)(0.05, 'upper') // 1.64485
 */
export function memoizedQuantile(quantile: Continuous['quantile']): Continuous['quantile'] {
  const max = 64
  const lower = memoized(max, (probability: number) => quantile(probability, 'lower'))
  const upper = memoized(max, (probability: number) => quantile(probability, 'upper'))
  return (probability, tail) => (tail === 'lower' ? lower : upper)(probability)
}

/**
 * Completes both tails from the log of one of them, which must be the smaller or near it.
 *
 * @example
 * tailsFromLog(Math.log(0.25), 'lower')
 * // { lower: 0.25, upper: 0.75, logLower: -1.38629, logUpper: -0.287682 }
 */
export function tailsFromLog(logProbability: number, tail: Tail): Tails {
  const probability = Math.exp(logProbability)
  const other = -Math.expm1(logProbability)
  const logOther = Math.log1p(-probability)
  return tail === 'lower'
    ? { lower: probability, upper: other, logLower: logProbability, logUpper: logOther }
    : { lower: other, upper: probability, logLower: logOther, logUpper: logProbability }
}

/**
 * The same tails seen from the other end.
 *
 * @example
 * mirrored(tailsFromLog(Math.log(0.25), 'lower')).upper // 0.25
 */
export function mirrored(tails: Tails): Tails {
  return { lower: tails.upper, upper: tails.lower, logLower: tails.logUpper, logUpper: tails.logLower }
}
