import * as z from 'zod/mini'
import { chiSquare as chiSquareDistribution } from '@/statistics/distributions/chiSquare'
import { pivotProcedure } from '@/statistics/inference/pivot'
import { powerOfChiSquare } from '@/statistics/power/spreadPower'
import type { MethodDefinition } from '../terms/definition'
import { failure, success } from '../terms/outcome'
import { type Planning, SEEK_POSITIVE } from '../terms/planning'
import { problems } from '../terms/problems'
import { computed, type Formula, fraction, given, joined, squared, step, symbol } from '../terms/formula'
import { CLAIMED_SPREAD, CLAIMED_VARIANCE, N, S } from '../working/symbols'
import { scaledPivot, type SpreadParameter } from './scale'

const figures = z.strictObject({})

/** The standard deviation that would give a statistic against another one. */
const atStatistic = (statistic: number, spread: number, df: number) =>
  spread * Math.sqrt(Math.max(0, statistic) / df)

/**
 * The chi-square test of a spread: χ² = (n − 1) s² / σ₀², on n − 1 degrees of freedom; interval (n − 1) s² / χ² at
 * equal tails.
 *
 * Assumes independent readings from a normal population; a large sample does not mend a population that is not.
 * Problems: `too-few-readings` (n < 2), `standard-deviation-needed`, `no-variation`.
 *
 * @see ISO 2854:1976; NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.8
 */
export const chiSquare: MethodDefinition<'chi-square', z.infer<typeof figures>, 'measured'> = {
  name: 'chi-square',
  parameters: ['standard-deviation', 'variance'],
  needs: [],
  options: [],
  restsOn: 'readings',
  robust: 'bonett',
  dependsOn: 'moments',
  work: { looks: 1 },
  interval: 'own',
  turnedRound: [],
  statistic: 'figure',
  symbol: 'χ²',
  formula: 'χ² = (n − 1) s² ÷ σ₀²',
  source: 'ISO 2854',
  figures,
  make({ sample: { measured }, parameter }) {
    const { sampleSize, standardDeviation: s, variance } = measured
    if (sampleSize < 2) return failure(problems.tooFewReadings(sampleSize, 2))
    if (s === undefined) return failure(problems.standardDeviationNeeded())
    if (s === 0) return failure(problems.noVariation(measured.path, 'chi-square'))
    const df = sampleSize - 1
    const pivot = {
      interval: 'chi-square',
      estimate: s,
      differenceFrom: (value: number) => s - value,
      distribution: { name: 'chi-square', df } as const,
      reference: chiSquareDistribution(df),
      figuresAt: () => ({}),
      statisticAt: (value: number) => df * (s / value) ** 2,
      estimateAt: (statistic: number, value: number) => atStatistic(statistic, value, df),
      valueAt: (statistic: number) => s * Math.sqrt(df / statistic),
    }
    return success(pivotProcedure(scaledPivot(pivot, parameter as SpreadParameter, variance ?? s * s)))
  },
  working({ parameter, sample, value, part }) {
    const isVariance = parameter === 'variance'
    const formula = (n: Formula, s: Formula, claimed: Formula) =>
      fraction(joined(joined(n, '−', given(1)), '·', squared(s)), isVariance ? claimed : squared(claimed))
    return [
      step(
        'statistic',
        symbol('χ²', '\\chi^2'),
        formula(N, S, isVariance ? CLAIMED_VARIANCE : CLAIMED_SPREAD),
        formula(given(sample.n), given(sample.standardDeviation!), given(value)),
        computed(part.statistic),
      ),
    ]
  },
  picture: {
    estimateAt: ({ parameter, sample, value }, statistic) =>
      parameter === 'variance'
        ? atStatistic(statistic, Math.sqrt(value), sample.n - 1) ** 2
        : atStatistic(statistic, value, sample.n - 1),
  },
  planning: {
    leastSize: 2,
    power: powerOfChiSquare,
    plansRange: true,
    isBothWays: false,
    seek: SEEK_POSITIVE,
  } satisfies Planning,
}
