import { binomial } from '@/statistics/distributions/binomial'
import { countTest, tailRule } from '@/statistics/inference/countTest'
import { type Ends, type Interval, intervalFrom } from '@/statistics/inference/interval'
import type { Censored } from '../terms/sample'
import { areEqual } from './differences'
import type { PointQuestion, PointTest } from '@/statistics/inference/procedure'
import { shiftedLimits } from '@/statistics/inference/shiftedLimits'
import { isWithin, lowerTail, upperTail } from '@/statistics/inference/tailProbability'
import { lastWhole } from '@/statistics/numeric/wholeSearch'

/**
 * Tests how many of some readings lie above a value against binomial(m, ½).
 *
 * @param input.interval - what mirrors the test; absent where nothing does
 */
export function testCountAbove<Own>(
  input: Readonly<{
    count: number
    trials: number
    estimate: number
    question: PointQuestion
    interval: Interval | undefined
    figures: Own
  }>,
): PointTest<Own> {
  const { count, trials, estimate, question, interval, figures } = input
  const { tails } = binomial({ trials, probability: 0.5 })
  return countTest({
    count,
    rule: tailRule({
      alternative: question.alternative,
      min: 0,
      max: trials,
      atMost: (k) => lowerTail(tails(k)),
      atLeast: (k) => upperTail(tails(k - 1)),
    }),
    question,
    distribution: { name: 'binomial', n: trials, p: 0.5 },
    estimateLimits: () => (interval ? shiftedLimits({ interval: interval.endsAt, estimate, question }) : {}),
    figures,
  })
}

const EVERYWHERE = { from: -Infinity, to: Infinity }

/** The ends are readings, and a median may be one of them. */
const holdsWithEnds = ({ lower, upper }: Ends, value: number): boolean =>
  (lower === undefined || value > lower || areEqual(lower, value)) &&
  (upper === undefined || value < upper || areEqual(upper, value))

/**
 * The interval of a median between two of the readings in their order, ascending, both ends in it.
 *
 * @param known - where every reading is known to lie on one side; an end elsewhere is left out
 * @see W. Conover (1999), Practical Nonparametric Statistics, 3.2
 */
export function orderStatistics(
  sorted: Float64Array,
  known: Pick<Censored, 'from' | 'to'> = EVERYWHERE,
): Interval {
  const n = sorted.length
  const { tails } = binomial({ trials: n, probability: 0.5 })
  /** The largest count that a one-sided test at this level rejects; −1 where none is small enough. */
  const rejected = (tail: number) => lastWhole((k) => isWithin(tails(k).lower, tail), -1, n)
  const knownAt = (place: number) => {
    const reading = sorted[place]
    return reading !== undefined && reading >= known.from && reading <= known.to ? reading : undefined
  }
  const endsAt = intervalFrom({
    lower: (tail) => knownAt(rejected(tail) < 0 ? n : rejected(tail)),
    upper: (tail) => knownAt(n - 1 - rejected(tail)),
  })
  const trueLevel: Interval['trueLevel'] = ({ beyond, sides }) => {
    const ways = sides === 'two-sided' ? 2 : 1
    const count = rejected(beyond / ways)
    return count < 0 ? undefined : 1 - ways * tails(count).lower
  }
  return { method: 'order-statistics', endsAt, holds: holdsWithEnds, trueLevel }
}
