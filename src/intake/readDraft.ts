import { methodOf, methodsFor, parameterOf } from '@/claims/all'
import type { ClaimDocument } from '@/claims/checkAnswer'
import type { ContentDocument } from '@/claims/terms/contentRequest'
import type { EstimateDocument } from '@/claims/estimate'
import { needsTolerance } from '@/claims/terms/relations'
import type { CheckDocument } from '@/claims/terms/request'
import type { Limit } from '@/claims/terms/limit'
import type { Tolerance } from '@/claims/terms/claim'
import { type ClaimDraft, isByReadings } from '@/desk/claimDraft'
import {
  ANY,
  type Field,
  type FieldProblem,
  FieldReader,
  NOT_NEGATIVE,
  POSITIVE,
  type Range,
  stated,
  wholeFrom,
} from './reading/fieldReader'
import { hasUnit, isPerExposure } from './draftUnits'
import { readExposureUnit } from './reading/exposure'
import type { EvidenceReading } from './readEvidence'

export type DraftReading = Readonly<{
  /** Texts that can't be read as what they should be. */
  problems: readonly FieldProblem[]
  /** What has to be stated before anything can be computed. */
  missing: readonly FieldProblem[]
  /** Present when the claim's own words can be read, whatever else is missing. */
  claim?: CheckDocument['claim']
  /** Present when nothing is missing and everything stated can be read. */
  document?: CheckDocument
  /** The same of a control of net content. */
  control?: ContentDocument
  /** Present where the claim has no value yet and nothing else is missing: what can be estimated all the same. */
  estimate?: EstimateDocument
  /** For display; absent: chosen from the standard error. */
  decimals?: number
}>

const MAX_DECIMALS = 12
/** What is asked of a claim, a check or a control, once nothing is missing. */
export const askedOf = ({ document, control }: DraftReading): ClaimDocument | undefined => document ?? control

/** What a claim is held to, and no estimate needs. */
const OF_VALUE: readonly Field[] = ['claimedValue', 'toleranceBelow', 'toleranceAbove']

/**
 * Makes a check document of a claim and the evidence that it is held against.
 *
 * An empty claimed value is never 0: it is missing. A number out of range is pointed at here by its name on the page;
 * the check would name it by its path.
 */
export function readDraft(draft: ClaimDraft, { evidence, ...sample }: EvidenceReading): DraftReading {
  const fields = new FieldReader<keyof ClaimDraft>(draft, draft.decimalMark)
  const value = parameterFigure(fields, draft, ['claimedValue', 'claimed value', ANY])
  const tolerance = needsTolerance(draft) ? toleranceIn(fields, draft) : undefined
  const significanceLevel = fields.level('significanceLevel', 'significance level')
  const secondSignificanceLevel = fields.level('secondLevel', 'second level')
  const confidenceLevel = fields.level('confidenceLevel', 'confidence level')
  const definition = parameterOf(draft.parameter)
  const knownStandardDeviation = definition.takesKnownSpread
    ? fields.number('knownStandardDeviation', 'known standard deviation', POSITIVE)
    : undefined
  const decimals = fields.number('decimals', 'number of decimals', wholeFrom(0, MAX_DECIMALS))
  const missing = [...missingFrom(fields, draft), ...sample.missing]
  const problems = [...fields.problems, ...sample.problems]
  const limit = isByReadings(draft) ? limitIn(fields, draft) : undefined
  const isOpen = value === undefined || (isByReadings(draft) && !limit)
  const claim = isOpen ? undefined : claimOf(draft, value, { tolerance, limit })
  const reading = { problems, missing, ...stated({ claim, decimals }) }
  const test = {
    ...stated({ significanceLevel, secondSignificanceLevel, confidenceLevel, knownStandardDeviation }),
    ...optionsOf(draft),
  }
  const isOnlyValueMissing = missing.every(({ field }) => OF_VALUE.includes(field))
  if (evidence && missing.length > 0 && isOnlyValueMissing && problems.length === 0) {
    const { parameter } = draft
    return { ...reading, estimate: { estimate: { parameter, evidence, ...stated({ limit }), test } } }
  }
  if (!claim || !evidence || missing.length > 0 || problems.length > 0) return reading

  return { ...reading, document: { claim, evidence, test } }
}

