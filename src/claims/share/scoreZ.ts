import * as z from 'zod/mini'
import { normal } from '@/statistics/distributions/normal'
import { type ContinuityCorrection, correctedDeviation } from '@/statistics/inference/continuity'
import { type Pivot, pivotProcedure } from '@/statistics/inference/pivot'
import type { CountSample } from '@/statistics/inference/shareInterval'
import { wilsonLimit } from '@/statistics/inference/wilson'
import { productRemainder } from '@/statistics/numeric/product'
import { powerOfScore } from '@/statistics/power/sharePower'
import type { MethodDefinition } from '../terms/definition'
import { valuesOf } from '../terms/hypotheses'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { computed, type Formula, fraction, given, joined, root, step, symbol } from '../terms/formula'
import { CLAIMED_SHARE, N, STANDARD_ERROR } from '../working/symbols'
import { planOfShares } from './planning'

const figures = z.strictObject({
  /** √(n p₀ (1 − p₀)), of the count. */
  countError: z.number(),
  /** What a continuity correction added to the count: −½, ½ or 0. */
  moved: z.number(),
})
type Figures = z.infer<typeof figures>

/** The share that would give a statistic: the counts' limits lie a half beyond where they are corrected. */
const atStatistic = (statistic: number, value: number, n: number, half = 0) =>
  value + (statistic * countErrorAt(value, n) + half) / n

const countErrorAt = (value: number, n: number) => Math.sqrt(n * value * (1 - value))

/**
 * The score test of a share: z = (x − n p₀) / √(n p₀ (1 − p₀)), normal; its interval is Wilson's.
 *
 * With the continuity correction the count is moved by a half towards n p₀, at most onto it. Problems:
 * `share-without-spread` (a value of 0 or 1).
 *
 * @see ISO 11453:1996; R. Newcombe (1998), Statistics in Medicine 17, 857-872, method 4
 */
export const scoreZ: MethodDefinition<'score-z', Figures, 'counted'> = {
  name: 'score-z',
  parameters: ['proportion'],
  needs: [],
  options: ['continuityCorrection'],
  restsOn: 'none',
  robust: 'exact-binomial',
  needsExpectedCounts: true,
  dependsOn: 'values',
  work: { looks: 1 },
  interval: 'chosen',
  turnedRound: ['continuityCorrection'],
  statistic: 'figure',
  symbol: 'z',
  formula: 'z = (x − n p₀) ÷ √(n p₀ (1 − p₀))',
  source: 'ISO 11453; Newcombe (1998), Statistics in Medicine 17, 857-872',
  figures,
  make({ sample: { counted }, hypotheses, options }) {
    const edge = valuesOf(hypotheses).find((value) => value <= 0 || value >= 1)
    if (edge !== undefined) return failure(problems.shareWithoutSpread(edge))
    return success(pivotProcedure(scorePivot(counted, options.continuityCorrection ? 'continuity' : 'none')))
  },
  working({ sample: { n, successes = 0 }, value, part }) {
    const { countError, moved } = part.figures
    const errorOf = (size: Formula, p: Formula) =>
      root(joined(joined(size, '·', p), '·', joined(given(1), '−', p)))
    const count =
      moved === 0 ? given(successes) : joined(given(successes), moved < 0 ? '−' : '+', given(Math.abs(moved)))
    return [
      step(
        'standard-error-of-count',
        STANDARD_ERROR,
        errorOf(N, CLAIMED_SHARE),
        errorOf(given(n), given(value)),
        computed(countError),
      ),
      step(
        'statistic',
        symbol('z'),
        fraction(joined(symbol('x'), '−', joined(N, '·', CLAIMED_SHARE)), STANDARD_ERROR),
        fraction(joined(count, '−', joined(given(n), '·', given(value))), computed(countError)),
        computed(part.statistic),
      ),
    ]
  },
  picture: { estimateAt: ({ sample, value }, statistic) => atStatistic(statistic, value, sample.n) },
  planning: planOfShares({ power: powerOfScore, plansRange: true }),
}

function scorePivot(
  { successes, sampleSize: n }: CountSample,
  correction: ContinuityCorrection,
): Pivot<Figures> {
  const half = correction === 'none' ? 0 : 0.5
  const share = successes / n
  const deviationAt = (value: number) => successes - n * value - productRemainder(n, value)
  return {
    interval: 'score-z',
    estimate: share,
    standardError: Math.sqrt((share * (1 - share)) / n),
    differenceFrom: (value) => share - value,
    distribution: { name: 'normal' },
    reference: normal,
    figuresAt: (value, alternative) => {
      const deviation = deviationAt(value)
      const moved = correctedDeviation(deviation, half, alternative) - deviation
      return { countError: countErrorAt(value, n), moved: Math.round(2 * moved) / 2 || 0 }
    },
    statisticAt: (value, alternative) =>
      correctedDeviation(deviationAt(value), half, alternative) / countErrorAt(value, n),
    estimateAt: (z, value, tail) => atStatistic(z, value, n, tail === 'lower' ? -half : half),
    valueAt: (z, tail) =>
      wilsonLimit({ successes: successes + (tail === 'lower' ? half : -half), sampleSize: n, z }),
  }
}
