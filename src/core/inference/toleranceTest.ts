import type { RangeHypotheses } from '../claim/hypotheses'
import { doubled, type LocationTest, type TailProbability, testLocation } from './locationTest'
import type { Pivot } from './pivot'

export type ToleranceTest = TailProbability &
  Readonly<{
    /** The tests at the lower and the upper limit, in this order. */
    parts: readonly [LocationTest, LocationTest]
    /** On the statistic's scale, at the lower and the upper limit. */
    criticalValues: readonly [number, number]
    criticalEstimates: readonly [number, number]
  }>

/**
 * Tests a mean against the two limits of a tolerance.
 *
 * Where the claim must be shown: two one-sided tests, each at α, and the larger p-value. Where it stands unless
 * contradicted: a one-sided test beyond each limit at α/2, and twice the smaller p-value.
 *
 * @see D. Schuirmann (1987), J. Pharmacokinetics and Biopharmaceutics 15, 657-680
 */
export function testTolerance(
  input: Readonly<{ pivot: Pivot; hypotheses: RangeHypotheses; significanceLevel: number }>,
): ToleranceTest {
  const { pivot, hypotheses, significanceLevel } = input
  const isInside = hypotheses.alternativeSide === 'inside'
  const level = isInside ? significanceLevel : significanceLevel / 2
  const at = (value: number, alternative: 'less' | 'greater') =>
    testLocation({ pivot, value, alternative, significanceLevel: level })
  const { lower, upper } = hypotheses.null
  const parts = isInside
    ? ([at(lower, 'greater'), at(upper, 'less')] as const)
    : ([at(lower, 'less'), at(upper, 'greater')] as const)
  const [first, second] = parts
  const isFirstLarger = first.logPValue >= second.logPValue
  const chosen = isFirstLarger === isInside ? first : second
  return {
    ...(isInside ? onlyProbability(chosen) : doubled(chosen)),
    parts,
    criticalValues: [first.criticalValues[0]!, second.criticalValues[0]!],
    criticalEstimates: [first.criticalEstimates[0]!, second.criticalEstimates[0]!],
  }
}

function onlyProbability({ pValue, logPValue }: TailProbability): TailProbability {
  return pValue === undefined ? { logPValue } : { pValue, logPValue }
}
