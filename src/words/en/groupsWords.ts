import { type CheckAnswer, isTested } from '@/claims/checkAnswer'
import type { GroupFigures } from '@/claims/groups/judged'
import type { FindingOutcome } from '@/claims/finding'
import type { Adjustment } from '@/statistics/adjust/adjust'
import type { Homogeneity } from '@/statistics/describe/homogeneity'
import {
  formatCount,
  formatFull,
  formatFullPValue,
  formatNumber,
  formatPercent,
  formatPValue,
  formatSure,
  pWords,
  withUnit,
} from '../figures'
import { OUTCOME_WORDS } from './findingWords'

export type Line = Omit<GroupFigures, 'why'> & Readonly<{ why?: string }>

export const ADJUSTMENT_WORDS: Readonly<Record<Adjustment, string>> = {
  holm: 'Holm',
  'benjamini-hochberg': 'Benjamini and Hochberg',
}

export const ADJUSTMENT_SOURCES: Readonly<Record<Adjustment, string>> = {
  holm: 'Holm (1979), Scandinavian J. of Statistics 6, 65-70',
  'benjamini-hochberg': 'Benjamini & Hochberg (1995), J. Royal Statistical Society B 57, 289-300',
}
/** Of the analysis of variance, and of the chi-square tests of shares and rates. */
export const BETWEEN_SOURCE =
  'Fisher (1925), Statistical Methods for Research Workers; Searle, Casella & McCulloch (1992), Variance Components, 3.6'

/** What an adjustment keeps at the level. */
export function adjustmentWords(
  adjustment: Adjustment,
  count: number,
  level: number,
  what: 'groups' | 'lots' = 'groups',
): string {
  const why = `${formatCount(count)} ${what} were tested, and each test may go wrong by chance.`
  return adjustment === 'holm'
    ? `${why} Holm’s adjustment keeps the chance of even one wrong rejection among them within ${formatPercent(level)}, as far as each test keeps its own level. The intervals are not adjusted: each is of its own ${what.slice(0, -1)} alone.`
    : `${why} The adjustment by Benjamini and Hochberg keeps the share of wrong rejections among all rejections, on average, within ${formatPercent(level)}, as far as each test keeps its own level and none bears on another. The intervals are not adjusted: each is of its own ${what.slice(0, -1)} alone.`
}

export const CONTROL_OF_GROUPS =
  'Each group is judged as a lot of its own whose size is not stated. So whether its packs short by more than T are too many is decided by a binomial distribution, not by the plan’s own numbers, and its own workbench says how many were allowed.'

/** A decision rather than none. */
const isDecided = (outcome: FindingOutcome | undefined): boolean =>
  outcome === 'contradicted' || outcome === 'supported'

/** How many groups come to what: "2 of 10 groups contradict the claim; taken together 1". */
export function groupsHeadline(groups: readonly Line[], what: 'groups' | 'lots' = 'groups'): string {
  const one = what === 'lots' ? 'lot' : 'group'
  const judged = groups.filter(({ outcome }) => outcome !== undefined)
  const isOfTests = judged.some(({ together }) => together !== undefined)
  const shows = judged.some(({ outcome }) => outcome === 'supported' || outcome === 'not-supported')
  const verb = (count: number) =>
    shows ? (count === 1 ? 'supports' : 'support') : count === 1 ? 'contradicts' : 'contradict'
  const count = (of: (line: Line) => FindingOutcome | undefined) =>
    judged.filter((line) => isDecided(of(line))).length
  const [alone, together] = [count(({ outcome }) => outcome), count((line) => line.together)]
  const left = groups.length - judged.length
  const rest = left === 0 ? '' : `; ${left === 1 ? 'one is' : `${formatCount(left)} are`} not tested`
  const taken = isOfTests ? `, taken together ${together === alone ? 'the same' : formatCount(together)}` : ''
  return `${formatCount(alone)} of ${judged.length === 1 ? `1 ${one}` : `${formatCount(judged.length)} ${what}`} ${verb(alone)} the claim${taken}${rest}.`
}

