import * as z from 'zod/mini'
import { keptRowsSchema } from './rowCondition'
import { DECIMAL_MARKS, storedText } from './typed'
import { parameterOf } from '@/claims/all'
import { METHODS, PARAMETERS } from '@/claims/terms/names'
import { LIMIT_SIDES } from '@/claims/terms/limit'
import { BURDENS, RELATIONS } from '@/claims/terms/relations'
import { INTERVAL_SIDES } from '@/statistics/inference/interval'
import { controlPlanSchema } from '@/claims/terms/controlPlan'
import { ADJUSTMENTS } from '@/statistics/adjust/adjust'
import { TWO_SIDED_RULES } from '@/claims/terms/twoSidedRules'
import { RATE_INTERVALS } from '@/statistics/inference/rateInterval'
import { SHARE_INTERVALS } from '@/statistics/inference/shareInterval'

/** Longer than any label or unit, shorter than a nuisance. */
const words = storedText(500)
const REMARKS_LENGTH = 20_000
const MAX_LOTS = 200

/** Whether a claim is tested, or the net content of prepackages is controlled by a plan. */
export const CONTROLS = ['none', 'net-content'] as const
/** What is taken off of what was weighed: nothing, the package of each by a column, that of empty packs on average, or one stated. */
export const TARES = ['none', 'column', 'packs', 'stated'] as const

/**
 * A claim as a person types it: texts, half-typed ones too, so that nothing typed is lost or rounded. `readDraft` makes a
 * check document of it and of the sample that it is held against.
 */
export const claimDraftSchema = z.strictObject({
  /** Who or what makes the claim: "label". */
  source: words,
  wording: words,
  parameter: z.enum(PARAMETERS),
  quantity: words,
  relation: z.enum(RELATIONS),
  claimedValue: words,
  toleranceBelow: words,
  toleranceAbove: words,
  unit: words,
  /** What a rate is per: "1,000 deliveries". */
  exposureUnit: words,
  /** Of a share of items by their readings: on which side of the limit one counts; none: rows or units are counted. */
  limitSide: z.enum(['none', ...LIMIT_SIDES]),
  limitValue: words,
  /** So many standard uncertainties of a reading the limit is moved by; empty: none. */
  guardFactor: words,
  /** Absent: the burden that the relation's words carry. */
  burden: z.nullable(z.enum(BURDENS)),
  significanceLevel: words,
  /** Read beside the first; empty: none. */
  secondLevel: words,
  /** Empty: the level that mirrors the test. */
  confidenceLevel: words,
  /** Empty: taken from the sample. */
  knownStandardDeviation: words,
  method: z.enum(['auto', ...METHODS]),
  /** Of a share or a rate. */
  interval: z.enum(['auto', ...SHARE_INTERVALS, ...RATE_INTERVALS]),
  intervalSides: z.enum(['auto', ...INTERVAL_SIDES]),
  continuityCorrection: z.boolean(),
  twoSidedRule: z.enum(['auto', ...TWO_SIDED_RULES]),
  midP: z.boolean(),
  /** Of a mean: whether the standard error allows for the size of the lot, and for what all readings share. */
  finiteLot: z.boolean(),
  allowForMeasurement: z.boolean(),
  /** For display; empty: from the standard error. */
  decimals: words,
  /** Of the histogram's bins, in the unit of the readings; absent: the usual one. */
  binWidth: z.nullable(z.number().check(z.positive())),
  /** How numbers are typed in the claim. */
  decimalMark: z.enum(DECIMAL_MARKS),
  sampleId: z.uuid(),
  /** The column of the sample's sheet that holds the readings, by its short name; empty: the only one, or none chosen yet. */
  column: words,
  kept: keptRowsSchema,
  /** Of a share: which of the rows kept have the property that is claimed. */
  counted: keptRowsSchema,
  /** Of two spreads: the sample of the second source; null: the same one by another column or other rows, or none chosen yet. */
  secondSampleId: z.nullable(z.uuid()),
  secondColumn: words,
  secondKept: keptRowsSchema,
  control: z.enum(CONTROLS),
  tareBy: z.enum(TARES),
  tare: words,
  /** Of a volume found by weighing, in g/mL; empty: what the label states is what was measured. */
  density: words,
  /** As it stood when it was chosen; null: the one that ships. */
  controlPlan: z.nullable(controlPlanSchema),
  /** The column by whose entries the claim is held against each group; empty: none. */
  groupsBy: words,
  /** Samples of other lots that it is held against too. */
  lots: z.array(z.uuid()).check(z.maxLength(MAX_LOTS)),
  /** By which the p-values of groups and lots are adjusted. */
  adjustment: z.enum(ADJUSTMENTS),
  /** What whoever signs the finding has to say beside it. */
  remarks: storedText(REMARKS_LENGTH),
  /** Kept, but part of nothing any more; it can be taken up again. */
  isDiscarded: z.boolean(),
})

