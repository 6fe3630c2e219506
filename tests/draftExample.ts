import { type ClaimDraft, EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { readDraft as readBoth } from '@/intake/readDraft'
import { readEvidence } from '@/intake/readEvidence'
import { readTypedSheet } from '@/intake/sheet/typedSheet'
import { takenFrom } from '@/intake/takenFrom'

export const draft: ClaimDraft = {
  ...EMPTY_CLAIM,
  sampleId: '0198c1de-0000-7000-8000-000000000000',
  quantity: 'net mass',
  claimedValue: '15',
  unit: 'kg',
}

export const sample: SampleDraft = { ...EMPTY_SAMPLE, readings: '14.93\n15.02\n14.88' }

export function readDraft(claim: ClaimDraft, held: SampleDraft = sample) {
  const taken = takenFrom(readTypedSheet(held), claim, held)
  return readBoth(claim, readEvidence({ sample: held, taken, draft: claim }))
}

export const grams = { ...columnNamed('readings', 'number'), unit: 'g' }

export const share: ClaimDraft = { ...draft, parameter: 'proportion', unit: '' }
