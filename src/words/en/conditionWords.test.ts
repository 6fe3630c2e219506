import { conditionLines, conditionStateWords } from './conditionWords'

test('the figures of a condition are shown as what they are: counts, shares, p-values', () => {
  const figures = { n: 24, lotSize: 960, share: 0.025, z: -1.25227, p: 0.04999 }
  const lines = conditionLines({ figures }, (value) => value.toFixed(3))
  expect(lines.map(({ name, shown, full }) => [name, shown, full])).toEqual([
    ['sample size', '24', '24'],
    ['size of the lot', '960', '960'],
    ['share of the lot', '2.5\u202f%', '0.025'],
    ['z', '-1.252', '−1.25227'],
    // Not rounded onto the level.
    ['p-value', '0.04999', '0.04999'],
  ])
})

test('what is known only from somebody’s word is stated and not met', () => {
  expect(conditionStateWords({ code: 'random-stated', state: 'met' })).toBe('Stated, not checked')
  expect(conditionStateWords({ code: 'independent-stated', state: 'met' })).toBe('Stated, not checked')
  expect(conditionStateWords({ code: 'no-outliers', state: 'met' })).toBe('Met')
  expect(conditionStateWords({ code: 'not-random', state: 'not-met' })).toBe('Not met')
})
