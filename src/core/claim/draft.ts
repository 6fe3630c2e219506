import { z } from 'zod'
import { BURDENS, RELATIONS } from './claim'

/** Longer than any label or unit, shorter than a nuisance. */
const words = storedText(500)
/** Holds a million readings of fifteen characters. */
const READINGS_LENGTH = 16_000_000

export const DECIMAL_MARKS = ['point', 'comma'] as const
export type DecimalMark = (typeof DECIMAL_MARKS)[number]

/**
 * A claim and its evidence as a person types them: texts, half-typed ones too, so that nothing typed is lost or
 * rounded. `readDraft` makes a check document of it.
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
  readings: storedText(READINGS_LENGTH),
  decimalMark: z.enum(DECIMAL_MARKS),
})

export type ClaimDraft = z.infer<typeof claimDraftSchema>

export const EMPTY_DRAFT: ClaimDraft = {
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
  readings: '',
  decimalMark: 'point',
}

/** Text that a database can keep: any characters but NUL, which PostgreSQL has no room for. */
export function storedText(longest: number) {
  return z
    .string()
    .max(longest)
    .refine((value) => !value.includes('\0'), 'a text without the character NUL')
}
