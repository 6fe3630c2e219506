import type { SampleDraft } from '@/desk/sampleDraft'

/** What is asked of where a sample comes from, in the order in which it is asked: the field, its name, and what fills it. */
export const PROVENANCE_FIELDS = [
  ['drawnHow', 'How it was drawn', 'such as two sacks from each pallet'],
  ['drawnWhen', 'Sampled on', 'day'],
  ['drawnWhere', 'Sampled at', 'place'],
  ['drawnBy', 'Sampled by', 'name'],
  ['lot', 'Lot', 'number or name'],
  ['lotSize', 'Size of the lot', 'number of units'],
  ['receivedOn', 'Received on', 'day'],
  ['itemsCondition', 'Condition of the items', 'such as bags whole and dry'],
  ['measuredOn', 'Measured on', 'day, where it is another than that of the sampling'],
  ['measuredWhere', 'Measured at', 'place'],
  ['environment', 'Environment', 'such as 20 °C, dry'],
  ['procedure', 'Procedure of measuring', 'with its edition'],
  ['deviations', 'Deviations from it', 'or none'],
  ['fromOthers', 'Results of others', 'which, and whose'],
  ['instrument', 'Instrument', 'such as bench scale 3'],
  ['resolution', 'Resolution of the instrument', 'smallest step, with its unit'],
  ['calibratedOn', 'Last calibrated', 'day'],
  ['calibrationDue', 'Calibration due', 'day'],
  ['uncertainty', 'Expanded uncertainty U', 'such as 0.02 kg, from the certificate'],
  ['coverageFactor', 'Its coverage factor k', 'such as 2'],
  ['uncertaintyDegrees', 'Its degrees of freedom', 'where they are stated'],
  ['readingUncertainty', 'Uncertainty of one reading', 'standard, such as 0.01 kg'],
  ['traceability', 'Certificate and traceability', 'number, and of whom'],
] as const satisfies readonly (readonly [keyof SampleDraft, string, string])[]

type ProvenanceField = (typeof PROVENANCE_FIELDS)[number][0]

/** Those that are days. */
export const PROVENANCE_DAYS: readonly ProvenanceField[] = [
  'drawnWhen',
  'receivedOn',
  'measuredOn',
  'calibratedOn',
  'calibrationDue',
]

/** Those that a test report states, and that are asked for apart from the others. */
export const FOR_A_TEST_REPORT: readonly ProvenanceField[] = [
  'receivedOn',
  'itemsCondition',
  'measuredOn',
  'measuredWhere',
  'environment',
  'procedure',
  'deviations',
  'fromOthers',
  'traceability',
]