/** A figure of plain text, to as many digits as it is sure in. */
const sure = (value: number) => formatSure(formatFull(value))

/** One group in a line of plain text. */
export function groupWords(group: Line): string {
  const { n, estimate, interval, pValue, logPValue, adjusted, outcome, together, why } = group
  const size = `n = ${formatCount(n)}`
  if (outcome === undefined) return `${size}, not tested: ${why ?? ''}`
  const known = `${size}, estimate ${sure(estimate!)}`
  const { beyondT, beyondTwiceT } = group
  if (beyondT !== undefined)
    return `${known}, ${formatCount(beyondT)} short by more than T, ${formatCount(beyondTwiceT!)} by more than 2T. ${OUTCOME_WORDS[outcome]}`
  const end = (value: number | undefined) => (value === undefined ? 'no end' : sure(value))
  const between = interval
    ? `, ${formatPercent(interval.level)} interval ${end(interval.lower)} to ${end(interval.upper)}`
    : ''
  const p = formatSure(formatFullPValue({ pValue, logPValue }))
  // Beyond the range of a double nothing is adjusted.
  const taken = pValue === undefined ? formatPValue(undefined, 0.05) : sure(adjusted!)
  const further = together === outcome ? '' : `, taken together ${OUTCOME_WORDS[together!].toLowerCase()}`
  return `${known}${between}, p = ${p}, adjusted ${taken}. ${OUTCOME_WORDS[outcome]}${further}`
}

/** Whether groups differ by more than chance, and by how much. */
export function betweenWords(between: Homogeneity, what = 'groups', unit = ''): string {
  const { statistic, df, dfWithin, pValue, betweenVariance, withinVariance } = between
  const shown = formatNumber(statistic, 3)
  const test =
    dfWithin === undefined
      ? `chi-square = ${shown} on ${formatCount(df)} degrees of freedom`
      : `F = ${shown} on ${formatCount(df)} and ${formatCount(dfWithin)} degrees of freedom`
  const said = isDecidedAt(pValue)
    ? `The ${what} differ by more than chance explains at 5 %`
    : `That the ${what} differ is not shown at 5 %`
  const spread =
    betweenVariance === undefined
      ? ''
      : ` Standard deviation between ${what} ${withUnit(digits(Math.sqrt(betweenVariance)), unit)}, within them ${withUnit(digits(Math.sqrt(withinVariance!)), unit)}; the test takes the scatter within each for alike.`
  return `${said}: ${test}, ${pWords(pValue, 0.05)}.${spread}`
}

/** What all lots come to as one sample, where that was asked for. */
export function pooledWords(answer: CheckAnswer): string {
  if (!answer.ok) return `The lots can’t be pooled: ${answer.error.message}`
  const words = 'All their readings as one sample, with the lot as what was drawn'
  return isTested(answer)
    ? `${words}: ${OUTCOME_WORDS[answer.finding.outcome].toLowerCase()}, ${pWords(answer.test.pValue, answer.test.significanceLevel)}. ${answer.finding.sentence} ${answer.finding.limits}`
    : `${words}: ${answer.finding.sentence}`
}

/** Names that differ only in their spaces or in small and capital letters may be one: it is asked about, and nothing is joined. */
export function alikeWords(labels: readonly string[]): string {
  const known = new Map<string, string[]>()
  for (const label of labels) {
    const plain = label.toLowerCase().replace(/\s+/g, ' ').trim()
    known.set(plain, [...(known.get(plain) ?? []), label])
  }
  const pairs = [...known.values()].filter((names) => names.length > 1)
  if (pairs.length === 0) return ''
  const named = pairs.slice(0, 3).map((names) => names.map((one) => `“${one}”`).join(' and '))
  const more = pairs.length > 3 ? `, and ${formatCount(pairs.length - 3)} more` : ''
  return `${named.join('; ')}${more} differ only in spaces or capitals, and are held apart. Where they are one, correct the entries.`
}

const isDecidedAt = (pValue: number) => pValue <= 0.05
const digits = (value: number) => formatFull(Number(value.toPrecision(4)))
