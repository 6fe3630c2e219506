import { normal } from '@/statistics/distributions/normal'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '@/words/en/problems'
import { meanPivot } from './meanPivot'
import { pivotProcedure } from '@/statistics/inference/pivot'
import type { Procedure } from '@/statistics/inference/procedure'
import type { MeanSample } from '../sample'

/**
 * The z test of a mean with a known standard deviation: z = (x̄ − μ₀) / (σ / √n), normal; interval x̄ ± z·σ/√n.
 *
 * Assumes independent readings, a population standard deviation that is truly known, and a near-normal
 * population or a large sample.
 *
 * @param sample - n and x̄
 * @param knownStandardDeviation - σ > 0, in the unit of x̄
 * @returns the procedure, or the problem `too-few-readings` (n < 1) or `known-standard-deviation-needed`
 * @see ISO 2854:1976
 */
export function meanZ(sample: MeanSample, knownStandardDeviation: number | undefined): Outcome<Procedure> {
  if (knownStandardDeviation === undefined) return failure(problems.knownStandardDeviationNeeded())
  if (sample.sampleSize < 1) return failure(problems.tooFewReadings(sample.sampleSize, 1))
  const pivot = meanPivot({
    method: 'z',
    mean: sample.mean,
    remainder: sample.meanRemainder,
    standardError: knownStandardDeviation / Math.sqrt(sample.sampleSize),
    distribution: { name: 'normal' },
    reference: normal,
  })
  return success(pivotProcedure(pivot))
}
