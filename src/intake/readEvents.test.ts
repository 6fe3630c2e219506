import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { readEvidence } from './readEvidence'
import { readWording } from './readWording'
import { readTypedSheet } from './sheet/typedSheet'
import { takenFrom } from './takenFrom'

const CLAIM = { ...EMPTY_CLAIM, sampleId: '', parameter: 'rate', exposureUnit: '1,000 deliveries' } as const

function evidenceOf(own: Partial<SampleDraft>, claim: Partial<typeof EMPTY_CLAIM> = {}) {
  const sample = { ...EMPTY_SAMPLE, ...own }
  const draft = { ...CLAIM, ...claim }
  const taken = sample.kind === 'typed' ? takenFrom(readTypedSheet(sample), draft, sample) : undefined
  return readEvidence({ sample, taken, draft })
}
const said = ({ problems, missing }: ReturnType<typeof evidenceOf>) =>
  [...problems, ...missing].map(({ field, message }) => `${field}: ${message}`)

test('events are counted over an exposure in units of what the rate is per, and of no lot', () => {
  const sample = { kind: 'events', events: '41', exposure: '12400', lotSize: '500' } as const
  const { evidence } = evidenceOf({ ...sample, drawnAtRandom: 'random' })
  expect(evidence).toEqual({ kind: 'events', events: 41, exposure: 12.4, drawn: 'random' })
})

test('rows of counts have one exposure each', () => {
  const rows = { readings: '3 1 4 2', exposure: '2000', setAside: [{ row: 1, reason: 'snow', by: '' }] }
  expect(evidenceOf(rows).evidence).toEqual({
    kind: 'event-counts',
    values: [3, 1, 4, 2],
    exposureEach: 2,
    setAside: [1],
  })
  const wrong = { ...rows, readings: '3 2.5 4 2' }
  expect(evidenceOf(wrong).evidence).toMatchObject({ values: [3, 2.5, 4, 2], setAside: [1] })
  expect(evidenceOf({ readings: '3', exposure: '1000' }).evidence).toMatchObject({ values: [3] })
})

test.each<readonly [Partial<SampleDraft>, Partial<typeof EMPTY_CLAIM>, RegExp]>([
  [{ kind: 'events' }, {}, /^events: State how many/],
  [{ kind: 'events', events: '3' }, {}, /^exposure: State over what/],
  [
    { kind: 'events', events: '2.5', exposure: '1' },
    {},
    /^events: The number of events is “2.5”.*whole number/,
  ],
  [{ kind: 'events', events: '-1', exposure: '1' }, {}, /^events: .*of 0 or more/],
  [{ kind: 'events', events: '3', exposure: '0' }, {}, /^exposure: .*more than 0/],
  [
    { kind: 'events', events: '3', exposure: '1' },
    { parameter: 'mean' },
    /^kind: Events over an exposure tell a rate/,
  ],
  [{ kind: 'count', count: '3 of 9' }, {}, /^kind: A rate is told from events/],
  [{ kind: 'summary' }, {}, /^kind: A rate cannot be told from a mean/],
  [{ readings: '3 2.5', exposure: '1' }, {}, /^column: “2.5” in row 2 is no number of events/],
  [{ readings: '3 -2', exposure: '1' }, {}, /^column: “-2” in row 2/],
  [{ readings: '3 2' }, {}, /^exposure: State what each row/],
  [
    { readings: '3', exposure: '1', setAside: [{ row: 0, reason: 'x', by: '' }] },
    {},
    /^readings: Enter at least one/,
  ],
])('%j is no evidence yet, and it is said why', (sample, claim, words) => {
  const read = evidenceOf(sample, claim)
  expect(read.evidence).toBeUndefined()
  expect(said(read)[0]).toMatch(words)
})

test.each([
  ['no more than 2 complaints per 1,000 deliveries', 'at-most', '2', 'complaints', '1,000 deliveries'],
  ['fewer than 3 faults per 100 m', 'less-than', '3', 'faults', '100 m'],
  ['at least 5 readings per 12 hours', 'at-least', '5', 'readings', '12 hours'],
])('“%s” is a rate', (wording, relation, claimedValue, quantity, exposureUnit) => {
  expect(readWording(wording, 'point')?.words).toEqual({
    parameter: 'rate',
    relation,
    claimedValue,
    quantity,
    exposureUnit,
  })
})

test('“5 kg per hour” may be a mean of anything, and is not taken for a rate', () => {
  expect(readWording('burns at most 5 kg per hour', 'point')?.words.parameter).toBeUndefined()
})
