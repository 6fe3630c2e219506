import { methodOf } from '@/claims/all'
import { partsOf } from '@/claims/testParts'
import type { CheckResult, ComputedFigures, IntervalFigures } from '@/claims/result'
import type { Claim } from '@/claims/terms/claim'
import type { Condition } from '@/claims/terms/condition'
import type { FindingOutcome } from '@/claims/finding'
import { claimClause, subjectOf, sizeWords } from './claimWords'
import { CONDITION_NAMES, openConditions } from './conditionWords'
import { type Display, displayOf, shownGap, shownValue } from '../display'
import { claimSide } from '@/claims/terms/relations'
import type { Method } from '@/claims/terms/names'
import { intervalWords } from './claimLineWords'
import { distributionWords, METHOD_WORDS } from './methods'
import { PARAMETER_NOUNS } from './parameters'
import type { Formats } from '../formats'
import { formatFull, formatPercent, pWords, surelyDifferent } from '../figures'

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

/** What the risk of a finding rests on. */
export type RiskFigures = Readonly<{
  outcome: FindingOutcome
  significanceLevel: number
  /** Whether the test keeps its level exactly. */
  isExact: boolean
  /** Whether something is said of each item, by the uncertainty of its reading. */
  isOfItems?: boolean
  conditions: readonly Pick<Condition, 'name' | 'state' | 'of'>[]
}>

/** What of the conditions the risk does not rest on: a large share of a lot makes a test stricter, an outlier is a question. */
const NO_RISK: readonly Condition['name'][] = ['outliers', 'share-of-lot']

/** What the finding does not say, and how often its rule goes wrong as far as that can be stated. */
export function findingLimits(figures: RiskFigures): string {
  const { outcome, significanceLevel, isExact, conditions } = figures
  const single = figures.isOfItems ? '' : ' Nothing is said of any single item.'
  switch (outcome) {
    case 'contradicted':
    case 'supported': {
      const wrong = outcome === 'contradicted' ? 'holds is contradicted' : 'fails is supported'
      const resting = conditions.filter(({ name }) => !NO_RISK.includes(name))
      const open = openConditions(resting)
      if (open)
        return `How often this rule goes wrong can’t be stated, since conditions that it rests on are open: ${open}.${single}`
      const isMet = resting.every(({ state }) => state === 'met')
      const often = `${isExact && isMet ? 'at most' : 'about'} ${formatPercent(significanceLevel)}`
      const asFar = isMet ? '' : ', as far as so few readings tell: the conditions say what they leave open'
      return `How often this rule goes wrong: a claim that only just ${wrong} by ${often} of samples drawn like this one${asFar}.${single}`
    }
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
  const { value } = estimate
  const difference = gapOf(estimate, claim.value)
  const mean = `The ${subjectOf(claim)} is estimated at ${shownValue(value, display)}`
  if (difference === 0) return `${mean}, the claimed value itself.`
  return `${mean}, ${shownGap(difference, display)} ${sideWord(difference)} the claimed value.`
}

/** From the claimed value to the estimate, as it comes to by hand. */
const gapOf = ({ value, difference }: FindingFigures['estimate'], claimed: number) =>
  surelyDifferent(difference, value, claimed)

export const sideWord = (difference: number) => (difference < 0 ? 'below' : 'above')

/**
 * The gap between the estimate and the claimed value, with its interval, in the claim's own unit: "The mean net mass is
 * estimated 0.071 kg below the claimed value; 95 % interval 0.026 kg to 0.116 kg below."
 */
export function effectWords(
  figures: Pick<FindingFigures, 'outcome' | 'claim' | 'estimate' | 'interval'>,
  display: Display,
): string {
  const { claim, estimate, interval } = figures
  const difference = gapOf(estimate, claim.value)
  const subject = `The ${subjectOf(claim)} is estimated`
  const gap =
    difference === 0
      ? `${subject} at the claimed value itself`
      : `${subject} ${shownGap(difference, display)} ${sideWord(difference)} the claimed value`
  const known = interval ? `${gap}; ${gapInterval(interval, claim.value, display)}.` : `${gap}.`
  return mayBeChance(figures) ? `${known} Chance alone can explain such a gap.` : known
}

/** Whether the gap points to what the sample does not show. */
function mayBeChance({
  outcome,
  claim,
  estimate: { difference },
}: Pick<FindingFigures, 'outcome' | 'claim' | 'estimate'>): boolean {
  if (difference === 0) return false
  const side = claimSide(claim.relation)
  const isClaimsSide = side === 'two-sided' || (side === 'less') === difference < 0
  if (outcome === 'not-contradicted') return side === 'two-sided' || !isClaimsSide
  return outcome === 'not-supported' && isClaimsSide && claim.relation !== 'within'
}

function gapInterval(interval: IntervalFigures, value: number, display: Display): string {
  const gapTo = (end: number) => surelyDifferent(end - value, end, value)
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

/** What a robust test comes to: "Normality: not met. By the bootstrap test, which does not rest on it: …, p = 0.210." */
export function besideWords(
  beside: Readonly<{
    method: Method
    outcome: FindingOutcome
    pValue?: number | undefined
    condition: Condition['name']
  }>,
  significanceLevel: number,
): string {
  const { method, outcome, pValue, condition } = beside
  return `${CONDITION_NAMES[condition]}: not met. By the ${METHOD_WORDS[method].name}, which does not rest on it: ${OUTCOME_WORDS[outcome].toLowerCase()}, ${pWords(pValue, significanceLevel)}.`
}

/**
 * The figures of a finding as they are written up: "n = 24, mean 14.929 kg, 95 % interval 14.884 to 14.974; t = −3.245, 23
 * degrees of freedom, p = 0.0018."
 */
export function writtenUp(
  result: Pick<CheckResult, 'sample' | 'estimate' | 'interval' | 'test'>,
  formats: Formats,
): string {
  const { sample, estimate, interval, test } = result
  const { display, plain } = formats
  const { symbol, statistic: kind } = methodOf(test.method)
  const statistics = partsOf(test).map(({ statistic }) =>
    kind === 'count'
      ? formatFull(statistic)
      : kind === 'estimate'
        ? shownValue(statistic, display)
        : plain(statistic),
  )
  const between = interval ? `, ${intervalWords(interval, display)}` : ''
  return `${sizeWords(sample)}, ${PARAMETER_NOUNS[estimate.parameter]} ${shownValue(estimate.value, display)}${between}; ${METHOD_WORDS[test.method].name}, ${symbol} = ${statistics.join(' and ')}, ${distributionWords(test)}, ${pWords(test.pValue, test.significanceLevel)}.`
}
