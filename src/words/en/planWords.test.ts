import { plain } from '@tests/plain'
import type { Claim } from '@/claims/terms/claim'
import { deriveHypotheses, type Hypotheses } from '@/claims/terms/hypotheses'
import { aGap, foundGap, planSentence, powerWords, statedGap, typedGap, unitsWords } from './planWords'

const MEAN: Claim = { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' }
const SHARE: Claim = { parameter: 'proportion', relation: 'equal-to', value: 0.3 }
function hypothesesOf(claim: Claim): Hypotheses {
  const derived = deriveHypotheses(claim, 'auto')
  if (!derived.ok) throw new Error(derived.problem.code)
  return derived.value
}

test.each<readonly [Partial<Claim>, string]>([
  [{}, 'a shortfall'],
  [{ relation: 'at-most' }, 'an excess'],
  [{ relation: 'equal-to' }, 'a gap'],
  [{ burden: 'substantiate' }, 'a margin'],
  [{ relation: 'different-from' }, 'a difference'],
  [{ relation: 'within', tolerance: { below: 1, above: 1 } }, 'a distance from the middle'],
  [{ relation: 'within', tolerance: { below: 1, above: 1 }, burden: 'challenge' }, 'a gap beyond a limit'],
])('what is looked for has a name: %j', (change, words) => {
  expect(aGap(hypothesesOf({ ...MEAN, ...change }))).toBe(words)
})

test('a plan in a sentence claims no more than its figures', () => {
  const sentence = (claim: Claim, found: Partial<Parameters<typeof planSentence>[2]>) =>
    plain(
      planSentence(claim, hypothesesOf(claim), {
        method: 't',
        truths: [14.9],
        power: 0.9083,
        level: 0.05,
        ...found,
      }),
    )
  expect(sentence(MEAN, {})).toBe(
    'If the mean is truly 14.9 kg, a sample of this size contradicts the claim with a probability of 90.8 %. If the claim only just holds, it does so with at most 5 %.',
  )
  expect(sentence({ ...MEAN, burden: 'substantiate' }, { truths: [15.1], power: 0.99999 })).toBe(
    'If the mean is truly 15.1 kg, a sample of this size shows the claim with a probability of more than 99.9 %. If the claim only just fails, it does so with at most 5 %.',
  )
  expect(sentence(SHARE, { method: 'score-z', truths: [0.2, 0.4], level: 0.01 })).toBe(
    'If the share is truly 20 % or 40 %, a sample of this size contradicts the claim with a probability of 90.8 % or more. If the claim only just holds, it does so with about 1 %.',
  )
})

test('figures are neither all nor nothing before they are', () => {
  expect([1, 0.99951, 0.9994, 0.5, 0.0004, 0].map((power) => plain(powerWords(power)))).toEqual([
    ...['100.0 %', '> 99.9 %', '99.9 %', '50.0 %', '< 0.1 %', '0.0 %'],
  ])
  expect(plain(statedGap(MEAN, 0.15000000000000002))).toBe('0.15 kg')
  expect(plain(statedGap(SHARE, 0.1))).toBe('10 percentage points')
  expect(plain(foundGap(MEAN, 0.108512))).toBe('0.1085 kg')
})

test('a gap stands where it is typed as somebody would type it', () => {
  expect(typedGap(MEAN, 0.108512, 4, 'point')).toBe('0.1085')
  expect(typedGap(MEAN, 0.15000000000000002, 3, 'comma')).toBe('0,15')
  expect(typedGap(SHARE, 0.105, 4, 'point')).toBe('10.5 %')
})

test('units are called what they are', () => {
  expect(unitsWords('t', {}, 1)).toBe('1 unit')
  expect(plain(unitsWords('t', {}, 1200))).toBe('1,200 units')
  expect(unitsWords('f', {}, 20)).toBe('20 from either source')
  expect(unitsWords('exact-poisson', { exposureUnit: '100 m' }, 2.5)).toBe('2.5 × 100 m')
})
