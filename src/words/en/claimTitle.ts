import { type ClaimWords, isByReadings, isControlled } from '@/desk/claimDraft'
import { parameterOf } from '@/claims/all'
import { relationOf } from '@/claims/terms/relations'
import { limitWords, subjectOf } from './claimWords'
import { unitOf } from '../unitOf'
import { RELATION_WORDS } from './relations'
import { withUnit } from '../figures'

/** A claim in a line of a list, from its words as typed: "Mean net mass at least 15 kg (“15 kg net”)". */
export function claimTitle(words: ClaimWords): string {
  const { wording, parameter, quantity, claimedValue, unit, exposureUnit } = words
  const quote = wording ? ` (“${wording}”)` : ''
  if (claimedValue.trim() === '') return `Claim without a value${quote}`
  if (isControlled(words))
    return `Net content${quantity.trim() ? ` of ${quantity.trim()}` : ''} ${withUnit(claimedValue, unit)}${quote}`
  const { limitSide } = words
  const byReadings =
    isByReadings(words) && limitSide !== 'none'
      ? ` ${limitWords(limitSide, withUnit(words.limitValue || '…', unit))}`
      : ''
  const subject = `${subjectOf({ parameter, quantity })}${byReadings}`
  const value = withUnit(claimedValue, unitOf({ parameter, unit, exposureUnit }))
  return `${subject.charAt(0).toUpperCase()}${subject.slice(1)} ${relationTo(value, words)}${quote}`
}

function relationTo(value: string, words: ClaimWords): string {
  const { relation, parameter, unit, exposureUnit } = words
  const [below, above] = [words.toleranceBelow, words.toleranceAbove].map((text) => text.trim())
  const { toleranceFor, burden } = relationOf(relation)
  const isAlways = toleranceFor.includes(burden)
  const hasTolerance = isAlways || (toleranceFor.length > 0 && (below || above))
  if (!hasTolerance) return `${RELATION_WORDS[relation]} ${value}`
  if (!below || !above) return `within a tolerance of ${value}`
  const limit = (text: string) => withUnit(text, unitOf({ parameter, unit, exposureUnit }))
  // "2 % of 95 %" is another thing.
  return below === above && parameterOf(parameter).scale === 1
    ? `within ${limit(below)} of ${value}`
    : `within ${limit(below)} below and ${limit(above)} above ${value}`
}
