import type { Instrument } from '@/desk/instrument'

/** What is stated of an instrument, its name first: the field, its name, and what fills it. */
export const INSTRUMENT_FIELDS = [
  ['name', 'Name', 'such as bench scale 3'],
  ['resolution', 'Resolution', 'smallest step, with its unit'],
  ['calibratedOn', 'Calibrated on', 'such as 2026-01-14'],
  ['calibrationDue', 'Calibration due', 'such as 2027-01-13'],
  ['uncertainty', 'Expanded uncertainty U', 'such as 0.02 kg'],
  ['coverageFactor', 'Coverage factor k', 'such as 2'],
  ['uncertaintyDegrees', 'Degrees of freedom', 'where they are stated'],
  ['readingUncertainty', 'Uncertainty of one reading', 'standard, such as 0.01 kg'],
  ['traceability', 'Certificate and traceability', 'number, and of whom'],
] as const satisfies readonly (readonly [Exclude<keyof Instrument, 'isRetired'>, string, string])[]
