import type { Claim, Parameter, Relation } from '@/claims/claim'
import { formatFull, formatPercent, withoutMadeUpDigits, withUnit } from '../figures'

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

export const PARAMETER_NOUNS: Readonly<Record<Parameter, string>> = {
  mean: 'mean',
  'standard-deviation': 'standard deviation',
  variance: 'variance',
  proportion: 'share',
  'variance-ratio': 'ratio of variances',
  median: 'median',
}

export type Subject = Pick<Claim, 'parameter' | 'quantity'>

/** What the claim is about: "mean net mass", "standard deviation of the temperature". */
export function subjectOf({ parameter, quantity }: Subject): string {
  const noun = PARAMETER_NOUNS[parameter]
  if (!quantity) return noun
  switch (parameter) {
    case 'mean':
    case 'median':
      return `${noun} ${quantity}`
    case 'standard-deviation':
    case 'variance':
    case 'variance-ratio':
      return `${noun} of the ${quantity}`
    case 'proportion':
      return `${noun} of ${quantity}`
    default:
      return parameter satisfies never
  }
}

/** The unit that the parameter's values carry: squared for a variance, none for a share or a ratio. */
export function unitOf({ parameter, unit }: Pick<Claim, 'parameter' | 'unit'>): string | undefined {
  if (parameter === 'proportion' || parameter === 'variance-ratio' || !unit) return undefined
  if (parameter !== 'variance') return unit
  return /^\p{L}+$/u.test(unit) ? `${unit}²` : `(${unit})²`
}

/** A value of the parameter in full: "15 kg", "0.09 (°C)²", "95 %". */
export function fullValue(claim: Pick<Claim, 'parameter' | 'unit'>, value: number): string {
  return claim.parameter === 'proportion' ? formatPercent(value) : withUnit(formatFull(value), unitOf(claim))
}

/** A distance on the parameter's scale in full: of shares, in percentage points, since "2 % of 95 %" is another thing. */
function fullGap(claim: Pick<Claim, 'parameter' | 'unit'>, gap: number): string {
  return claim.parameter === 'proportion'
    ? `${formatFull(withoutMadeUpDigits(gap * 100))} percentage points`
    : fullValue(claim, gap)
}

/** The claim as part of a sentence: "the mean net mass is at least 15 kg". */
export function claimClause(claim: Claim): string {
  const value = fullValue(claim, claim.value)
  if (!claim.tolerance || (claim.relation !== 'within' && claim.relation !== 'equal-to')) {
    return `the ${subjectOf(claim)} is ${RELATION_WORDS[claim.relation]} ${value}`
  }
  const { below, above } = claim.tolerance
  const limits = `${fullGap(claim, below)} below and ${fullGap(claim, above)} above`
  return `the ${subjectOf(claim)} is within ${limits} ${value}`
}
