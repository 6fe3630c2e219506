import { median } from '@/statistics/describe/quantile'
import { binomial } from '@/statistics/distributions/binomial'
import { lastWhole } from '@/statistics/numeric/wholeSearch'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '@/words/en/problems'
import { countTest, tailRule } from '@/statistics/inference/countRule'
import { differencesFrom } from './differences'
import { holds, type Interval, intervalFrom } from '@/statistics/inference/interval'
import type { PointQuestion, PointTest, Procedure } from '@/statistics/inference/procedure'
import type { MeasuredSample } from '../sample'
import { shiftedLimits } from '@/statistics/inference/shiftedLimits'
import { lowerTail, upperTail } from '@/statistics/inference/tailProbability'

/**
 * The sign test of a median: how many readings lie above c, of those that differ from c, against binomial(m, ½); the
 * interval runs between two order statistics.
 *
 * Assumes independent readings only.
 *
 * @returns the procedure, or the problem `readings-needed` or `all-equal-to-claim`
 * @see W. Conover (1999), Practical Nonparametric Statistics, 3.1 and 3.4
 */
export function medianSign(sample: MeasuredSample, claimedValues: readonly number[]): Outcome<Procedure> {
  const { values, sorted } = sample
  if (!values || !sorted) return failure(problems.readingsNeeded('sign'))
  const empty = claimedValues.find((value) => differencesFrom(values, value).differences.length === 0)
  if (empty !== undefined) return failure(problems.allEqualToClaim(empty))
  const estimate = median(sorted)
  const interval = intervalOf(sorted)
  const isMirrored = claimedValues.every(
    (value) => differencesFrom(values, value).differences.length === values.length,
  )
  return success({
    method: 'sign',
    estimate,
    differenceFrom: (value) => estimate - value,
    test: (question) => testAt({ values, estimate, question, interval: isMirrored ? interval : undefined }),
    mirror: isMirrored ? interval : undefined,
    interval,
  })
}

function testAt(
  input: Readonly<{
    values: readonly number[]
    estimate: number
    question: PointQuestion
    interval: Interval | undefined
  }>,
): PointTest {
  const { values, estimate, question, interval } = input
  const { value, alternative } = question
  const { differences } = differencesFrom(values, value)
  const count = differences.filter((difference) => difference > 0).length
  const trials = differences.length
  const { tails } = binomial({ trials, probability: 0.5 })
  return countTest({
    count,
    rule: tailRule({
      alternative,
      least: 0,
      most: trials,
      atMost: (k) => lowerTail(tails(k)),
      atLeast: (k) => upperTail(tails(k - 1)),
    }),
    question,
    distribution: { name: 'binomial', n: trials, p: 0.5 },
    estimateLimits: () => (interval ? shiftedLimits({ interval: interval.endsAt, estimate, question }) : {}),
  })
}

function intervalOf(sorted: Float64Array): Interval {
  const n = sorted.length
  const { tails } = binomial({ trials: n, probability: 0.5 })
  /** The largest count that a one-sided test at this level rejects; −1 where none is small enough. */
  const rejected = (tail: number) => lastWhole((k) => tails(k).lower <= tail, -1, n)
  const endsAt = intervalFrom({
    lower: (tail) => sorted[rejected(tail) < 0 ? n : rejected(tail)],
    upper: (tail) => sorted[n - 1 - rejected(tail)],
  })
  return { method: 'order-statistics', endsAt, holds }
}
