import type { Alternative } from '@/statistics/inference/alternative'
import type { Claim } from './claim'
import { failure, type Outcome, success } from './outcome'
import { type ClaimProblem, problems } from './problems'
import { type Burden, claimSide, needsTolerance, type Relation, relationOf } from './relations'

export type PointHypothesis = Readonly<{
  parameter: Claim['parameter']
  relation: '≥' | '≤' | '=' | '≠' | '<' | '>'
  value: number
}>

export type RangeHypothesis = Readonly<{
  parameter: Claim['parameter']
  relation: 'inside' | 'outside'
  value: number
  lower: number
  upper: number
}>

type Common = Readonly<{ claimIs: 'null' | 'alternative'; burden: Burden }>

/** A test against one value. */
export type PointHypotheses = Common &
  Readonly<{ null: PointHypothesis; alternative: PointHypothesis; alternativeSide: Alternative }>

/** A test against the two limits of a tolerance: two one-sided tests where the claim must be shown. */
export type RangeHypotheses = Common &
  Readonly<{ null: RangeHypothesis; alternative: RangeHypothesis; alternativeSide: 'inside' | 'outside' }>

export type Hypotheses = PointHypotheses | RangeHypotheses

export function isRange(hypotheses: Hypotheses): hypotheses is RangeHypotheses {
  return hypotheses.alternativeSide === 'inside' || hypotheses.alternativeSide === 'outside'
}

/** The value tested, or the two limits of the tolerance. */
export function valuesOf(hypotheses: Hypotheses): readonly number[] {
  if (!isRange(hypotheses)) return [hypotheses.null.value]
  return [hypotheses.null.lower, hypotheses.null.upper]
}

/**
 * The hypotheses that follow from a claim's words and from who has to show it.
 *
 * Equality always lives in the null hypothesis. A stated alternative wins over the claim's own.
 *
 * @returns the hypotheses, or the problem `tolerance-needed` ("within", or "equal to" that must be shown, without a
 *   tolerance), `cannot-contradict-difference` ("different from" that stands unless contradicted) or
 *   `alternative-not-free` (an alternative stated for "within")
 * @see D. Schuirmann (1987), for "within"
 */
export function deriveHypotheses(
  claim: Claim,
  stated: Alternative | 'auto',
): Outcome<Hypotheses, ClaimProblem> {
  const relation = relationOf(claim.relation)
  const burden = claim.burden ?? relation.burden
  if (needsTolerance(claim)) return rangeHypotheses(claim, burden, stated)
  if (relation.isBeyondContradiction && burden === 'challenge') {
    return failure(problems.cannotContradictDifference())
  }
  const side = stated === 'auto' ? sideOf(claim.relation, burden) : stated
  return success(pointHypotheses(claim, burden, side))
}

function sideOf(relation: Relation, burden: Burden): Alternative {
  const side = claimSide(relation)
  if (side === 'two-sided' || burden === 'substantiate') return side
  return side === 'greater' ? 'less' : 'greater'
}

const NULL_RELATION = { less: '≥', greater: '≤', 'two-sided': '=' } as const
const ALTERNATIVE_RELATION = { less: '<', greater: '>', 'two-sided': '≠' } as const

function pointHypotheses(claim: Claim, burden: Burden, side: Alternative): PointHypotheses {
  const { parameter, value, relation } = claim
  const { side: own, includesValue } = relationOf(relation)
  const isAlternative = own === 'two-sided' ? !includesValue : side === own
  return {
    null: { parameter, relation: NULL_RELATION[side], value },
    alternative: { parameter, relation: ALTERNATIVE_RELATION[side], value },
    claimIs: isAlternative ? 'alternative' : 'null',
    alternativeSide: side,
    burden,
  }
}

function rangeHypotheses(
  claim: Claim,
  burden: Burden,
  stated: Alternative | 'auto',
): Outcome<RangeHypotheses, ClaimProblem> {
  const { parameter, value, tolerance } = claim
  if (!tolerance) return failure(problems.toleranceNeeded(claim.relation))
  if (stated !== 'auto') return failure(problems.alternativeNotFree(stated))
  const range = { parameter, value, lower: value - tolerance.below, upper: value + tolerance.above }
  const inside = { ...range, relation: 'inside' } as const
  const outside = { ...range, relation: 'outside' } as const
  return success(
    burden === 'challenge'
      ? { null: inside, alternative: outside, claimIs: 'null', alternativeSide: 'outside', burden }
      : { null: outside, alternative: inside, claimIs: 'alternative', alternativeSide: 'inside', burden },
  )
}
