import type { ClaimDraft } from '@/desk/claimDraft'
import { RELATION_WORDS, subjectOf, unitOf } from './claimWords'
import { withUnit } from '../figures'

export type ClaimWords = Pick<
  ClaimDraft,
  | 'wording'
  | 'parameter'
  | 'quantity'
  | 'relation'
  | 'claimedValue'
  | 'toleranceBelow'
  | 'toleranceAbove'
  | 'unit'
>

/** A claim in a line of a list, from its words as typed: "Mean net mass at least 15 kg (“15 kg net”)". */
export function claimTitle(words: ClaimWords): string {
  const { wording, parameter, quantity, claimedValue, unit } = words
  const quote = wording ? ` (“${wording}”)` : ''
  if (claimedValue.trim() === '') return `Claim without a value${quote}`
  const subject = subjectOf({ parameter, quantity })
  const value = withUnit(claimedValue, unitOf({ parameter, unit }))
  return `${subject.charAt(0).toUpperCase()}${subject.slice(1)} ${relationTo(value, words)}${quote}`
}

function relationTo(value: string, words: ClaimWords): string {
  const { relation, parameter, unit } = words
  const [below, above] = [words.toleranceBelow, words.toleranceAbove].map((text) => text.trim())
  const hasTolerance = relation === 'within' || (relation === 'equal-to' && (below || above))
  if (!hasTolerance) return `${RELATION_WORDS[relation]} ${value}`
  if (!below || !above) return `within a tolerance of ${value}`
  const limit = (text: string) => withUnit(text, unitOf({ parameter, unit }))
  // "2 % of 95 %" is another thing.
  return below === above && parameter !== 'proportion'
    ? `within ${limit(below)} of ${value}`
    : `within ${limit(below)} below and ${limit(above)} above ${value}`
}
