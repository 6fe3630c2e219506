import type { Census } from '@/claims/census'
import type { CensusResult, ContentAnswer } from '@/claims/checkAnswer'
import type { Claim } from '@/claims/terms/claim'
import { decimalsFor, formatCount, formatNumber, surelyDifferent } from '../figures'
import { claimClause, fullGap, fullValue, subjectOf } from './claimWords'
import { sideWord } from './findingWords'

/** What a claim comes to for a lot that was measured whole: its figure is known and not estimated. */
export function censusSentence(claim: Claim, { lotSize, figure, outcome, ...of }: Census): string {
  const difference = surelyDifferent(of.difference, figure, claim.value)
  // Three digits of the gap that count, and the figure to as many decimals.
  const decimals = decimalsFor(Math.abs(difference) / 10)
  const rounded = (value: number) => Number(formatNumber(value, decimals).replace('\u2212', '-'))
  const lot = lotSize === 1 ? 'The one unit' : `All ${formatCount(lotSize)} units`
  const gap =
    difference === 0
      ? 'the claimed value itself'
      : `${fullGap(claim, rounded(Math.abs(difference)))} ${sideWord(difference)} the claimed value`
  const isTrue = outcome === 'supported' ? 'true' : 'not true'
  return `${lot} of the lot ${lotSize === 1 ? 'was' : 'were'} taken, so this is no sample: the ${subjectOf(claim)} of the lot is ${fullValue(claim, difference === 0 ? claim.value : rounded(figure))} itself, ${gap}. That ${claimClause(claim)} is ${isTrue} of this lot, as far as the measurements are right.`
}

/** What the figure of a whole lot does not say. */
export const CENSUS_LIMITS =
  'Nothing is tested, and no p-value and no interval belong to it. It says nothing of another lot: where the claim is of more than this one, leave its size out.'

/** Why a check came to no test: the lot was measured whole, or the check was refused. */
export function noTestWords(answer: CensusResult | ContentAnswer): string {
  return answer.ok ? answer.finding.sentence : answer.error.message
}
