import type { ClaimDraft } from '../claim/draft'
import { RELATION_WORDS, subjectOf, unitOf } from './claimWords'
import { withUnit } from './figures'

export type ClaimWords = Pick<
  ClaimDraft,
  'wording' | 'parameter' | 'quantity' | 'relation' | 'claimedValue' | 'unit'
>

/** A claim in a line of a list, from its words as typed: "Mean net mass at least 15 kg (“15 kg net”)". */
export function claimTitle(words: ClaimWords): string {
  const { wording, parameter, quantity, relation, claimedValue, unit } = words
  const quote = wording ? ` (“${wording}”)` : ''
  if (claimedValue.trim() === '') return `Claim without a value${quote}`
  const subject = subjectOf({ parameter, quantity })
  const value = withUnit(claimedValue, unitOf({ parameter, unit }))
  return `${subject.charAt(0).toUpperCase()}${subject.slice(1)} ${RELATION_WORDS[relation]} ${value}${quote}`
}
