import { isWithin } from './tailProbability'
import { distributionByName } from '../distributions/byName'
import { type NamedDistribution, stepOf } from '../distributions/named'
import type { Reference } from '../distributions/reference'

/** Where what is rejected begins, and the probability of what is: of a discrete distribution mostly less than the level. */
export type CriticalValue = Readonly<{ x: number; probability: number }>

/** One is absent where even the farthest value is more probable than the level. */
export type CriticalValues = Readonly<{ lower?: CriticalValue; upper?: CriticalValue }>

/**
 * The critical values of a distribution where one tail has the whole level: the largest x with P(X ≤ x), and the smallest with
 * P(X ≥ x), of no more than it.
 *
 * @param level - between 0 and 1
 * @example
 * criticalValues({ name: 'binomial', n: 20, p: 0.5 }, 0.05).lower.x // 5
 */
export function criticalValues(distribution: NamedDistribution, level: number): CriticalValues {
  const known = distributionByName(distribution)
  return stepOf(distribution) === undefined ? endsOfCurve(known, level) : endsOfWhole(known, level)
}

function endsOfCurve({ quantile, tails }: Reference, level: number): CriticalValues {
  const [low, high] = [quantile(level, 'lower'), quantile(level, 'upper')]
  return {
    lower: { x: low, probability: tails(low).lower },
    upper: { x: high, probability: tails(high).upper },
  }
}

function endsOfWhole({ quantile, tails }: Reference, level: number): CriticalValues {
  const reached = quantile(level, 'lower')
  const low = isWithin(tails(reached).lower, level) ? reached : reached - 1
  // The smallest x with P(X > x) within the level; what is rejected begins one above it.
  const high = quantile(level, 'upper') + 1
  const [below, above] = [tails(low), tails(high - 1)]
  return {
    ...(below.logLower === -Infinity ? {} : { lower: { x: low, probability: below.lower } }),
    ...(above.logUpper === -Infinity ? {} : { upper: { x: high, probability: above.upper } }),
  }
}
