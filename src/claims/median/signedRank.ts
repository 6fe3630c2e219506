import * as z from 'zod/mini'
import { walshAverage, walshMedian } from '@/statistics/describe/walsh'
import { normal } from '@/statistics/distributions/normal'
import { signedRank as signedRankDistribution, sumOfSigned } from '@/statistics/distributions/signedRank'
import { correctedDeviation } from '@/statistics/inference/continuity'
import { countTest, tailRule } from '@/statistics/inference/countTest'
import { type Ends, ends, holds, type Interval, intervalFrom, mapEnds } from '@/statistics/inference/interval'
import { isAtOrBeyond, type PointQuestion, type PointTest } from '@/statistics/inference/procedure'
import { shiftedLimits } from '@/statistics/inference/shiftedLimits'
import { isWithin, lowerTail, tailProbability, upperTail } from '@/statistics/inference/tailProbability'
import { lastWhole } from '@/statistics/numeric/wholeSearch'
import type { MethodDefinition } from '../terms/definition'
import { valuesOf } from '../terms/hypotheses'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { warnings } from '../terms/warnings'
import {
  computed,
  type Formula,
  fraction,
  given,
  joined,
  root,
  type Step,
  step,
  symbol,
} from '../terms/formula'
import { N, SIGMA } from '../working/symbols'
import { deviationOf, pairs, type Ranks, ranksOf } from './ranks'

/** Up to so many ranks the distribution is computed exactly. */
export const MAX_EXACT = 50
/** Of the step between sums: the correction for continuity. */
const HALF = 0.5
/** So many looks at each reading does a test cost. */
const LOOKS = 20

const figures = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('exact') }),
  z.strictObject({
    by: z.literal('normal'),
    /** Readings that differ from the value. */
    n: z.number(),
    /** Σ(t³ − t) over groups of t tied ranks. */
    tieSum: z.number(),
    /** The mean and the standard deviation of W⁺ under the value, and how many of these it lies from it. */
    centre: z.number(),
    deviation: z.number(),
    z: z.number(),
  }),
])
type Figures = z.infer<typeof figures>

/**
 * Wilcoxon's signed-rank test of a median: W⁺, the sum of the ranks of |xᵢ − c| over the readings above c.
 *
 * Readings equal to c are dropped. Exact up to n = 50, given the middle ranks of those that are tied; beyond it normal, with
 * the variance less Σ(t³ − t)/48 over groups of t ties and a continuity correction of ½. The estimate is Hodges and
 * Lehmann's, the interval runs between two of the ordered averages of pairs.
 *
 * Assumes independent readings from a symmetric population. Problems: `readings-needed`, `no-variation` (every reading
 * is c).
 *
 * @see F. Wilcoxon (1945), Biometrics Bulletin 1, 80-83; M. Hollander & D. Wolfe (1999), Nonparametric Statistical
 *   Methods, 3.1 to 3.3
 */
export const signedRank: MethodDefinition<'signed-rank', Figures, 'measured'> = {
  name: 'signed-rank',
  parameters: ['median'],
  needs: ['readings'],
  options: [],
  restsOn: 'symmetry',
  isExact: ({ by }) => by === 'exact',
  robust: 'sign',
  dependsOn: 'values',
  work: { looks: LOOKS },
  interval: 'own',
  turnedRound: [],
  statistic: 'count',
  symbol: 'W⁺',
  formula: 'W⁺ = sum of the ranks of |x − c| above c',
  source: 'Wilcoxon (1945), Biometrics Bulletin 1, 80-83; Hollander & Wolfe (1999)',
  figures,
  make({ sample: { measured }, hypotheses }) {
    const { values, sorted } = measured
    if (!values || !sorted) return failure(problems.readingsNeeded('signed-rank'))
    const claimedValues = valuesOf(hypotheses)
    const ranks = claimedValues.map((value) => ranksOf(values, value))
    const empty = ranks.findIndex(({ n }) => n === 0)
    if (empty >= 0) return failure(problems.allEqualToClaim(claimedValues[empty]!))
    const estimate = walshMedian(sorted)
    const interval = intervalOf(sorted)
    const isUntied = ranks.every(({ n, tieSum }) => n === values.length && tieSum === 0)
    return success({
      estimate,
      differenceFrom: (value) => estimate - value,
      test: (question) =>
        testAt({
          ranks: ranksOf(values, question.value),
          question,
          estimateLimits: isUntied ? shiftedLimits({ interval: interval.endsAt, estimate, question }) : {},
        }),
      mirror: isUntied ? interval : undefined,
      interval,
    })
  },
  working({ part: { statistic, figures: own } }) {
    const sum = step('rank-sum', W_PLUS, given(statistic))
    return own.by === 'exact' ? [sum] : [sum, ...normalSteps(own)]
  },
  picture: {
    reference(own) {
      if (own.by === 'exact' || !own.deviation) return undefined
      const { centre, deviation } = own
      return {
        density: (x) => normal.density((x - centre) / deviation) / deviation,
        tails: (x) => normal.tails((x - centre) / deviation),
        quantile: (probability, tail) => centre + deviation * normal.quantile(probability, tail),
      }
    },
  },
  warnings({ parts }) {
    const lacking = parts.reduce(
      (sum, { criticalValues, criticalEstimates }) => sum + criticalValues.length - criticalEstimates.length,
      0,
    )
    return lacking > 0 ? [warnings.noCriticalEstimates()] : []
  },
}

