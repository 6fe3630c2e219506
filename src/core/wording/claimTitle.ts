import type { ClaimDraft } from '../claim/draft'
import { RELATION_WORDS } from './claimWords'
import { withUnit } from './figures'

export type ClaimWords = Pick<ClaimDraft, 'wording' | 'quantity' | 'relation' | 'claimedValue' | 'unit'>

/** A claim in a line of a list, from its words as typed: "Mean net mass at least 15 kg (“15 kg net”)". */
export function claimTitle({ wording, quantity, relation, claimedValue, unit }: ClaimWords): string {
  const quote = wording ? ` (“${wording}”)` : ''
  if (claimedValue.trim() === '') return `Claim without a value${quote}`
  const subject = quantity ? `Mean ${quantity}` : 'Mean'
  return `${subject} ${RELATION_WORDS[relation]} ${withUnit(claimedValue, unit)}${quote}`
}
