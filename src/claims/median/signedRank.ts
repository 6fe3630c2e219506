import { normal } from '@/statistics/distributions/normal'
import { signedRank } from '@/statistics/distributions/signedRank'
import { walshAverage, walshMedian } from '@/statistics/describe/walsh'
import { lastWhole } from '@/statistics/numeric/wholeSearch'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '@/words/en/problems'
import { countTest, tailRule } from '@/statistics/inference/countRule'
import { type Ends, ends, holds, type Interval, intervalFrom } from '@/statistics/inference/interval'
import { isAtOrBeyond, type PointQuestion, type PointTest, type Procedure } from '@/statistics/inference/procedure'
import type { MeasuredSample } from '../sample'
import { type ContinuityCorrection, correctedDeviation } from '@/statistics/inference/continuity'
import { differencesFrom } from './differences'
import { shiftedLimits } from '@/statistics/inference/shiftedLimits'
import { lowerTail, tailProbability, upperTail } from '@/statistics/inference/tailProbability'

/** Up to so many ranks the distribution is computed exactly. */
export const MOST_EXACT = 50

/**
 * Wilcoxon's signed-rank test of a median: W⁺, the sum of the ranks of |xᵢ − c| over the readings above c.
 *
 * Readings equal to c are dropped. Exact without ties up to n = 50; else normal, with the variance less Σ(t³ − t)/48
 * over groups of t ties, and a continuity correction of ½ where asked for. The estimate is Hodges and Lehmann's, the
 * interval runs between two of the ordered averages of pairs.
 *
 * Assumes independent readings from a symmetric population.
 *
 * @returns the procedure, or the problem `readings-needed` or `all-equal-to-claim`
 * @see F. Wilcoxon (1945), Biometrics Bulletin 1, 80-83; M. Hollander & D. Wolfe (1999), Nonparametric Statistical
 *   Methods, 3.1 to 3.3
 */
export function medianSignedRank(
  sample: MeasuredSample,
  correction: ContinuityCorrection,
  claimedValues: readonly number[],
): Outcome<Procedure> {
  const { values, sorted } = sample
  if (!values || !sorted) return failure(problems.readingsNeeded('signed-rank'))
  const ranks = claimedValues.map((value) => rank(values, value))
  const empty = ranks.findIndex(({ n }) => n === 0)
  if (empty >= 0) return failure(problems.allEqualToClaim(claimedValues[empty]!))
  const estimate = walshMedian(sorted)
  const interval = intervalOf(sorted, correction)
  const isUntied = ranks.every(({ n, tieSum }) => n === values.length && tieSum === 0)
  return success({
    method: 'signed-rank',
    estimate,
    differenceFrom: (value) => estimate - value,
    test: (question) =>
      testAt({
        ranks: rank(values, question.value),
        correction,
        question,
        estimateLimits: isUntied ? shiftedLimits({ interval: interval.endsAt, estimate, question }) : {},
      }),
    mirror: isUntied ? interval : undefined,
    interval,
  })
}

type Ranks = Readonly<{
  /** Readings that differ from the value. */
  n: number
  positive: number
  /** Σ(t³ − t) over groups of t tied ranks. */
  tieSum: number
}>

function rank(values: readonly number[], value: number): Ranks {
  const { differences, isTied } = differencesFrom(values, value)
  const n = differences.length
  let [positive, tieSum] = [0, 0]
  for (let start = 0; start < n;) {
    let end = start + 1
    while (end < n && isTied(end)) end += 1
    const size = end - start
    const above = differences.slice(start, end).filter((difference) => difference > 0).length
    positive += ((start + 1 + end) / 2) * above
    tieSum += size ** 3 - size
    start = end
  }
  return { n, positive, tieSum }
}

type RankQuestion = Readonly<{
  ranks: Ranks
  correction: ContinuityCorrection
  question: PointQuestion
  estimateLimits: Ends
}>

function testAt({ ranks, correction, question, estimateLimits }: RankQuestion): PointTest {
  const { n, positive, tieSum } = ranks
  if (n > MOST_EXACT || tieSum > 0) return normalTest({ ranks, correction, question, estimateLimits })
  const { tails } = signedRank(n)
  return countTest({
    count: positive,
    rule: tailRule({
      alternative: question.alternative,
      least: 0,
      most: pairs(n),
      atMost: (sum) => lowerTail(tails(sum)),
      atLeast: (sum) => upperTail(tails(sum - 1)),
    }),
    question,
    distribution: { name: 'signed-rank', n },
    estimateLimits: () => estimateLimits,
  })
}

function normalTest({ ranks, correction, question, estimateLimits }: RankQuestion): PointTest {
  const { n, positive, tieSum } = ranks
  const { alternative, significanceLevel } = question
  const centre = pairs(n) / 2
  const deviation = deviationOf(n, tieSum)
  const half = correction === 'none' ? 0 : 0.5
  const z = correctedDeviation(positive - centre, half, alternative) / deviation
  const reach = normal.quantile(
    alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel,
    'upper',
  )
  const limits = ends({
    lower: alternative === 'greater' ? undefined : centre - reach * deviation - half,
    upper: alternative === 'less' ? undefined : centre + reach * deviation + half,
  })
  return {
    statistic: positive,
    distribution: { name: 'normal' },
    ...tailProbability(normal, z, alternative),
    limits,
    estimateLimits,
    isBeyond: isAtOrBeyond(positive, limits),
    intermediate: { n, tieSum, centre, deviation, z },
  }
}

function intervalOf(sorted: Float64Array, correction: ContinuityCorrection): Interval {
  const n = sorted.length
  /** The largest sum that a one-sided test at this level rejects; −1 where none is small enough. */
  const rejected = (tail: number) => {
    if (n <= MOST_EXACT) {
      const { tails } = signedRank(n)
      return lastWhole((sum) => tails(sum).lower <= tail, -1, pairs(n))
    }
    const reach = normal.quantile(tail, 'upper') * deviationOf(n, 0)
    return Math.floor(pairs(n) / 2 - reach - (correction === 'none' ? 0 : 0.5))
  }
  const at = (place: number) => walshAverage(sorted, place)
  const endsAt = intervalFrom({
    lower: (tail) => (rejected(tail) < 0 ? undefined : at(rejected(tail) + 1)),
    upper: (tail) => (rejected(tail) < 0 ? undefined : at(pairs(n) - rejected(tail))),
  })
  return { method: 'hodges-lehmann', endsAt, holds }
}

/** n(n + 1)/2: the largest sum of ranks, and how many averages of pairs there are. */
function pairs(n: number): number {
  return (n * (n + 1)) / 2
}

function deviationOf(n: number, tieSum: number): number {
  return Math.sqrt((n * (n + 1) * (2 * n + 1)) / 24 - tieSum / 48)
}
