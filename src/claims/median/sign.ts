import { z } from 'zod'
import { median } from '@/statistics/describe/quantile'
import { binomial } from '@/statistics/distributions/binomial'
import { countTest, tailRule } from '@/statistics/inference/countTest'
import { holds, type Interval, intervalFrom } from '@/statistics/inference/interval'
import type { PointQuestion, PointTest } from '@/statistics/inference/procedure'
import { shiftedLimits } from '@/statistics/inference/shiftedLimits'
import { isWithin, lowerTail, upperTail } from '@/statistics/inference/tailProbability'
import { lastWhole } from '@/statistics/numeric/wholeSearch'
import type { MethodDefinition } from '../terms/definition'
import { valuesOf } from '../terms/hypotheses'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { countSteps } from '../working/countSteps'
import { differencesFrom } from './differences'

const figures = z.strictObject({})
type Figures = z.infer<typeof figures>

/**
 * The sign test of a median: how many readings lie above c, of those that differ from c, against binomial(m, ½); the
 * interval runs between two order statistics.
 *
 * Assumes independent readings only. Problems: `readings-needed`, `no-variation` (every reading is c).
 *
 * @see W. Conover (1999), Practical Nonparametric Statistics, 3.1 and 3.4
 */
export const sign: MethodDefinition<'sign', Figures, 'measured'> = {
  name: 'sign',
  parameters: ['median'],
  needs: ['readings'],
  options: [],
  restsOn: 'none',
  isExact: () => true,
  dependsOn: 'values',
  work: { looks: 1 },
  interval: 'own',
  turnedRound: [],
  statistic: 'count',
  symbol: 'x',
  formula: 'x above c, of those not equal to c, against binomial(n, ½)',
  source: 'Conover (1999), Practical Nonparametric Statistics',
  figures,
  make({ sample: { measured }, hypotheses }) {
    const { values, sorted } = measured
    if (!values || !sorted) return failure(problems.readingsNeeded('sign'))
    const differing = (value: number) => differencesFrom(values, value).differences.length
    const claimedValues = valuesOf(hypotheses)
    const empty = claimedValues.find((value) => differing(value) === 0)
    if (empty !== undefined) return failure(problems.allEqualToClaim(empty))
    const estimate = median(sorted)
    const interval = intervalOf(sorted)
    const isMirrored = claimedValues.every((value) => differing(value) === values.length)
    const mirror = isMirrored ? interval : undefined
    return success({
      estimate,
      differenceFrom: (value) => estimate - value,
      test: (question) => testAt({ values, estimate, question, interval: mirror }),
      mirror,
      interval,
    })
  },
  working: ({ part }) => countSteps('readings-above', part),
}

function testAt(
  input: Readonly<{
    values: readonly number[]
    estimate: number
    question: PointQuestion
    interval: Interval | undefined
  }>,
): PointTest<Figures> {
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
      min: 0,
      max: trials,
      atMost: (k) => lowerTail(tails(k)),
      atLeast: (k) => upperTail(tails(k - 1)),
    }),
    question,
    distribution: { name: 'binomial', n: trials, p: 0.5 },
    estimateLimits: () => (interval ? shiftedLimits({ interval: interval.endsAt, estimate, question }) : {}),
    figures: {},
  })
}

function intervalOf(sorted: Float64Array): Interval {
  const n = sorted.length
  const { tails } = binomial({ trials: n, probability: 0.5 })
  /** The largest count that a one-sided test at this level rejects; −1 where none is small enough. */
  const rejected = (tail: number) => lastWhole((k) => isWithin(tails(k).lower, tail), -1, n)
  const endsAt = intervalFrom({
    lower: (tail) => sorted[rejected(tail) < 0 ? n : rejected(tail)],
    upper: (tail) => sorted[n - 1 - rejected(tail)],
  })
  return { method: 'order-statistics', endsAt, holds }
}
