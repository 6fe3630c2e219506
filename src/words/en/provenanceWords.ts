import type { SampleDraft } from '@/desk/sampleDraft'

/** What is asked of where a sample comes from, in the order in which it is asked. */
export const PROVENANCE_FIELDS = [
  ['drawnHow', 'How it was drawn'],
  ['drawnWhen', 'When'],
  ['drawnWhere', 'Where'],
  ['drawnBy', 'By whom'],
  ['lot', 'Lot'],
  ['lotSize', 'Size of the lot'],
  ['instrument', 'Instrument'],
  ['resolution', 'Its resolution'],
  ['calibratedOn', 'Last calibrated'],
] as const satisfies readonly (readonly [keyof SampleDraft, string])[]

export type ProvenanceField = (typeof PROVENANCE_FIELDS)[number][0]
