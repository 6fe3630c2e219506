import { normal } from '@/statistics/distributions/normal'
import { productRemainder } from '@/statistics/numeric/product'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '@/words/en/problems'
import { type ContinuityCorrection, correctedDeviation } from '@/statistics/inference/continuity'
import { type Pivot, pivotProcedure } from '@/statistics/inference/pivot'
import type { Procedure } from '@/statistics/inference/procedure'
import type { CountSample } from '../sample'
import { wilsonLimit } from '@/statistics/inference/wilson'

/**
 * The score test of a share: z = (x − n p₀) / √(n p₀ (1 − p₀)), normal; its interval is Wilson's.
 *
 * With the continuity correction the count is moved by a half towards n p₀, at most onto it.
 *
 * @param sample - x successes of n
 * @param claimedValues - the values to be tested, each between 0 and 1
 * @returns the procedure, or the problem `share-without-spread` (a value of 0 or 1)
 * @see ISO 11453:1996; R. Newcombe (1998), Statistics in Medicine 17, 857-872, method 4
 */
export function shareScore(
  sample: CountSample,
  correction: ContinuityCorrection,
  claimedValues: readonly number[],
): Outcome<Procedure> {
  const edge = claimedValues.find((value) => value <= 0 || value >= 1)
  if (edge !== undefined) return failure(problems.shareWithoutSpread(edge))
  return success(pivotProcedure(scorePivot(sample, correction)))
}

function scorePivot({ successes, sampleSize: n }: CountSample, correction: ContinuityCorrection): Pivot {
  const half = correction === 'none' ? 0 : 0.5
  const share = successes / n
  const errorAt = (value: number) => Math.sqrt(n * value * (1 - value))
  return {
    method: 'score-z',
    estimate: share,
    standardError: Math.sqrt((share * (1 - share)) / n),
    differenceFrom: (value) => share - value,
    distribution: { name: 'normal' },
    reference: normal,
    statisticAt: (value, alternative) =>
      correctedDeviation(successes - n * value - productRemainder(n, value), half, alternative) /
      errorAt(value),
    estimateAt: (z, value, tail) => value + (z * errorAt(value) + (tail === 'lower' ? -half : half)) / n,
    valueAt: (z, tail) =>
      wilsonLimit({ successes: successes + (tail === 'lower' ? half : -half), sampleSize: n, z }),
  }
}
