import { type CaseContent, type ContentClaim, type ContentSample, sha256 } from '@/casefile/content'
import { EMPTY_CASE } from '@/desk/caseWords'
import { type ClaimDraft, EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { chained, type ChainedEntry } from '@/desk/trail/chain'
import { changeBetween } from '@/desk/trail/change'

const AT = '2026-11-03T10:42:00.000Z'
const times = { revision: 1, createdAt: AT, updatedAt: AT }
const idOf = (number: number) => `0190163d-8694-739b-aea5-${String(number).padStart(12, '0')}`
const CASE_ID = idOf(1)

/** A sample and the claim that is held against it. */
export type Example = Readonly<{ sample: Partial<SampleDraft>; claim: Partial<ClaimDraft> }>

export const SACKS: Example = {
  sample: {
    name: 'Sacks of line 2',
    readings: '14.93 15.02 14.88 15.11 14.79 14.97 15.03 14.9 14.95 15.0 14.7 9',
    setAside: [{ row: 11, reason: 'the sack was torn', by: 'B. Weigher' }],
    drawnAtRandom: 'random',
    lotSize: '960',
    instrument: 'bench scale 3',
  },
  claim: {
    source: 'label',
    wording: '15 kg net, since 1.1.2026',
    quantity: 'net mass',
    claimedValue: '15',
    unit: 'kg',
    remarks: 'Weighed twice.\nThe scale was warm.',
  },
}

export const DELIVERIES: Example = {
  sample: { name: 'Deliveries', kind: 'count', count: '1886 of 2000' },
  claim: {
    wording: '95 of 100 arrive in time',
    parameter: 'proportion',
    quantity: 'deliveries in time',
    relation: 'at-least',
    claimedValue: '95 %',
  },
}

export const UNFINISHED: Example = {
  sample: {},
  claim: { wording: 'burns all night', quantity: 'burning time' },
}

/** A case of its own, in memory: nothing of it is stored. */
export function exampleCase(examples: readonly Example[], subject = 'Pellet sacks'): CaseContent {
  const samples = examples.map(({ sample }, at): ContentSample => {
    const draft: SampleDraft = { ...EMPTY_SAMPLE, ...sample }
    return { id: idOf(100 + at), ...times, draft, file: null }
  })
  const claims = examples.map(({ claim }, at): ContentClaim => {
    const draft: ClaimDraft = { ...EMPTY_CLAIM, sampleId: samples[at]!.id, ...claim }
    return { id: idOf(200 + at), ...times, draft }
  })
  const words = {
    ...EMPTY_CASE,
    reference: 'WH-099',
    subject,
    party: 'Somebody & Sons',
    people: 'A. Officer\nB. Weigher',
  }
  const trail = trailOf([
    { action: 'opened', claimId: null, sampleId: null, change: changeBetween(EMPTY_CASE, words) },
    ...samples.map(({ id, draft }) => ({
      action: 'sample-added' as const,
      claimId: null,
      sampleId: id,
      change: changeBetween(EMPTY_SAMPLE, draft),
    })),
    ...claims.map(({ id, draft }) => ({
      action: 'claim-added' as const,
      claimId: id,
      sampleId: draft.sampleId,
      change: changeBetween({ ...EMPTY_CLAIM, sampleId: draft.sampleId }, draft),
    })),
  ])
  return {
    case: { id: CASE_ID, ...words, state: 'open', createdAt: AT, updatedAt: AT },
    claims,
    samples,
    findings: [],
    seals: [],
    trail,
    head: { length: trail.length, hash: trail.at(-1)!.hash },
  }
}

type Told = Pick<ChainedEntry, 'action' | 'claimId' | 'sampleId'> &
  Readonly<{ change: ReturnType<typeof changeBetween> }>

/** A trail that tells of everything that is there. */
function trailOf(changes: readonly Told[]): readonly ChainedEntry[] {
  const trail: ChainedEntry[] = []
  for (const [at, { change, ...told }] of changes.entries()) {
    const { before, after } = change ?? { before: '', after: '' }
    const entry = {
      id: idOf(300 + at),
      caseId: CASE_ID,
      at: AT,
      who: 'A. Officer',
      detail: '',
      before,
      after,
      ...told,
    }
    trail.push(chained(entry, { length: at, hash: trail.at(-1)?.hash ?? '' }, sha256))
  }
  return trail
}
