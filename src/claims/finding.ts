import type { Decision } from './decision'
import type { Hypotheses } from './terms/hypotheses'
import { claimSide, type Relation } from './terms/relations'

export const OUTCOMES = ['contradicted', 'not-contradicted', 'supported', 'not-supported'] as const
export type FindingOutcome = (typeof OUTCOMES)[number]

/**
 * What a decision about the null hypothesis says of the claim.
 *
 * A rejection counts against a claim only in the direction that contradicts it, and for it only in its own: with a
 * stated alternative the two can differ.
 *
 * @param input.difference - estimate less claimed value, whose sign is the direction of a two-sided rejection
 */
export function findingOutcome(
  input: Readonly<{ relation: Relation; hypotheses: Hypotheses; decision: Decision; difference: number }>,
): FindingOutcome {
  const { relation, hypotheses, decision, difference } = input
  const isRejected = decision === 'rejected'
  const side = claimSide(relation)
  const found =
    hypotheses.alternativeSide === 'two-sided' ? directionOf(difference) : hypotheses.alternativeSide
  const isOwnSide = side === 'two-sided' || found === side
  const isOtherSide = side === 'two-sided' || found !== side
  if (hypotheses.burden === 'challenge')
    return isRejected && isOtherSide ? 'contradicted' : 'not-contradicted'
  return isRejected && isOwnSide ? 'supported' : 'not-supported'
}

function directionOf(difference: number): 'less' | 'greater' {
  return difference < 0 ? 'less' : 'greater'
}
