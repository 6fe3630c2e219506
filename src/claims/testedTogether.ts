import { isWithin } from '@/statistics/inference/tailProbability'
import type { Probability } from './result'
import type { FindingOutcome } from './finding'
import { adjustPValues } from '@/statistics/adjust/adjust'

/** One of several claims that are tested together. */
export type TestedClaim = Probability & Readonly<{ significanceLevel: number; outcome: FindingOutcome }>

/** What is left of a finding whose p-value, adjusted, is above the level. */
export const UNDECIDED = {
  contradicted: 'not-contradicted',
  'not-contradicted': 'not-contradicted',
  supported: 'not-supported',
  'not-supported': 'not-supported',
} as const

/**
 * What becomes of findings when it is taken into account that several claims were tested: each p-value adjusted by Holm's
 * method, and the outcome that it comes to beside the claim's own level. An adjusted p-value is never smaller, so a finding
 * can only lose its decision by it.
 *
 * @returns in the order given; a p-value below the range of a double counts as 0
 */
export function testedTogether(
  claims: readonly TestedClaim[],
): readonly Readonly<{ pValue: number; outcome: FindingOutcome }>[] {
  const adjusted = adjustPValues(
    claims.map(({ pValue = 0 }) => pValue),
    'holm',
  )
  return claims.map(({ significanceLevel, outcome }, index) => {
    const pValue = adjusted[index]!
    return { pValue, outcome: isWithin(pValue, significanceLevel) ? outcome : UNDECIDED[outcome] }
  })
}
