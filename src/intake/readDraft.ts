import type { Tolerance } from '@/core/claim/claim'
import type { CheckDocument } from '@/core/check/request'
import type { ClaimDraft, DecimalMark } from '@/core/claim/draft'
import { type NumberReading, readTypedNumber } from './number'
import { type Readings, readReadings } from './readings'

/** A field of the draft whose text can't be used: what was seen and what would do. */
export type FieldProblem = Readonly<{ field: keyof ClaimDraft; message: string }>

export type DraftReading = Readonly<{
  readings: Readings
  /** Texts that can't be read as what they should be. */
  problems: readonly FieldProblem[]
  /** What has to be stated before anything can be computed. */
  missing: readonly FieldProblem[]
  /** Present when the claim's own words can be read, whatever else is missing. */
  claim?: CheckDocument['claim']
  /** Present when nothing is missing and everything stated can be read. */
  document?: CheckDocument
  /** For display; absent: chosen from the standard error. */
  decimals?: number
}>

const LEAST_READINGS = 2
const MOST_DECIMALS = 12

/**
 * Makes a check document of a draft.
 *
 * An empty claimed value is never 0: it is missing. A number out of range is pointed at here by its name on the page;
 * the check would name it by its path.
 */
export function readDraft(draft: ClaimDraft): DraftReading {
  const readings = readReadings(draft.readings, draft.decimalMark)
  const fields = new FieldReader(draft)
  const value = fields.number('claimedValue', 'claimed value', ANY)
  const tolerance = needsTolerance(draft) ? fields.tolerance() : undefined
  const significanceLevel = fields.level('significanceLevel', 'significance level')
  const confidenceLevel = fields.level('confidenceLevel', 'confidence level')
  const knownStandardDeviation = fields.number('knownStandardDeviation', 'known standard deviation', POSITIVE)
  const decimals = fields.number('decimals', 'number of decimals', DECIMALS)
  const missing = missingFrom(draft, readings)
  const { problems } = fields
  const claim = value === undefined ? undefined : claimOf(draft, value, tolerance)
  const reading = { readings, problems, missing, ...stated({ claim, decimals }) }
  if (!claim || missing.length > 0 || problems.length > 0) return reading

  const document: CheckDocument = {
    claim,
    evidence: { kind: 'readings', values: [...readings.values] },
    test: { ...stated({ significanceLevel, confidenceLevel, knownStandardDeviation }) },
  }
  return { ...reading, document }
}

function claimOf(draft: ClaimDraft, value: number, tolerance: Tolerance | undefined): CheckDocument['claim'] {
  const { relation, unit, quantity, wording } = draft
  const burden = draft.burden ?? undefined
  return { parameter: 'mean', relation, value, ...stated({ tolerance, burden, unit, quantity, wording }) }
}

/** Whether the claim's words ask for a tolerance: "within", and "equal to" that must be shown. */
export function needsTolerance({ relation, burden }: Pick<ClaimDraft, 'relation' | 'burden'>): boolean {
  return relation === 'within' || (relation === 'equal-to' && burden === 'substantiate')
}

function missingFrom(draft: ClaimDraft, { values }: Readings): readonly FieldProblem[] {
  const missing: FieldProblem[] = []
  const need = (field: keyof ClaimDraft, message: string) => missing.push({ field, message })
  if (draft.claimedValue.trim() === '') need('claimedValue', 'State the claimed value.')
  if (needsTolerance(draft)) {
    if (draft.toleranceBelow.trim() === '')
      need('toleranceBelow', 'State the tolerance below the claimed value.')
    if (draft.toleranceAbove.trim() === '')
      need('toleranceAbove', 'State the tolerance above the claimed value.')
  }
  if (draft.significanceLevel.trim() === '') need('significanceLevel', 'State the significance level.')
  if (values.length < LEAST_READINGS) {
    const seen = values.length === 0 ? 'there are none yet' : 'there is one so far'
    need('readings', `Enter at least two readings; ${seen}.`)
  }
  return missing
}

type Range = Readonly<{ holds: (value: number) => boolean; needed: string }>

const ANY: Range = { holds: () => true, needed: '' }
const NOT_NEGATIVE: Range = { holds: (value) => value >= 0, needed: 'it has to be 0 or more' }
const POSITIVE: Range = { holds: (value) => value > 0, needed: 'it has to be more than 0' }
const LEVEL: Range = {
  holds: (value) => value > 0 && value < 1,
  needed: 'it has to lie between 0 and 1, written such as 0.05 or 5 %',
}
const DECIMALS: Range = {
  holds: (value) => Number.isInteger(value) && value >= 0 && value <= MOST_DECIMALS,
  needed: `it has to be a whole number from 0 to ${MOST_DECIMALS}`,
}

/** Reads the draft's texts as numbers and gathers what can't be used. An empty text is no number and no problem. */
class FieldReader {
  readonly problems: FieldProblem[] = []
  private readonly draft: ClaimDraft

  constructor(draft: ClaimDraft) {
    this.draft = draft
  }

  number(field: keyof ClaimDraft, name: string, range: Range): number | undefined {
    const text = String(this.draft[field]).trim()
    return this.read({ field, name, range, text })
  }

  /** Both limits; nothing while one of them is missing. */
  tolerance(): Tolerance | undefined {
    const below = this.number('toleranceBelow', 'tolerance below', NOT_NEGATIVE)
    const above = this.number('toleranceAbove', 'tolerance above', NOT_NEGATIVE)
    return below === undefined || above === undefined ? undefined : { below, above }
  }

  /** A level as a share or a percentage: 0.95 or 95 %. */
  level(field: keyof ClaimDraft, name: string): number | undefined {
    const text = String(this.draft[field]).trim()
    // A power of ten in the text, because dividing by 100 can miss the nearest double.
    const share = text.endsWith('%') ? `${text.slice(0, -1).trim()}e-2` : text
    return this.read({ field, name, range: LEVEL, text: share })
  }

  private read(
    input: Readonly<{ field: keyof ClaimDraft; name: string; range: Range; text: string }>,
  ): number | undefined {
    const { field, name, range, text } = input
    if (text === '') return undefined
    const reading = readTypedNumber(text, this.draft.decimalMark)
    if (reading.ok && range.holds(reading.value)) return reading.value
    const wanted = reading.ok ? range.needed : needed(reading.reason, this.draft.decimalMark)
    this.problems.push({ field, message: `The ${name} is “${String(this.draft[field])}”; ${wanted}.` })
    return undefined
  }
}

/** What would do in place of a text that is no number. */
export function needed(
  reason: Extract<NumberReading, { ok: false }>['reason'],
  decimalMark: DecimalMark,
): string {
  switch (reason) {
    case 'other-decimal-mark':
      return decimalMark === 'point'
        ? 'the decimal mark is set to the point. Write a point, or set it to the comma'
        : 'the decimal mark is set to the comma. Write a comma, or set it to the point'
    case 'too-large':
      return 'it is beyond the range of a double, about 1.8e308'
    case 'not-a-number':
      return 'write digits only, such as 14.93, without a unit or a thousands separator'
    default:
      return reason satisfies never
  }
}

type Stated<T> = { [K in keyof T]?: Exclude<T[K], undefined | ''> }

/** Leaves out what was not stated. */
function stated<T extends Record<string, unknown>>(fields: T): Stated<T> {
  return Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== undefined && value !== ''),
  ) as Stated<T>
}
