import type { RangeHypotheses } from './terms/hypotheses'
import type { PointTest, Procedure } from '@/statistics/inference/procedure'
import { doubled, type TailProbability } from '@/statistics/inference/tailProbability'

export type ToleranceTest = TailProbability &
  Readonly<{
    /** The tests of the lower and of the upper limit. */
    parts: readonly [PointTest, PointTest]
    isBeyond: boolean
  }>

/**
 * Tests a parameter against the two limits of a tolerance.
 *
 * To show that it lies inside, both one-sided tests must reject at α: p is the larger. To contradict that it does, one
 * of them must reject at α/2 beyond its own limit: p is twice the smaller, which with no tolerance is the two-sided test.
 *
 * @see D. Schuirmann (1987), J. Pharmacokinetics and Biopharmaceutics 15, 657-680
 */
export function testTolerance(
  input: Readonly<{ procedure: Procedure; hypotheses: RangeHypotheses; significanceLevel: number }>,
): ToleranceTest {
  const { procedure, hypotheses } = input
  const isInside = hypotheses.alternativeSide === 'inside'
  const significanceLevel = isInside ? input.significanceLevel : input.significanceLevel / 2
  const at = (value: number, alternative: 'less' | 'greater') =>
    procedure.test({ value, alternative, significanceLevel })
  const { lower, upper } = hypotheses.null
  const parts = isInside
    ? ([at(lower, 'greater'), at(upper, 'less')] as const)
    : ([at(lower, 'less'), at(upper, 'greater')] as const)
  const [first, second] = parts
  const isFirstLarger = first.logPValue >= second.logPValue
  const { pValue, logPValue } = isFirstLarger === isInside ? first : second
  const chosen = pValue === undefined ? { logPValue } : { pValue, logPValue }
  return {
    ...(isInside ? chosen : doubled(chosen)),
    parts,
    isBeyond: isInside ? first.isBeyond && second.isBeyond : first.isBeyond || second.isBeyond,
  }
}
