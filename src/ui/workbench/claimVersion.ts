import type { ClaimDraft } from '@/desk/claimDraft'
import { keptWords } from '@/words/en/rowConditionWords'
import { linesOf } from '../saving/linesOf'
import type { VersionLine } from '../saving/versions'

const NAMES: Readonly<Record<keyof ClaimDraft, string>> = {
  source: 'Where it stands',
  wording: 'Wording',
  parameter: 'Parameter',
  quantity: 'Quantity',
  relation: 'Relation',
  claimedValue: 'Claimed value',
  toleranceBelow: 'Tolerance below',
  toleranceAbove: 'Tolerance above',
  unit: 'Unit',
  exposureUnit: 'What the rate is per',
  limitSide: 'What items count by',
  limitValue: 'Limit of an item',
  guardFactor: 'Guard band',
  burden: 'Burden',
  significanceLevel: 'Significance level',
  secondLevel: 'Second level',
  confidenceLevel: 'Confidence level',
  knownStandardDeviation: 'Known standard deviation',
  method: 'Method',
  interval: 'Interval',
  intervalSides: 'Ends of the interval',
  continuityCorrection: 'Continuity correction',
  twoSidedRule: 'Two-sided rule',
  midP: 'Mid-p',
  finiteLot: 'Allowing for the lot',
  allowForMeasurement: 'Allowing for the measurement',
  decimals: 'Decimals',
  binWidth: 'Width of the bins',
  decimalMark: 'Decimal mark',
  sampleId: 'Sample',
  column: 'Column of the readings',
  kept: 'Rows kept',
  counted: 'Rows that count',
  secondSampleId: 'Sample of the second source',
  secondColumn: 'Column of the second source',
  secondKept: 'Rows kept of the second source',
  control: 'Control of net content',
  tareBy: 'How the tare is known',
  tare: 'Tare',
  density: 'Density',
  controlPlan: 'Control plan',
  groupsBy: 'Column of the groups',
  lots: 'Other lots',
  adjustment: 'Adjustment',
  remarks: 'Remarks',
  isDiscarded: 'Discarded',
}

/** A claim in words, a line a field. */
export function claimVersion(draft: ClaimDraft): readonly VersionLine[] {
  return linesOf(draft, NAMES, { kept: keptWords, counted: keptWords, secondKept: keptWords })
}
