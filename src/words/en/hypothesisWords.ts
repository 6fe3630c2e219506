import type { Claim } from '@/claims/terms/claim'
import type { Hypotheses, PointHypothesis, RangeHypothesis } from '@/claims/terms/hypotheses'
import { parameterOf } from '@/claims/all'
import { fullValue } from './claimWords'
import { RELATION_SENTENCES, RELATION_WORDS } from './relations'
import { formatFull, withoutMadeUpDigits } from '../figures'

/** A hypothesis in symbols: "μ ≥ 15 kg". */
export function hypothesisSymbols(
  hypothesis: PointHypothesis | RangeHypothesis,
  unit: string | undefined,
): string {
  const symbol = parameterOf(hypothesis.parameter).symbol
  if (!('lower' in hypothesis)) {
    return `${symbol} ${hypothesis.relation} ${fullValue({ parameter: hypothesis.parameter, unit }, hypothesis.value)}`
  }
  const { parameter } = hypothesis
  const lower = fullValue({ parameter, unit: undefined }, withoutMadeUpDigits(hypothesis.lower))
  const upper = fullValue({ parameter, unit }, withoutMadeUpDigits(hypothesis.upper))
  return hypothesis.relation === 'inside'
    ? `${lower} < ${symbol} < ${upper}`
    : `${symbol} ≤ ${lower} or ${symbol} ≥ ${upper}`
}

/** Which kind of test the alternative asks for. */
export function kindOfTest({ alternativeSide }: Hypotheses): string {
  switch (alternativeSide) {
    case 'less':
      return 'left-tailed'
    case 'greater':
      return 'right-tailed'
    case 'two-sided':
    case 'outside':
      return 'two-tailed'
    case 'inside':
      return 'two one-sided tests'
    default:
      return alternativeSide satisfies never
  }
}

/** Why the claim is the null or the alternative hypothesis, from its own words. */
export function hypothesisReason(claim: Claim, hypotheses: Hypotheses): string {
  const { relation, parameter } = claim
  const isPercent = parameterOf(parameter).scale === 100
  return RELATION_SENTENCES[relation].reason(hypotheses, {
    word: `“${capitalised(RELATION_WORDS[relation])}”`,
    value: isPercent ? fullValue(claim, claim.value) : formatFull(claim.value),
  })
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
