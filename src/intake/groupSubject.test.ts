import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { claimedIn, subjectOfGroups } from './groupSubject'

const draft = { ...EMPTY_CLAIM, sampleId: '', claimedValue: '15', unit: 'kg' }

test.each([
  ['0.01', 0.01],
  ['1 %', 0.01],
  ['5 per cent', 0.05],
  ['10%', 0.1],
])('the level of a claim as it is typed: %s', (significanceLevel, level) => {
  expect(subjectOfGroups({ ...draft, significanceLevel }).level).toBe(level)
})

test('decimals that are chosen, and what the codes of the column mean', () => {
  expect(subjectOfGroups({ ...draft, decimals: '2' }, '7 = North quay')).toMatchObject({
    decimals: 2,
    meanings: { 7: 'North quay' },
    isControl: false,
  })
  expect(subjectOfGroups({ ...draft, decimals: 'two' }).decimals).toBeUndefined()
})

test('where the claim lies: its value, both limits of a tolerance, the label of a control', () => {
  expect(claimedIn(draft)).toEqual([15])
  const within = { ...draft, relation: 'within', toleranceBelow: '0.25', toleranceAbove: '0.5' } as const
  expect(claimedIn(within)).toEqual([14.75, 15.5])
  expect(claimedIn({ ...draft, control: 'net-content', decimalMark: 'comma', claimedValue: '1,5' })).toEqual([
    1.5,
  ])
  expect(claimedIn({ ...draft, claimedValue: '' })).toEqual([])
})
