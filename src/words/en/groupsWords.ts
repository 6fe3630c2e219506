import type { GroupFigures } from '@/claims/groups/groups'
import type { FindingOutcome } from '@/claims/finding'
import type { Adjustment } from '@/statistics/adjust/adjust'
import type { Homogeneity } from '@/statistics/inference/homogeneity'
import { formatCount, formatFull, formatNumber, formatPercent, formatPValue, pWords } from '../figures'
import { OUTCOME_WORDS } from './findingWords'

type Line = Omit<GroupFigures, 'why'> & Readonly<{ why?: string }>

export const ADJUSTMENT_WORDS: Readonly<Record<Adjustment, string>> = {
  holm: 'Holm',
  'benjamini-hochberg': 'Benjamini and Hochberg',
}

/** What an adjustment keeps at the level. */
export function adjustmentWords(adjustment: Adjustment, count: number, level: number): string {
  const why = `${formatCount(count)} groups were tested, and each test may go wrong by chance.`
  return adjustment === 'holm'
    ? `${why} Holm’s adjustment keeps the chance of even one wrong rejection among them at ${formatPercent(level)}. The intervals are not adjusted: each is of its own group alone.`
    : `${why} The adjustment by Benjamini and Hochberg keeps the share of wrong rejections among all rejections, on average, at ${formatPercent(level)}, where the tests do not bear on one another. The intervals are not adjusted: each is of its own group alone.`
}

export const groupName = (label: string): string => (label === '' ? 'no entry' : label)

/** A decision rather than none. */
const isDecided = (outcome: FindingOutcome | undefined): boolean =>
  outcome === 'contradicted' || outcome === 'supported'

/** How many groups come to what: "2 of 10 groups contradict the claim; taken together 1". */
export function groupsHeadline(groups: readonly Line[]): string {
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
  return `${formatCount(alone)} of ${judged.length === 1 ? '1 group' : `${formatCount(judged.length)} groups`} ${verb(alone)} the claim${taken}${rest}.`
}

/** One group in a line of plain text. */
export function groupWords(group: Line): string {
  const { n, estimate, interval, pValue, adjusted, outcome, together, why, beyondT, beyondTwiceT } = group
  const size = `n = ${formatCount(n)}`
  if (why !== undefined || outcome === undefined) return `${size}, not tested: ${why ?? ''}`
  const known = `${size}, estimate ${formatFull(Number(estimate!.toPrecision(10)))}`
  if (beyondT !== undefined)
    return `${known}, ${formatCount(beyondT)} short by more than T, ${formatCount(beyondTwiceT!)} by more than 2T. ${OUTCOME_WORDS[outcome]}`
  const ends = interval
    ? [interval.lower, interval.upper].map((end) =>
        end === undefined ? '' : formatFull(Number(end.toPrecision(10))),
      )
    : []
  const between = interval
    ? `, ${formatPercent(interval.level)} interval ${ends[0] || 'no end'} to ${ends[1] || 'no end'}`
    : ''
  const level = 0.05
  return `${known}${between}, ${pWords(pValue, level)}, adjusted ${formatPValue(adjusted, level)}. ${OUTCOME_WORDS[outcome]}${together === outcome ? '' : `, taken together ${OUTCOME_WORDS[together!].toLowerCase()}`}`
}

/** Whether groups differ by more than chance, and by how much. */
export function betweenWords(between: Homogeneity, what = 'groups'): string {
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
      : ` Standard deviation between ${what} ${digits(Math.sqrt(betweenVariance))}, within them ${digits(Math.sqrt(withinVariance!))}; the test takes the scatter within each for alike.`
  return `${said}: ${test}, ${pWords(pValue, 0.05)}.${spread}`
}

const isDecidedAt = (pValue: number) => pValue <= 0.05
const digits = (value: number) => formatFull(Number(value.toPrecision(4)))
