import { fDistribution } from '@/statistics/distributions/fDistribution'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '@/words/en/problems'
import { pivotProcedure } from '@/statistics/inference/pivot'
import type { Procedure } from '@/statistics/inference/procedure'
import type { MeasuredSample, TwoSamples } from '../sample'

/**
 * The F test of a ratio of two variances: F = (s₁² / s₂²) / ratio, on n₁ − 1 and n₂ − 1 degrees of freedom; interval
 * (s₁² / s₂²) / F.
 *
 * Assumes independent readings from two normal populations; large samples do not mend populations that are not.
 *
 * @returns the procedure, or the problem `too-few-readings`, `standard-deviation-needed` or `no-variation`
 * @see ISO 2854:1976; NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.9
 */
export function ratioF({ first, second }: TwoSamples): Outcome<Procedure> {
  for (const sample of [first, second]) {
    if (sample.sampleSize < 2) return failure(problems.tooFewReadings(sample.sampleSize, 2))
    if (sample.standardDeviation === undefined) return failure(problems.standardDeviationNeeded())
    if (sample.standardDeviation === 0) return failure(problems.noVariation(sample.path, 'f'))
  }
  const [numerator, denominator] = [first.sampleSize - 1, second.sampleSize - 1]
  const estimate = varianceRatio({ first, second })
  return success(
    pivotProcedure({
      method: 'f',
      estimate,
      differenceFrom: (value) => estimate - value,
      distribution: { name: 'f', df1: numerator, df2: denominator },
      reference: fDistribution({ numerator, denominator }),
      statisticAt: (value) => estimate / value,
      estimateAt: (statistic, value) => statistic * value,
      valueAt: (statistic) => estimate / statistic,
    }),
  )
}

/** s₁² / s₂² */
export function varianceRatio({ first, second }: TwoSamples): number {
  const isSquared = (sample: MeasuredSample) => sample.variance !== undefined && sample.variance > 0
  if (isSquared(first) && isSquared(second)) return first.variance! / second.variance!
  return (first.standardDeviation! / second.standardDeviation!) ** 2
}
