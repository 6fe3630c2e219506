import type { SampleDraft } from '@/desk/sampleDraft'

/** What is asked of where a sample comes from, in the order in which it is asked: the field, its name, and what fills it. */
export const PROVENANCE_FIELDS = [
  ['drawnHow', 'How it was drawn', 'such as two sacks from each pallet'],
  ['drawnWhen', 'Sampled on', 'day'],
  ['drawnWhere', 'Sampled at', 'place'],
  ['drawnBy', 'Sampled by', 'name'],
  ['lot', 'Lot', 'number or name'],
  ['lotSize', 'Size of the lot', 'number of units'],
  ['instrument', 'Instrument', 'such as bench scale 3'],
  ['resolution', 'Resolution of the instrument', 'smallest step, with its unit'],
  ['calibratedOn', 'Last calibrated', 'day'],
  ['calibrationDue', 'Calibration due', 'day'],
  ['uncertainty', 'Expanded uncertainty U', 'such as 0.02 kg, from the certificate'],
  ['coverageFactor', 'Its coverage factor k', 'such as 2'],
  ['uncertaintyDegrees', 'Its degrees of freedom', 'where they are stated'],
  ['readingUncertainty', 'Uncertainty of one reading', 'standard, such as 0.01 kg'],
] as const satisfies readonly (readonly [keyof SampleDraft, string, string])[]
