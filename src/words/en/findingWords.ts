import type { ComputedFigures, IntervalFigures } from '@/claims/result'
import type { Claim } from '@/claims/terms/claim'
import type { FindingOutcome } from '@/claims/finding'
import { claimClause, subjectOf } from './claimWords'
import { type Display, displayOf, shownGap, shownValue } from '../display'
import { formatPercent, withoutMadeUpDigits } from '../figures'

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
  estimate: ComputedFigures['estimate']
  sample: ComputedFigures['sample']
  interval?: ComputedFigures['interval'] | undefined
  /** How values are shown; with decimals from the standard error where absent. */
  display?: Display | undefined
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

function gapSentence(figures: FindingFigures): string {
  const { claim, estimate } = figures
  const display = figures.display ?? displayOf(claim, figures)
  const { value, difference } = estimate
  const mean = `The ${subjectOf(claim)} is estimated at ${shownValue(value, display)}`
  if (difference === 0) return `${mean}, the claimed value itself.`
  return `${mean}, ${shownGap(difference, display)} ${sideWord(difference)} the claimed value.`
}

const sideWord = (difference: number) => (difference < 0 ? 'below' : 'above')

/**
 * The gap between the estimate and the claimed value, with its interval, in the claim's own unit: "The mean net mass is
 * 0.071 kg below the claimed value; 95 % interval 0.026 kg to 0.116 kg below."
 */
export function effectWords(
  { claim, estimate, interval }: Pick<FindingFigures, 'claim' | 'estimate' | 'interval'>,
  display: Display,
): string {
  const { difference } = estimate
  const gap =
    difference === 0
      ? `The ${subjectOf(claim)} is the claimed value itself`
      : `The ${subjectOf(claim)} is ${shownGap(difference, display)} ${sideWord(difference)} the claimed value`
  return interval ? `${gap}; ${gapInterval(interval, claim.value, display)}.` : `${gap}.`
}

function gapInterval(interval: IntervalFigures, value: number, display: Display): string {
  const gapTo = (end: number) => withoutMadeUpDigits(end - value)
  const named = formatPercent(interval.level)
  const ends = [interval.lower, interval.upper].map((end) => (end === undefined ? undefined : gapTo(end)))
  const [lower, upper] = ends
  const end = (gap: number) => (gap === 0 ? 'none' : `${shownGap(gap, display)} ${sideWord(gap)}`)
  if (lower === undefined)
    return upper === undefined ? `no ${named} interval` : `${named} upper bound ${end(upper)}`
  if (upper === undefined) return `${named} lower bound ${end(lower)}`
  // The smaller gap first, where both ends lie on one side.
  if (upper < 0) return `${named} interval ${shownGap(upper, display)} to ${shownGap(lower, display)} below`
  if (lower > 0) return `${named} interval ${shownGap(lower, display)} to ${shownGap(upper, display)} above`
  return `${named} interval from ${end(lower)} to ${end(upper)}`
}
