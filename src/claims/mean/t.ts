import { studentT } from '@/statistics/distributions/studentT'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '@/words/en/problems'
import { meanPivot } from './meanPivot'
import { pivotProcedure } from '@/statistics/inference/pivot'
import type { Procedure } from '@/statistics/inference/procedure'
import type { MeanSample } from '../sample'

/**
 * Student's t for a mean: t = (x̄ − μ₀) / (s / √n), on n − 1 degrees of freedom; interval x̄ ± t·s/√n.
 *
 * Assumes independent readings from a near-normal population, whose standard deviation is not known.
 *
 * @param sample - n, x̄ and s (divisor n − 1), in one unit
 * @returns the procedure, or the problem `too-few-readings` (n < 2), `standard-deviation-needed`, or `no-variation`
 * @see Student (1908), Biometrika 6, 1-25; ISO 2602:1980; ISO 2854:1976
 */
export function meanT(sample: MeanSample): Outcome<Procedure> {
  const { sampleSize, standardDeviation } = sample
  if (sampleSize < 2) return failure(problems.tooFewReadings(sampleSize, 2))
  if (standardDeviation === undefined) return failure(problems.standardDeviationNeeded())
  if (standardDeviation === 0) return failure(problems.noVariation(sample.path, 't'))
  const pivot = meanPivot({
    method: 't',
    mean: sample.mean,
    remainder: sample.meanRemainder,
    standardError: standardDeviation / Math.sqrt(sampleSize),
    distribution: { name: 't', df: sampleSize - 1 },
    reference: studentT(sampleSize - 1),
  })
  return success(pivotProcedure(pivot))
}