export type ClaimDraft = z.infer<typeof claimDraftSchema>

/** The words of a claim that name it in a list. */
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
  | 'exposureUnit'
  | 'limitSide'
  | 'limitValue'
  | 'control'
>

/** All of a claim but the sample that it is held against. */
export type ClaimWithoutSample = Omit<ClaimDraft, 'sampleId'>

export const EMPTY_CLAIM: ClaimWithoutSample = {
  source: '',
  wording: '',
  parameter: 'mean',
  quantity: '',
  relation: 'at-least',
  claimedValue: '',
  toleranceBelow: '',
  toleranceAbove: '',
  unit: '',
  exposureUnit: '',
  limitSide: 'none',
  limitValue: '',
  guardFactor: '',
  burden: null,
  significanceLevel: '0.05',
  secondLevel: '',
  confidenceLevel: '',
  knownStandardDeviation: '',
  method: 'auto',
  interval: 'auto',
  intervalSides: 'auto',
  continuityCorrection: false,
  twoSidedRule: 'auto',
  midP: false,
  finiteLot: false,
  allowForMeasurement: false,
  decimals: '',
  binWidth: null,
  decimalMark: 'point',
  column: '',
  kept: [],
  counted: [],
  secondSampleId: null,
  secondColumn: '',
  secondKept: [],
  control: 'none',
  tareBy: 'none',
  tare: '',
  density: '',
  controlPlan: null,
  groupsBy: '',
  lots: [],
  adjustment: 'holm',
  remarks: '',
  isDiscarded: false,
}

/** Whether a claim is one of items by their readings, each held against a limit. */
export const isByReadings = ({
  parameter,
  limitSide,
}: Pick<ClaimDraft, 'parameter' | 'limitSide'>): boolean =>
  limitSide !== 'none' && parameterOf(parameter).sample === 'counted'

/** Whether a claim takes rows that count or do not, and no readings. */
export const countsRows = (draft: Pick<ClaimDraft, 'parameter' | 'limitSide'>): boolean =>
  parameterOf(draft.parameter).sample === 'counted' && !isByReadings(draft)

/** Whether a claim is a control of net content by a plan. */
export const isControlled = ({ control }: Pick<ClaimDraft, 'control'>): boolean => control === 'net-content'

/** Whether a claim takes readings of two sources: two spreads, or packs and their packages. */
export const takesTwo = ({
  parameter,
  control,
  tareBy,
}: Pick<ClaimDraft, 'parameter' | 'control' | 'tareBy'>): boolean =>
  control === 'none' ? parameterOf(parameter).sample === 'two' : tareBy === 'column' || tareBy === 'packs'

/** The samples that a claim names: its own, that of its second source, and those of other lots. */
export const samplesNamed = ({
  sampleId,
  secondSampleId,
  lots,
}: Pick<ClaimDraft, 'sampleId' | 'secondSampleId' | 'lots'>): readonly string[] => [
  ...new Set([sampleId, ...(secondSampleId === null ? [] : [secondSampleId]), ...lots]),
]
