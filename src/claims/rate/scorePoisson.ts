import * as z from 'zod/mini'
import { normal } from '@/statistics/distributions/normal'
import { correctedDeviation } from '@/statistics/inference/continuity'
import { type Pivot, pivotProcedure } from '@/statistics/inference/pivot'
import { type EventSample, holdsRate, meanAtScore } from '@/statistics/inference/rateInterval'
import { productRemainder } from '@/statistics/numeric/product'
import type { MethodDefinition } from '../terms/definition'
import { valuesOf } from '../terms/hypotheses'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { computed, fraction, given, joined, root, step, symbol } from '../terms/formula'

const figures = z.strictObject({
  /** λ₀ t, and what a continuity correction added to the count: −½, ½ or 0. */
  expected: z.number(),
  moved: z.number(),
})
type Figures = z.infer<typeof figures>

/**
 * The score test of a rate: z = (x − λ₀ t) / √(λ₀ t), normal; its interval is the rates that it does not reject.
 *
 * With the continuity correction the count is moved by a half towards λ₀ t, at most onto it. Problems: `expected-outside`.
 *
 * @see C. Rao (1948), Proceedings of the Cambridge Philosophical Society 44, 50-57; L. Brown, T. Cai & A. DasGupta (2003),
 *   Interval estimation in exponential families
 */
export const scorePoisson: MethodDefinition<'score-poisson', Figures, 'events'> = {
  name: 'score-poisson',
  parameters: ['rate'],
  needs: [],
  options: ['continuityCorrection'],
  restsOn: 'none',
  robust: 'exact-poisson',
  needsExpectedCounts: true,
  dependsOn: 'values',
  work: { looks: 1 },
  interval: 'own-or-chosen',
  turnedRound: ['continuityCorrection'],
  statistic: 'figure',
  symbol: 'z',
  formula: 'z = (x − λ₀ t) ÷ √(λ₀ t)',
  source:
    'Rao (1948), Proc. Cambridge Philosophical Society 44, 50-57; Brown, Cai & DasGupta (2003), Interval estimation in exponential families',
  figures,
  make({ sample, hypotheses, options }) {
    const outside = valuesOf(hypotheses)
      .map((value) => value * sample.events.exposure)
      .find((expected) => !(expected > 0 && Number.isFinite(expected)))
    if (outside !== undefined) return failure(problems.expectedOutside(outside))
    const procedure = pivotProcedure(scorePivot(sample.events, options.continuityCorrection ? 0.5 : 0))
    const mirror = { ...procedure.mirror!, holds: holdsRate }
    return success({ ...procedure, mirror, interval: mirror })
  },
  working({ sample: { events }, part }) {
    const { expected, moved } = part.figures
    const count =
      moved === 0 ? given(events) : joined(given(events), moved < 0 ? '−' : '+', given(Math.abs(moved)))
    return [
      step(
        'expected-events',
        EXPECTED,
        joined(symbol('λ₀', '\\lambda_0'), '·', symbol('t')),
        computed(expected),
      ),
      step(
        'statistic',
        symbol('z'),
        fraction(joined(symbol('x'), '−', EXPECTED), root(EXPECTED)),
        fraction(joined(count, '−', computed(expected)), root(computed(expected))),
        computed(part.statistic),
      ),
    ]
  },
  picture: {
    estimateAt: ({ sample, value }, statistic) =>
      value + (statistic * Math.sqrt(value * sample.exposure)) / sample.exposure,
  },
}

const EXPECTED = symbol('μ₀', '\\mu_0')

function scorePivot({ events, exposure }: EventSample, half: 0 | 0.5): Pivot<Figures> {
  const rate = events / exposure
  const deviationAt = (value: number) => events - value * exposure - productRemainder(value, exposure)
  return {
    interval: 'score',
    estimate: rate,
    standardError: Math.sqrt(events) / exposure,
    differenceFrom: (value) => rate - value,
    distribution: { name: 'normal' },
    reference: normal,
    figuresAt: (value, alternative) => {
      const deviation = deviationAt(value)
      const moved = correctedDeviation(deviation, half, alternative) - deviation
      return { expected: value * exposure, moved: Math.round(2 * moved) / 2 || 0 }
    },
    statisticAt: (value, alternative) =>
      correctedDeviation(deviationAt(value), half, alternative) / Math.sqrt(value * exposure),
    estimateAt: (z, value, tail) =>
      value + (z * Math.sqrt(value * exposure) + (tail === 'lower' ? -half : half)) / exposure,
    valueAt: (z, tail) => meanAtScore(events + (tail === 'lower' ? half : -half), z) / exposure,
  }
}