function claimOf(
  draft: ClaimDraft,
  value: number,
  { tolerance, limit }: Readonly<{ tolerance: Tolerance | undefined; limit: Limit | undefined }>,
): CheckDocument['claim'] {
  const { parameter, relation, quantity, wording } = draft
  const burden = draft.burden ?? undefined
  const unit = hasUnit(draft) ? draft.unit : undefined
  const exposureUnit = isPerExposure(draft) ? draft.exposureUnit.trim() : undefined
  return {
    parameter,
    relation,
    value,
    ...stated({ limit, tolerance, burden, unit, exposureUnit, quantity, wording }),
  }
}

/** What the reading of an item is held against; nothing while it is missing. */
function limitIn(fields: FieldReader<keyof ClaimDraft>, { limitSide: side }: ClaimDraft): Limit | undefined {
  const value = fields.number('limitValue', 'limit', ANY)
  const guardFactor = fields.number('guardFactor', 'guard band', NOT_NEGATIVE)
  return value === undefined || side === 'none' ? undefined : { side, value, ...stated({ guardFactor }) }
}

/** The choices of a test that are not the usual ones. */
function optionsOf(draft: ClaimDraft): Partial<NonNullable<CheckDocument['test']>> {
  const { method, interval, intervalSides, continuityCorrection, twoSidedRule, midP } = draft
  const { finiteLot, allowForMeasurement } = draft
  const { intervals } = parameterOf(draft.parameter)
  const followed = methodsFor(draft.parameter).flatMap((one) => methodOf(one).options)
  return {
    ...(method === 'auto' ? {} : { method }),
    ...(interval === 'auto' || !intervals.includes(interval) ? {} : { interval }),
    ...(intervalSides === 'auto' ? {} : { intervalSides }),
    ...(continuityCorrection ? { continuityCorrection } : {}),
    ...(twoSidedRule === 'auto' || !followed.includes('twoSidedRule') ? {} : { twoSidedRule }),
    ...(midP && followed.includes('midP') ? { midP } : {}),
    ...(finiteLot && followed.includes('finiteLot') ? { finiteLot } : {}),
    ...(allowForMeasurement && followed.includes('allowForMeasurement') ? { allowForMeasurement } : {}),
  }
}

/** A figure on the parameter's scale: of a share, also in percent. */
function parameterFigure(
  fields: FieldReader<keyof ClaimDraft>,
  { parameter }: ClaimDraft,
  [field, name, range]: readonly [keyof ClaimDraft, string, Range],
): number | undefined {
  return parameterOf(parameter).scale === 100 ? fields.share(field, name) : fields.number(field, name, range)
}

/** Both limits; nothing while one of them is missing. */
function toleranceIn(fields: FieldReader<keyof ClaimDraft>, draft: ClaimDraft): Tolerance | undefined {
  const below = parameterFigure(fields, draft, ['toleranceBelow', 'tolerance below', NOT_NEGATIVE])
  const above = parameterFigure(fields, draft, ['toleranceAbove', 'tolerance above', NOT_NEGATIVE])
  return below === undefined || above === undefined ? undefined : { below, above }
}

function missingFrom(fields: FieldReader<keyof ClaimDraft>, draft: ClaimDraft): readonly FieldProblem[] {
  const missing: FieldProblem[] = []
  const need = (field: keyof ClaimDraft, message: string) => {
    if (fields.text(field) === '') missing.push({ field, message })
  }
  need('claimedValue', 'State the claimed value.')
  if (isByReadings(draft)) need('limitValue', 'State the limit that the reading of an item is held against.')
  if (needsTolerance(draft)) {
    need('toleranceBelow', 'State the tolerance below the claimed value.')
    need('toleranceAbove', 'State the tolerance above the claimed value.')
  }
  if (isPerExposure(draft) && !readExposureUnit(draft.exposureUnit, draft.decimalMark))
    missing.push({
      field: 'exposureUnit',
      message: 'State what the rate is per, such as 1,000 deliveries, 100 m or hour.',
    })
  need('significanceLevel', 'State the significance level.')
  return missing
}
