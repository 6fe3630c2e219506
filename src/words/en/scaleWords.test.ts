import { plain } from '@tests/plain'
import { backWords, nextWords, notTakenWords, shownWords, takenWithWords, takenWords } from './scaleWords'

test('what is shown, taken and next is told as the instrument and the draw have it', () => {
  expect(plain(shownWords({ text: '-0.016', unit: 'kg' }))).toBe('−0.016 kg')
  expect(shownWords({ text: '14.90', unit: '' })).toBe('14.90')
  expect(takenWords('14.932 kg', 1200, 'north 49')).toBe('Taken: 14.932 kg as reading 1,200, unit north 49.')
  expect(takenWords('14.932', 4, '')).toBe('Taken: 14.932 as reading 4.')
  expect(nextWords('north 51', 4, 30)).toBe('Next: unit north 51. 4 of 30 taken, 26 to go.')
  expect(nextWords(undefined, 30, 30)).toBe('All 30 units of the draw are taken.')
  expect(backWords(1)).toMatch(/^One reading that was/)
  expect(backWords(2)).toMatch(/^2 readings that were/)
})

test('with a reading goes what the register calls the instrument, and what it calls itself', () => {
  expect(takenWithWords('bench scale 3', 'Scale 3, 0.001 kg')).toBe(
    'bench scale 3 (it calls itself: Scale 3, 0.001 kg)',
  )
  expect(takenWithWords('', 'Scale 3')).toBe('Scale 3')
  expect(takenWithWords('bench scale 3', '')).toBe('bench scale 3')
})

test('why a reading is not put into the sample, and what would do', () => {
  expect(notTakenWords({ why: 'other-unit', instrument: 'g', readings: 'kg' })).toMatch(
    /^The instrument shows g, and the readings here are in kg\. Set the instrument to that unit/,
  )
  expect(notTakenWords({ why: 'other-unit', instrument: 'g', readings: '' })).toMatch(/here have no unit\./)
  expect(notTakenWords({ why: 'not-typed' })).toMatch(/no list of readings/)
  expect(notTakenWords({ why: 'no-column' })).toMatch(/against no column/)
})
