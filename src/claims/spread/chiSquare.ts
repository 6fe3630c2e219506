import { chiSquare } from '@/statistics/distributions/chiSquare'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '@/words/en/problems'
import { type Pivot, pivotProcedure } from '@/statistics/inference/pivot'
import type { Procedure } from '@/statistics/inference/procedure'
import type { MeasuredSample } from '../sample'
import { scaledPivot, type SpreadParameter } from './scale'

/**
 * The chi-square test of a spread: χ² = (n − 1) s² / σ₀², on n − 1 degrees of freedom; interval (n − 1) s² / χ² at
 * equal tails.
 *
 * Assumes independent readings from a normal population; a large sample does not mend a population that is not.
 *
 * @param sample - n and s (divisor n − 1)
 * @param parameter - whether values are standard deviations or variances
 * @returns the procedure, or the problem `too-few-readings` (n < 2), `standard-deviation-needed` or `no-variation`
 * @see ISO 2854:1976; NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.8
 */
export function spreadChiSquare(sample: MeasuredSample, parameter: SpreadParameter): Outcome<Procedure> {
  const { sampleSize, standardDeviation: s, variance } = sample
  if (sampleSize < 2) return failure(problems.tooFewReadings(sampleSize, 2))
  if (s === undefined) return failure(problems.standardDeviationNeeded())
  if (s === 0) return failure(problems.noVariation(sample.path, 'chi-square'))
  const df = sampleSize - 1
  const pivot: Pivot = {
    method: 'chi-square',
    estimate: s,
    differenceFrom: (value) => s - value,
    distribution: { name: 'chi-square', df },
    reference: chiSquare(df),
    statisticAt: (value) => df * (s / value) ** 2,
    estimateAt: (statistic, value) => value * Math.sqrt(statistic / df),
    valueAt: (statistic) => s * Math.sqrt(df / statistic),
  }
  return success(pivotProcedure(scaledPivot(pivot, parameter, variance ?? s * s)))
}
