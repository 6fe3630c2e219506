import * as z from 'zod/mini'
import { noncentralT } from '@/statistics/distributions/noncentralT'
import { noncentralityAt } from '@/statistics/distributions/noncentrality'
import { normal } from '@/statistics/distributions/normal'
import { memoizedQuantile } from '@/statistics/distributions/tails'
import { holds, type Interval, intervalFrom, mapEnds } from '@/statistics/inference/interval'
import { criticalLimits } from '@/statistics/inference/pivot'
import { isAtOrBeyond, type PointQuestion, type PointTest } from '@/statistics/inference/procedure'
import { tailProbability } from '@/statistics/inference/tailProbability'
import { powerOfNormalShare } from '@/statistics/power/normalSharePower'
import type { MethodDefinition } from '../terms/definition'
import { computed, fraction, given, joined, root, step, symbol } from '../terms/formula'
import { valuesOf } from '../terms/hypotheses'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { distanceIn } from '../terms/sampleFigures'
import { N, S, X_BAR } from '../working/symbols'
import { planOfShares } from './planning'

const figures = z.strictObject({
  /** What readings were held against, with its guard band. */
  limit: z.number(),
  side: z.enum(['at-least', 'at-most']),
  /** The share of items that does not count, with the digits that 1 − the estimate would lose. */
  notCounting: z.number(),
})
type Figures = z.infer<typeof figures>
type Seen = Readonly<{ n: number; k: number; figures: Figures }>

/**
 * The test of a share of items by their readings, of a normal population: T = √n·K against the noncentral t distribution on
 * n − 1 degrees of freedom with noncentrality √n·z(p₀), K the distance from the limit to the mean in standard deviations.
 *
 * The interval holds the shares whose noncentrality leaves a tail beyond T; the estimate is Φ(K). The shape matters at
 * every n here, and most far out. Problems: `limit-needed`, `mean-needed`, `too-few-readings` (n < 2),
 * `standard-deviation-needed`, `no-variation`, `share-without-spread` (a value of 0 or 1).
 *
 * @see D. Owen (1968), Technometrics 10, 445-478; ISO 16269-6:2014
 */
export const normalShare: MethodDefinition<'normal-share', Figures, 'limited'> = {
  name: 'normal-share',
  parameters: ['proportion'],
  needs: ['limit'],
  options: [],
  restsOn: 'readings',
  robust: 'exact-binomial',
  dependsOn: 'moments',
  work: { looks: 1 },
  interval: 'own',
  turnedRound: [],
  statistic: 'figure',
  symbol: 'T',
  formula: 'T = √n · (x̄ − L) ÷ s against noncentral t with √n · z(p₀)',
  source: 'Owen (1968), Technometrics 10, 445-478; ISO 16269-6',
  figures,
  make({ sample, hypotheses }) {
    if (sample.kind !== 'limited') return failure(problems.limitNeeded('normal-share'))
    const { measured, limit } = sample
    const { sampleSize: n } = measured
    if (measured.mean === undefined) return failure(problems.meanNeeded())
    if (n < 2) return failure(problems.tooFewReadings(n, 2))
    if (measured.standardDeviation === undefined) return failure(problems.standardDeviationNeeded())
    const k = distanceIn(measured, limit)
    if (k === undefined) return failure(problems.noVariation(measured.path, 'normal-share'))
    const edge = valuesOf(hypotheses).find((value) => value <= 0 || value >= 1)
    if (edge !== undefined) return failure(problems.shareWithoutSpread(edge))
    const share = normal.tails(k)
    const interval = intervalOf({ n, k })
    return success({
      estimate: share.lower,
      differenceFrom: (value) => share.lower - value,
      test: (question) =>
        testAt(
          { n, k, figures: { limit: limit.value, side: limit.side, notCounting: share.upper } },
          question,
        ),
      mirror: interval,
      interval,
    })
  },
  working({ sample, part, value }) {
    const { limit, side } = part.figures
    const k = sample.k!
    const gap = (mean: typeof N, at: typeof N) =>
      side === 'at-least' ? joined(mean, '−', at) : joined(at, '−', mean)
    const z = normal.quantile(value, 'lower')
    return [
      step(
        'share-distance',
        symbol('K'),
        fraction(gap(X_BAR, symbol('L')), S),
        fraction(gap(given(sample.mean!), given(limit)), given(sample.standardDeviation!)),
        computed(k),
      ),
      step(
        'share-noncentrality',
        symbol('δ₀', '\\delta_0'),
        joined(root(N), '·', symbol('z(p₀)', 'z(p_0)')),
        joined(root(given(sample.n)), '·', computed(z)),
        computed(Math.sqrt(sample.n) * z),
      ),
      step(
        'share-statistic',
        symbol('T'),
        joined(root(N), '·', symbol('K')),
        joined(root(given(sample.n)), '·', computed(k)),
        computed(part.statistic),
      ),
    ]
  },
  picture: { estimateAt: ({ sample: { n } }, statistic) => normal.tails(statistic / Math.sqrt(n)).lower },
  planning: { ...planOfShares({ power: powerOfNormalShare, plansRange: false }), leastSize: 2 },
}

function testAt({ n, k, figures }: Seen, question: PointQuestion): PointTest<Figures> {
  const { value, alternative, significanceLevel } = question
  const [df, ncp] = [n - 1, Math.sqrt(n) * normal.quantile(value, 'lower')]
  const reference = noncentralT({ degreesOfFreedom: df, noncentrality: ncp })
  const statistic = Math.sqrt(n) * k
  const limits = criticalLimits(reference, alternative, significanceLevel)
  return {
    statistic,
    distribution: { name: 'noncentral-t', df, ncp },
    ...tailProbability(reference, statistic, alternative),
    limits,
    estimateLimits: mapEnds(limits, (limit) => normal.tails(limit / Math.sqrt(n)).lower),
    isBeyond: isAtOrBeyond(statistic, limits),
    figures,
  }
}

function intervalOf({ n, k }: Pick<Seen, 'n' | 'k'>): Interval {
  const root = Math.sqrt(n)
  const noncentrality = memoizedQuantile((tail, side) =>
    noncentralityAt({ t: root * k, degreesOfFreedom: n - 1, tail, side }),
  )
  const shareAt = (tail: number, side: 'lower' | 'upper') =>
    normal.tails(noncentrality(tail, side) / root).lower
  return {
    method: 'normal-share',
    endsAt: intervalFrom({
      lower: (tail) => shareAt(tail, 'upper'),
      upper: (tail) => shareAt(tail, 'lower'),
    }),
    holds,
  }
}