const W_PLUS = symbol('W⁺', 'W^+')

/** The mean and the spread of a sum of ranks, and how many spreads it lies from its mean. */
function normalSteps({
  n,
  tieSum,
  centre,
  deviation,
  z: distance,
}: Extract<Figures, { by: 'normal' }>): readonly Step[] {
  const product = (count: Formula) => joined(count, '·', joined(count, '+', given(1)))
  const square = (count: Formula, ties: Formula) =>
    root(
      joined(
        fraction(joined(product(count), '·', joined(joined(given(2), '·', count), '+', given(1))), given(24)),
        '−',
        fraction(ties, given(48)),
      ),
    )
  const mean = symbol('μ', '\\mu')
  return [
    step(
      'rank-sum-mean',
      mean,
      fraction(product(N), given(4)),
      fraction(product(given(n)), given(4)),
      computed(centre),
    ),
    step(
      'rank-sum-deviation',
      SIGMA,
      square(N, symbol('Σ(t³ − t)', '\\sum(t^3-t)')),
      square(given(n), given(tieSum)),
      computed(deviation),
    ),
    step('rank-sum-distance', symbol('z'), fraction(joined(W_PLUS, '−', mean), SIGMA), computed(distance)),
  ]
}

type RankQuestion = Readonly<{
  ranks: Ranks
  question: PointQuestion
  estimateLimits: Ends
}>

function testAt(asked: RankQuestion): PointTest<Figures> {
  return asked.ranks.n > MAX_EXACT ? normalTest(asked) : exactTest(asked)
}

/** Counts in whole numbers: where ranks are tied, in twice their middle ranks. */
function exactTest({ ranks, question, estimateLimits }: RankQuestion): PointTest<Figures> {
  const { n, positive, tieSum } = ranks
  const scale = tieSum > 0 ? 2 : 1
  const { tails } = sumOfSigned(ranks.ranks.map((rank) => scale * rank))
  const counted = countTest<Figures>({
    count: scale * positive,
    rule: tailRule({
      alternative: question.alternative,
      min: 0,
      max: scale * pairs(n),
      atMost: (sum) => lowerTail(tails(sum)),
      atLeast: (sum) => upperTail(tails(sum - 1)),
    }),
    question,
    distribution: { name: 'signed-rank', n, ...(tieSum > 0 ? { ranks: ranks.ranks } : {}) },
    estimateLimits: () => estimateLimits,
    figures: { by: 'exact' },
  })
  return { ...counted, statistic: positive, limits: mapEnds(counted.limits, (sum) => sum / scale) }
}

function normalTest({ ranks, question, estimateLimits }: RankQuestion): PointTest<Figures> {
  const { n, positive, tieSum } = ranks
  const { alternative, significanceLevel } = question
  const centre = pairs(n) / 2
  const deviation = deviationOf(n, tieSum)
  const distance = correctedDeviation(positive - centre, HALF, alternative) / deviation
  const margin = normal.quantile(
    alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel,
    'upper',
  )
  const limits = ends({
    lower: alternative === 'greater' ? undefined : centre - margin * deviation - HALF,
    upper: alternative === 'less' ? undefined : centre + margin * deviation + HALF,
  })
  return {
    statistic: positive,
    distribution: { name: 'normal' },
    ...tailProbability(normal, distance, alternative),
    limits,
    estimateLimits,
    isBeyond: isAtOrBeyond(positive, limits),
    figures: { by: 'normal', n, tieSum, centre, deviation, z: distance },
  }
}

function intervalOf(sorted: Float64Array): Interval {
  const n = sorted.length
  /** The largest sum that a one-sided test at this level rejects; −1 where none is small enough. */
  const rejected = (tail: number) => {
    if (n <= MAX_EXACT) {
      const { tails } = signedRankDistribution(n)
      return lastWhole((sum) => isWithin(tails(sum).lower, tail), -1, pairs(n))
    }
    const margin = normal.quantile(tail, 'upper') * deviationOf(n, 0)
    return Math.floor(pairs(n) / 2 - margin - HALF)
  }
  const at = (place: number) => walshAverage(sorted, place)
  const endsAt = intervalFrom({
    lower: (tail) => (rejected(tail) < 0 ? undefined : at(rejected(tail) + 1)),
    upper: (tail) => (rejected(tail) < 0 ? undefined : at(pairs(n) - rejected(tail))),
  })
  return { method: 'hodges-lehmann', endsAt, holds }
}
