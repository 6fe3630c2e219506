import type { Claim } from '../claim/claim'
import type { FindingOutcome } from '../claim/finding'
import { claimClause, subjectOf } from './claimWords'
import { decimalsFor, formatNumber, formatPercent, withUnit } from './figures'

export const OUTCOME_WORDS: Readonly<Record<FindingOutcome | 'open', string>> = {
  contradicted: 'Contradicted',
  'not-contradicted': 'Not contradicted',
  supported: 'Supported',
  'not-supported': 'Not supported',
  open: 'Open',
}

const VERB: Readonly<Record<FindingOutcome, string>> = {
  contradicted: 'contradicts the claim',
  'not-contradicted': 'does not contradict the claim',
  supported: 'supports the claim',
  'not-supported': 'does not support the claim',
}

export type FindingFigures = Readonly<{
  outcome: FindingOutcome
  claim: Claim
  significanceLevel: number
  estimate: number
  /** Estimate less claimed value, in the claim's unit. */
  difference: number
  standardError: number
  /** For display; chosen from the standard error where absent. */
  decimals?: number | undefined
}>

/** The finding: the decision in the claim's own words and the gap in its own unit. */
export function findingSentence(figures: FindingFigures): string {
  const { outcome, claim, significanceLevel } = figures
  const level = formatPercent(significanceLevel)
  return `At the ${level} significance level the sample ${VERB[outcome]} that ${claimClause(claim)}. ${gapSentence(figures)}`
}

/** What the finding does not say. */
export function findingLimits(outcome: FindingOutcome, significanceLevel: number): string {
  const level = formatPercent(significanceLevel)
  switch (outcome) {
    case 'contradicted':
      return `The risk taken: a claim that only just holds is contradicted by at most ${level} of samples drawn like this one. Nothing is said of any single item.`
    case 'supported':
      return `The risk taken: a claim that only just fails is supported by at most ${level} of samples drawn like this one. Nothing is said of any single item.`
    case 'not-contradicted':
      return 'This does not show the claim to be true. A gap too small for a sample of this size to find may be there.'
    case 'not-supported':
      return 'This does not show the claim to be false. The sample is not enough to show it.'
    default:
      return outcome satisfies never
  }
}

function gapSentence({ claim, estimate, difference, standardError, decimals }: FindingFigures): string {
  const shown = decimals ?? decimalsFor(standardError)
  const figure = (value: number) => withUnit(formatNumber(value, shown), claim.unit)
  const mean = `The ${subjectOf(claim)} is estimated at ${figure(estimate)}`
  if (difference === 0) return `${mean}, the claimed value itself.`
  const gap = figure(Math.abs(difference))
  const size = /[1-9]/.test(formatNumber(Math.abs(difference), shown))
    ? gap
    : `less than ${figure(10 ** -shown)}`
  return `${mean}, ${size} ${difference < 0 ? 'below' : 'above'} the claimed value.`
}
