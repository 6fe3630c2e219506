import type { Claim, Relation } from '../claim/claim'
import { formatFull, withUnit } from './figures'

export const RELATION_WORDS: Readonly<Record<Relation, string>> = {
  'at-least': 'at least',
  'at-most': 'at most',
  'more-than': 'more than',
  'less-than': 'less than',
  'equal-to': 'equal to',
  'different-from': 'different from',
  within: 'within',
}

export const BURDEN_WORDS = {
  challenge: 'stands unless contradicted',
  substantiate: 'must be shown',
} as const

/** What the claim is about: "mean net mass". */
export function subjectOf({ quantity }: Pick<Claim, 'quantity'>): string {
  return quantity ? `mean ${quantity}` : 'mean'
}

/** The claim as part of a sentence: "the mean net mass is at least 15 kg". */
export function claimClause(claim: Claim): string {
  const value = withUnit(formatFull(claim.value), claim.unit)
  if (!claim.tolerance || (claim.relation !== 'within' && claim.relation !== 'equal-to')) {
    return `the ${subjectOf(claim)} is ${RELATION_WORDS[claim.relation]} ${value}`
  }
  const { below, above } = claim.tolerance
  const limits = `${withUnit(formatFull(below), claim.unit)} below and ${withUnit(formatFull(above), claim.unit)} above`
  return `the ${subjectOf(claim)} is within ${limits} ${value}`
}
