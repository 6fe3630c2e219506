import { CORE_VERSION } from '@/claims/terms/version'
import { TRAIL_ACTIONS } from '@/desk/trail/chain'
import {
  ACTION_WORDS,
  anewWords,
  changedAfterWords,
  changeLines,
  instantWords,
  spanWords,
  verdictWords,
} from './trailWords'

test('every action has words, and no two the same', () => {
  const words = TRAIL_ACTIONS.map((action) => ACTION_WORDS[action])
  expect(new Set(words).size).toBe(TRAIL_ACTIONS.length)
})

test('an instant is told in UTC, to the second', () => {
  const [first, last] = ['2026-11-03T10:42:07.123Z', '2026-11-03T10:43:12.000Z']
  expect(instantWords(first)).toBe('2026-11-03 10:42:07 UTC')
  expect(spanWords(first, last)).toBe('2026-11-03 10:42:07 to 10:43:12 UTC')
  expect(spanWords(first, '2026-11-04T00:00:01.000Z')).toBe('2026-11-03 10:42:07 to 2026-11-04 00:00:01 UTC')
})

test('a verdict names the entry that does not fit', () => {
  expect(verdictWords({ holds: false, number: 7, why: 'altered' })).toBe(
    'The chain is broken at entry 7: it is not what was written.',
  )
  expect(verdictWords({ holds: true, length: 1, hash: 'ab' })).toBe(
    'The chain holds: the one entry is as written. It ends with ab.',
  )
  expect(verdictWords({ holds: true, length: 1200, hash: 'ab' })).toContain('all 1,200 entries')
  expect(verdictWords({ holds: true, length: 0, hash: '' })).toBe('There is no entry yet.')
})

test('a change is told field by field, a long text by the stretch that changed', () => {
  const before =
    '{"claimedValue":"15","counted":["x",{"toReach":7}],"kept":[[{"column":"depot","relation":"is","upTo":"","value":"7"}]],"readings":{"from":12,"text":"7"}}'
  const after = '{"claimedValue":"16","counted":[],"kept":[],"readings":{"from":12,"text":""},"unit":null}'
  expect(changeLines({ before, after })).toEqual([
    { field: 'claimed value', before: '15', after: '16' },
    { field: 'rows that count', before: 'x; to reach 7', after: '' },
    { field: 'rows kept', before: 'depot is 7', after: '' },
    { field: 'readings', before: '… 7 …', after: '…  …' },
    { field: 'unit', before: '', after: '' },
  ])
  expect(changeLines({ before: '', after: '' })).toEqual([])
  const altered = { before: '{"a":1', after: '[1]' }
  expect(changeLines(altered)).toEqual([{ field: 'text', before: '{"a":1', after: '[1]' }])
})

test('what was changed after the readings were in is told with its entry', () => {
  expect(changedAfterWords([])).toBe('')
  expect(
    changedAfterWords([
      { field: 'relation', before: 'at-least', after: 'more-than', number: 7 },
      { field: 'significanceLevel', before: '0.05', after: '0.1', number: 1200 },
    ]),
  ).toBe(
    'After the readings were in, the relation was changed from “at least” to “more than” (entry 7 of the trail); the significance level was changed from “0.05” to “0.1” (entry 1,200 of the trail).',
  )
})

test('what is not stated before or after a change is told to be so', () => {
  const words = changedAfterWords([
    { field: 'burden', before: null, after: 'substantiate', number: 3 },
    { field: 'knownStandardDeviation', before: '0.1', after: '', number: 4 },
  ])
  expect(words).toContain('from “the one that its words carry” to “must be shown”')
  expect(words).toContain('from “0.1” to “nothing”')
})

test('choices are told in the words of the page', () => {
  const before = '{"method":"auto","parameter":"mean","relation":"at-least","takenIndependently":"unknown"}'
  const after =
    '{"method":"score-z","parameter":"variance-ratio","relation":"equal-to","takenIndependently":"not-independent"}'
  expect(changeLines({ before, after }).map((line) => [line.before, line.after])).toEqual([
    ['the usual test', 'score z test'],
    ['mean', 'ratio of variances'],
    ['at least', 'equal to'],
    ['nobody has said', 'in groups'],
  ])
  // What is no choice of today stays as it was written.
  expect(changeLines({ before: '{"method":"other"}', after: '{"method":1}' })[0]).toMatchObject({
    before: 'other',
    after: '1',
  })
})

test('what another core had made is told to be the same, or twenty of what differs', () => {
  const told = (count: number) =>
    anewWords({ coreVersion: '0.1.0', differences: Array.from({ length: count }, (_, at) => `claim ${at}`) })
  expect(anewWords({ coreVersion: CORE_VERSION, differences: [] })).toBe('')
  expect(told(0)).toBe(
    `Its results were made with core 0.1.0 and computed anew with core ${CORE_VERSION}: every figure is the same.`,
  )
  expect(told(2)).toMatch(/; these differ: claim 0, claim 1\.$/)
  expect(told(20)).toMatch(/claim 18, claim 19\.$/)
  expect(told(21)).toMatch(/claim 18, claim 19 and 1 more\.$/)
})
