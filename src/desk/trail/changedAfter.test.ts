import { changedAfterReadings, FROM_BENCH } from './changedAfter'

const about = { claimId: 'claim', sampleIds: ['sample', null] }
const entry = (number: number, facts: object) => ({
  number,
  at: '2026-11-03T10:42:00.000Z',
  action: 'claim-changed' as const,
  claimId: null,
  sampleId: null,
  detail: '',
  before: '',
  after: '',
  ...facts,
})
const change = (number: number, before: object, after: object, claimId = 'claim') =>
  entry(number, { claimId, before: JSON.stringify(before), after: JSON.stringify(after) })
const readings = (number: number, facts: object = {}) =>
  entry(number, { action: 'sample-changed', sampleId: 'sample', after: '{"readings":"14.9\\n15"}', ...facts })

test('what decides a test is told of where it was changed after the readings were in', () => {
  const trail = [
    change(1, { claimedValue: '15' }, { claimedValue: '16' }),
    readings(2),
    change(3, { relation: 'at-least', wording: 'a' }, { relation: 'more-than', wording: 'b' }),
    change(4, { claimedValue: '16' }, { claimedValue: '15.5' }),
    change(5, { claimedValue: '15.5' }, { claimedValue: '15' }),
  ]
  expect(changedAfterReadings(trail, about)).toEqual([
    { field: 'relation', before: 'at-least', after: 'more-than', number: 3 },
    { field: 'claimedValue', before: '16', after: '15', number: 5 },
  ])
})

test('readings that are set aside and not brought back are told of', () => {
  const aside = (number: number, action: 'set-aside' | 'brought-back', sampleId = 'sample') =>
    entry(number, { action, sampleId })
  const put = [readings(1), aside(2, 'set-aside'), aside(3, 'set-aside'), aside(4, 'set-aside', 'other')]
  expect(changedAfterReadings(put, about)).toEqual([{ field: 'setAside', count: 2, number: 3 }])
  const one = [...put, aside(5, 'brought-back')]
  expect(changedAfterReadings(one, about)).toEqual([{ field: 'setAside', count: 1, number: 3 }])
  expect(changedAfterReadings([...one, aside(6, 'brought-back')], about)).toEqual([])
})

test.each([
  ['the burden that the words carry', { burden: null }, { burden: 'substantiate' }],
  ['the rows kept', { kept: [['a']] }, { kept: [['b']] }],
  ['the column', { column: 'mass' }, { column: 'gross' }],
  ['a known standard deviation', { knownStandardDeviation: '0.1' }, { knownStandardDeviation: '' }],
])('a change of %s is told of', (_, before, after) => {
  expect(changedAfterReadings([readings(1), change(2, before, after)], about)).toHaveLength(1)
  const back = [readings(1), change(2, before, after), change(3, after, before)]
  expect(changedAfterReadings(back, about)).toEqual([])
})

test.each([
  ['before there are readings', [change(1, { method: 'auto' }, { method: 't' }), readings(2)]],
  [
    'by the readings of another sample',
    [readings(1, { sampleId: 'other' }), change(2, { method: 'auto' }, { method: 't' })],
  ],
  ['of another claim', [readings(1), change(2, { method: 'auto' }, { method: 't' }, 'other')]],
  [
    'of a sample that says only where it was drawn',
    [readings(1, { after: '{"drawnWhere":"store 2"}' }), change(2, { method: 'auto' }, { method: 't' })],
  ],
  ['that chooses rows for the first time', [readings(1), change(2, { kept: [] }, { kept: [['b']] })]],
  ['that only states what was not', [readings(1), change(2, { claimedValue: '' }, { claimedValue: '15' })]],
  [
    'that is taken back',
    [
      readings(1),
      change(2, { method: 'auto' }, { method: 't' }),
      change(3, { method: 't' }, { method: 'auto' }),
    ],
  ],
])('nothing is told of a change %s', (_, trail) => {
  expect(changedAfterReadings(trail, about)).toEqual([])
})

test('a file that is brought in, a count and summary figures are readings too', () => {
  const changed = change(2, { significanceLevel: '0.05' }, { significanceLevel: '0.1' })
  for (const arrives of [
    readings(1, { action: 'brought-in', after: '' }),
    readings(1, { after: '{"count":"18 of 40"}' }),
    readings(1, { after: '{"sampleSize":"24"}' }),
  ])
    expect(changedAfterReadings([arrives, changed], about)).toHaveLength(1)
})

test('of a claim from the bench nobody knows what was changed there', () => {
  const added = (facts: object) =>
    entry(1, { action: 'claim-added', detail: `Mean 15, ${FROM_BENCH}`, ...facts })
  const known = [{ field: 'bench', number: 1 }]
  expect(changedAfterReadings([added({ claimId: 'claim' })], about)).toEqual(known)
  expect(changedAfterReadings([added({ claimId: 'claim' }), readings(2)], about)).toEqual(known)
  expect(changedAfterReadings([added({ claimId: 'other' }), readings(2)], about)).toEqual([])
  expect(changedAfterReadings([added({ claimId: 'claim', detail: 'Mean 15' })], about)).toEqual([])
  // Of a later change of its words nothing of the kind is said.
  expect(changedAfterReadings([added({ claimId: 'claim', action: 'claim-changed' })], about)).toEqual([])
})
