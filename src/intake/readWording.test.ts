import { readWording } from './readWording'

const mean = { parameter: 'mean' } as const

// Wordings made up for the purpose.
test.each([
  ['15 kg net', { ...mean, relation: 'at-least', claimedValue: '15', unit: 'kg' }],
  ['Contains no less than 500 ml', { ...mean, relation: 'at-least', claimedValue: '500', unit: 'ml' }],
  ['Never above 8 % on average', { ...mean, relation: 'at-most', claimedValue: '8', unit: '%' }],
  ['up to 12.5 h of light', { ...mean, relation: 'at-most', claimedValue: '12.5', unit: 'h' }],
  ['quieter than 42 dB', { ...mean, relation: 'less-than', claimedValue: '42', unit: 'dB' }],
  ['lasts longer than 1000 h', { ...mean, relation: 'more-than', claimedValue: '1000', unit: 'h' }],
  ['not more than 0.3 mg/l', { ...mean, relation: 'at-most', claimedValue: '0.3', unit: 'mg/l' }],
  [
    'varies by no more than 0.30 °C',
    { parameter: 'standard-deviation', relation: 'at-most', claimedValue: '0.30', unit: '°C' },
  ],
  [
    '95 of 100 deliveries arrive within two days',
    { parameter: 'proportion', relation: 'at-least', claimedValue: '95 %' },
  ],
  [
    'at least 9 out of 10 would buy again',
    { parameter: 'proportion', relation: 'at-least', claimedValue: '90 %' },
  ],
  [
    '99.5 % of parcels arrive whole',
    { parameter: 'proportion', relation: 'at-least', claimedValue: '99.5 %' },
  ],
  ['fewer than 2 in 1000 fail', { parameter: 'proportion', relation: 'less-than', claimedValue: '0.2 %' }],
  [
    '10 mm ± 0.5',
    {
      ...mean,
      relation: 'within',
      claimedValue: '10',
      toleranceBelow: '0.5',
      toleranceAbove: '0.5',
      unit: 'mm',
    },
  ],
  [
    '10 +/- 0.5 mm',
    {
      ...mean,
      relation: 'within',
      claimedValue: '10',
      toleranceBelow: '0.5',
      toleranceAbove: '0.5',
      unit: 'mm',
    },
  ],
  [
    'between 9.5 and 10.5 mm',
    {
      ...mean,
      relation: 'within',
      claimedValue: '10',
      toleranceBelow: '0.5',
      toleranceAbove: '0.5',
      unit: 'mm',
    },
  ],
  [
    'both lines fill just as evenly',
    { parameter: 'variance-ratio', relation: 'equal-to', claimedValue: '1' },
  ],
  [
    'median burning time at least 6 h',
    { parameter: 'median', relation: 'at-least', claimedValue: '6', unit: 'h' },
  ],
])('“%s” is read for a first guess', (wording, words) => {
  expect(readWording(wording, 'point')?.words).toEqual(words)
})

test('nothing is guessed from a wording that says nothing of the kind', () => {
  expect(readWording('the finest pellets of the island', 'point')).toBeUndefined()
  expect(readWording('', 'point')).toBeUndefined()
})

test('a share that is no exact number of percent is not guessed', () => {
  expect(readWording('2 out of 3 prefer it', 'point')?.words.parameter).not.toBe('proportion')
})

test('a number written with the other decimal mark is not guessed from', () => {
  expect(readWording('at least 1,234 kg', 'point')?.words.claimedValue).toBeUndefined()
  expect(readWording('at least 1,5 kg', 'comma')?.words.claimedValue).toBe('1,5')
})

test('the words that it was guessed from are told', () => {
  expect(readWording('no less than 500 ml on average', 'point')?.seen).toEqual([
    '500 ml',
    'no less than',
    'on average',
  ])
})
