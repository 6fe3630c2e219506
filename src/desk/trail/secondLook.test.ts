import type { TrailAction } from './chain'
import { secondLooks } from './secondLook'

const about = { claimId: 'claim', sampleIds: ['sample', null] }
type Step = Readonly<{ minute: number; action?: TrailAction; was?: object; is?: object; of?: string }>
/** Entries one after the other; `minute` counts from the first. */
function trailOf(entries: readonly Step[]) {
  return entries.map(({ minute, action = 'sample-changed', was = {}, is = {}, of }, at) => ({
    ...{ number: at + 1, at: new Date(Date.UTC(2026, 10, 3, 9, minute)).toISOString(), action },
    claimId: action.startsWith('claim-') || action === 'signed' ? (of ?? 'claim') : null,
    sampleId: action.startsWith('sample-') || action === 'brought-in' ? (of ?? 'sample') : null,
    ...{ before: JSON.stringify(was), after: JSON.stringify(is) },
  }))
}
const claimed = {
  minute: 0,
  action: 'claim-added' as const,
  was: { claimedValue: '' },
  is: { claimedValue: '15' },
}
const readings = (minute: number, was: string, is: string, of?: string) => ({
  ...{ minute, was: { readings: was }, is: { readings: is } },
  ...(of ? { of } : {}),
})
const numbers = (...entries: readonly Step[]) =>
  secondLooks(trailOf(entries), about).map(({ isSigned, seen, number }) => [isSigned, seen.number, number])

test('readings that come in an hour after those before, where a claim was there to be held against them', () => {
  const first = readings(1, '', '14.9\n15')
  expect(numbers(claimed, first, readings(61, '14.9\n15', '14.9\n15\n15.1'))).toEqual([[false, 2, 3]])
  expect(numbers(claimed, first, readings(60, '14.9\n15', '14.9\n15\n15.1'))).toEqual([])
  // Each by itself, from the last one on.
  expect(
    numbers(
      claimed,
      first,
      readings(30, '14.9\n15', '14.9\n15\n15.1'),
      readings(90, '14.9\n15\n15.1', '14.9\n15\n15.1\n15'),
      readings(150, '14.9\n15\n15.1\n15', '1;2;3;4;5'),
    ),
  ).toEqual([
    [false, 3, 4],
    [false, 4, 5],
  ])
})

test('readings that come in at any time after a finding was signed', () => {
  const first = readings(1, '', '14.9\n15')
  const sign = { minute: 2, action: 'signed' as const }
  expect(numbers(claimed, first, sign, readings(3, '14.9\n15', '14.9\n15\n15.1'))).toEqual([[true, 3, 4]])
  expect(numbers(claimed, first, { ...sign, of: 'other' }, readings(3, '14.9', '14.9\n15'))).toEqual([])
})

test.each<readonly [string, readonly Step[]]>([
  ['without a claimed value', [{ ...claimed, is: {} }, readings(1, '', '1 2'), readings(99, '1 2', '1 2 3')]],
  ['of one reading', [claimed, readings(1, '', '14.9'), readings(99, '14.9', '14.9 15')]],
  ['as corrected', [claimed, readings(1, '', '14.9 15'), readings(99, '14.9 15', '14.8 15')]],
  ['of another sample', [claimed, readings(1, '', '1 2'), readings(99, '', '1 2 3', 'other')]],
  ['of one that is gone', [claimed, readings(1, '', '1 2'), readings(99, '1 2', '')]],
  [
    'of words about them',
    [claimed, readings(1, '', '1 2'), { minute: 99, was: { drawnWhere: '' }, is: { drawnWhere: 'store 2' } }],
  ],
])('nothing is told of readings %s', (_, entries) => {
  expect(numbers(...entries)).toEqual([])
})

test('a count, or a file that is brought in again, is more too', () => {
  const count = (minute: number, was: string, is: string) => ({
    minute,
    was: { count: was },
    is: { count: is },
  })
  expect(numbers(claimed, count(1, '', '18 of 40'), count(99, '18 of 40', '30 of 60'))).toEqual([
    [false, 2, 3],
  ])
  expect(numbers(claimed, count(1, '', '18 of 40'), count(99, '18 of 40', ''))).toEqual([])
  const file = (minute: number) => ({ minute, action: 'brought-in' as const })
  expect(numbers(claimed, file(1), file(99))).toEqual([[false, 2, 3]])
})

test('a long text tells only the stretch that changed', () => {
  const long = '15.0\n'.repeat(300)
  const stretch = {
    minute: 99,
    was: { readings: { from: 5, text: '' } },
    is: { readings: { from: 5, text: '14.9\n' } },
  }
  expect(numbers(claimed, readings(1, '', long), stretch)).toEqual([[false, 2, 3]])
})
