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
 * An empty claimed value is never 0: it is missing. Ranges are left to the check itself, so that the rules stand
 * in one place.
 */
export function readDraft(draft: ClaimDraft): DraftReading {
  const readings = readReadings(draft.readings, draft.decimalMark)
  const fields = new FieldReader(draft)
  const value = fields.number('claimedValue', 'claimed value')
  const below = fields.number('toleranceBelow', 'tolerance below')
  const above = fields.number('toleranceAbove', 'tolerance above')
  const significanceLevel = fields.level('significanceLevel', 'significance level')
  const confidenceLevel = fields.level('confidenceLevel', 'confidence level')
  const knownStandardDeviation = fields.number('knownStandardDeviation', 'known standard deviation')
  const decimals = fields.decimals()
  const missing = missingFrom(draft, readings)
  const { problems } = fields
  const claim = value === undefined ? undefined : claimOf(draft, { value, below, above })
  const reading = { readings, problems, missing, ...stated({ claim, decimals }) }
  if (!claim || missing.length > 0 || problems.length > 0) return reading

  const document: CheckDocument = {
    claim,
    evidence: { kind: 'readings', values: [...readings.values] },
    test: { ...stated({ significanceLevel, confidenceLevel, knownStandardDeviation }) },
  }
  return { ...reading, document }
}

type Numbers = Readonly<{ value: number; below: number | undefined; above: number | undefined }>

/** The claim; without its tolerance while a limit of it is missing. */
function claimOf(draft: ClaimDraft, { value, below, above }: Numbers): CheckDocument['claim'] {
  const { relation, unit, quantity, wording } = draft
  const isTolerated = needsTolerance(draft) && below !== undefined && above !== undefined
  return {
    parameter: 'mean',
    relation,
    value,
    ...(isTolerated ? { tolerance: { below, above } } : {}),
    ...(draft.burden ? { burden: draft.burden } : {}),
    ...stated({ unit, quantity, wording }),
  }
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

/** Reads the draft's texts as numbers and gathers what can't be read. An empty text is no number and no problem. */
class FieldReader {
  readonly problems: FieldProblem[] = []
  private readonly draft: ClaimDraft

  constructor(draft: ClaimDraft) {
    this.draft = draft
  }

  number(field: keyof ClaimDraft, name: string): number | undefined {
    return this.read(field, String(this.draft[field]), name)
  }

  /** A level as a share or a percentage: 0.95 or 95 %. */
  level(field: keyof ClaimDraft, name: string): number | undefined {
    const text = String(this.draft[field]).trim()
    if (!text.endsWith('%')) return this.read(field, text, name)
    const percent = this.read(field, text.slice(0, -1), name)
    return percent === undefined ? undefined : percent / 100
  }

  decimals(): number | undefined {
    const value = this.read('decimals', this.draft.decimals, 'number of decimals')
    if (value === undefined) return undefined
    if (Number.isInteger(value) && value >= 0 && value <= MOST_DECIMALS) return value
    this.problems.push({
      field: 'decimals',
      message: `The number of decimals is ${value}; it has to be a whole number from 0 to ${MOST_DECIMALS}.`,
    })
    return undefined
  }

  private read(field: keyof ClaimDraft, text: string, name: string): number | undefined {
    if (text.trim() === '') return undefined
    const reading = readTypedNumber(text, this.draft.decimalMark)
    if (reading.ok) return reading.value
    this.problems.push({
      field,
      message: `The ${name} is “${text}”; ${needed(reading.reason, this.draft.decimalMark)}.`,
    })
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
