import { z } from 'zod'
import { keptRowsSchema } from '../sample/rowCondition'
import { DECIMAL_MARKS, storedText } from '../typed'
import { BURDENS, RELATIONS } from './claim'

/** Longer than any label or unit, shorter than a nuisance. */
const words = storedText(500)
/**
 * A claim as a person types it: texts, half-typed ones too, so that nothing typed is lost or rounded. `readDraft` makes a
 * check document of it and of the sample that it is held against.
 */
export const claimDraftSchema = z.strictObject({
  /** Who or what makes the claim: "label". */
  source: words,
  wording: words,
  quantity: words,
  relation: z.enum(RELATIONS),
  claimedValue: words,
  toleranceBelow: words,
  toleranceAbove: words,
  unit: words,
  /** Absent: the burden that the relation's words carry. */
  burden: z.enum(BURDENS).nullable(),
  significanceLevel: words,
  /** Empty: the level that mirrors the test. */
  confidenceLevel: words,
  /** Empty: taken from the sample. */
  knownStandardDeviation: words,
  /** For display; empty: from the standard error. */
  decimals: words,
  /** How numbers are typed in the claim. */
  decimalMark: z.enum(DECIMAL_MARKS),
  sampleId: z.uuid(),
  /** The column of the sample's sheet that holds the readings, by its short name; empty: the likely one. */
  column: words,
  kept: keptRowsSchema,
})

export type ClaimDraft = z.infer<typeof claimDraftSchema>

/** All of a claim but the sample that it is held against. */
export type ClaimWithoutSample = Omit<ClaimDraft, 'sampleId'>

export const EMPTY_CLAIM: ClaimWithoutSample = {
  source: 'label',
  wording: '',
  quantity: '',
  relation: 'at-least',
  claimedValue: '',
  toleranceBelow: '',
  toleranceAbove: '',
  unit: '',
  burden: null,
  significanceLevel: '0.05',
  confidenceLevel: '',
  knownStandardDeviation: '',
  decimals: '',
  decimalMark: 'point',
  column: '',
  kept: [],
}
