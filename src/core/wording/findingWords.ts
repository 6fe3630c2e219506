import type { CheckResult } from '../check/result'
import type { Claim } from '../claim/claim'
import type { FindingOutcome } from '../claim/finding'
import { claimClause, subjectOf, unitOf } from './claimWords'
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
  estimate: CheckResult['estimate']
  sample: CheckResult['sample']
  interval?: CheckResult['interval'] | undefined
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

/**
 * Decimals at which an estimate is worth reading: from its standard error, or where it has none from a quarter of its
 * interval, which is about as wide.
 */
export function decimalsOf({
  sample,
  interval,
  estimate,
}: Pick<FindingFigures, 'sample' | 'interval' | 'estimate'>): number {
  const { lower, upper } = interval ?? {}
  const isWide = lower !== undefined && upper !== undefined && upper > lower
  return decimalsFor(sample.standardError || (isWide ? (upper - lower) / 4 : Math.abs(estimate.value) / 100))
}

function gapSentence({ claim, estimate, decimals, ...figures }: FindingFigures): string {
  const shown = decimals ?? decimalsOf({ estimate, ...figures })
  const { value, difference } = estimate
  const figure = figureOf(claim, shown)
  const mean = `The ${subjectOf(claim)} is estimated at ${figure(value)}`
  if (difference === 0) return `${mean}, the claimed value itself.`
  const size = /[1-9]/.test(formatNumber(Math.abs(difference), shown))
    ? figure(Math.abs(difference), 'gap')
    : `less than ${figure(10 ** -shown, 'gap')}`
  return `${mean}, ${size} ${difference < 0 ? 'below' : 'above'} the claimed value.`
}

/** Shares are shown as percentages, and gaps between them as percentage points. */
function figureOf(claim: Claim, decimals: number) {
  return (value: number, kind: 'value' | 'gap' = 'value') => {
    if (claim.parameter !== 'proportion') return withUnit(formatNumber(value, decimals), unitOf(claim))
    const percent = formatNumber(value * 100, Math.max(0, decimals - 2))
    return kind === 'gap' ? `${percent} percentage points` : withUnit(percent, '%')
  }
}
