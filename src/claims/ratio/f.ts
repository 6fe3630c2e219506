import * as z from 'zod/mini'
import { fDistribution } from '@/statistics/distributions/fDistribution'
import { pivotProcedure } from '@/statistics/inference/pivot'
import { powerOfF } from '@/statistics/power/ratioPower'
import type { MethodDefinition } from '../terms/definition'
import { failure, success } from '../terms/outcome'
import { SEEK_POSITIVE } from '../terms/planning'
import { problems } from '../terms/problems'
import type { MeasuredSample, TwoSamples } from '../terms/sample'
import { computed, type Formula, fraction, given, squared, step, symbol } from '../terms/formula'

const figures = z.strictObject({})

const atStatistic = (statistic: number, value: number) => statistic * value

/**
 * The F test of a ratio of two variances: F = (s₁² / s₂²) / ratio, on n₁ − 1 and n₂ − 1 degrees of freedom; interval
 * (s₁² / s₂²) / F.
 *
 * Assumes independent readings from two normal populations; large samples do not mend populations that are not.
 * Problems: `too-few-readings`, `standard-deviation-needed`, `no-variation`.
 *
 * @see ISO 2854:1976; NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.9
 */
export const f: MethodDefinition<'f', z.infer<typeof figures>, 'two'> = {
  name: 'f',
  parameters: ['variance-ratio'],
  needs: [],
  options: [],
  restsOn: 'readings',
  robust: 'brown-forsythe',
  dependsOn: 'values',
  work: { looks: 1 },
  interval: 'own',
  turnedRound: [],
  statistic: 'figure',
  symbol: 'F',
  formula: 'F = (s₁² ÷ s₂²) ÷ ratio₀',
  source: 'ISO 2854',
  figures,
  make({ sample: { two } }) {
    for (const { sampleSize, standardDeviation, path } of [two.first, two.second]) {
      if (sampleSize < 2) return failure(problems.tooFewReadings(sampleSize, 2))
      if (standardDeviation === undefined) return failure(problems.standardDeviationNeeded())
      if (standardDeviation === 0) return failure(problems.noVariation(path, 'f'))
    }
    const [numerator, denominator] = [two.first.sampleSize - 1, two.second.sampleSize - 1]
    const estimate = ratioOfVariances(two)
    return success(
      pivotProcedure({
        interval: 'f',
        estimate,
        differenceFrom: (value) => estimate - value,
        distribution: { name: 'f', df1: numerator, df2: denominator },
        reference: fDistribution({ numerator, denominator }),
        figuresAt: () => ({}),
        statisticAt: (value) => estimate / value,
        estimateAt: atStatistic,
        valueAt: (statistic) => estimate / statistic,
      }),
    )
  },
  working({ sample: { first, second }, value, part }) {
    const formula = (one: Formula, two: Formula, ratio: Formula) =>
      fraction(fraction(squared(one), squared(two)), ratio)
    return [
      step(
        'statistic',
        symbol('F'),
        formula(symbol('s₁', 's_1'), symbol('s₂', 's_2'), symbol('ratio₀', '\\text{ratio}_0')),
        formula(given(first.standardDeviation!), given(second.standardDeviation!), given(value)),
        computed(part.statistic),
      ),
    ]
  },
  picture: { estimateAt: ({ value }, statistic) => atStatistic(statistic, value) },
  planning: {
    leastSize: 2,
    power: powerOfF,
    plansRange: false,
    isBothWays: false,
    seek: SEEK_POSITIVE,
  },
}

/** s₁² / s₂² */
export function ratioOfVariances({ first, second }: TwoSamples): number {
  const isSquared = (sample: MeasuredSample) => sample.variance !== undefined && sample.variance > 0
  if (isSquared(first) && isSquared(second)) return first.variance! / second.variance!
  return (first.standardDeviation! / second.standardDeviation!) ** 2
}
