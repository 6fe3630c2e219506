import { plain } from '@tests/plain'
import { testedBy } from '@tests/reference/answers'
import type { CheckDocument } from '@/claims/terms/request'
import { displayOf, shownGap, shownInFull, shownValue } from './display'
import { effectWords } from './en/findingWords'

test('shares are shown in percent, and gaps between them in percentage points', () => {
  const display = displayOf({ parameter: 'proportion' }, 3)
  expect(display).toEqual({ scale: 100, unit: '%', decimals: 1 })
  expect(plain(shownValue(0.9312, display))).toBe('93.1 %')
  expect(plain(shownInFull(0.07, display))).toBe('7 %')
  expect(plain(shownGap(-0.0188, display))).toBe('1.9 percentage points')
  expect(plain(shownGap(0.0001, display))).toBe('less than 0.1 percentage points')
})

test('decimals that are chosen are those of what is shown', () => {
  expect(displayOf({ parameter: 'proportion' }, 3, 2).decimals).toBe(2)
  expect(plain(shownValue(0.09, displayOf({ parameter: 'variance', unit: 'mm' }, 3, 2)))).toBe('0.09 mm²')
})

function effectOf(document: CheckDocument): string {
  const result = testedBy(document)
  const { outcome } = result.finding
  const words = { outcome, claim: document.claim, estimate: result.estimate, interval: result.interval }
  return plain(effectWords(words, displayOf(document.claim, result)))
}

const mean = (value: number, x: number, test: CheckDocument['test'] = {}): CheckDocument => ({
  claim: { parameter: 'mean', relation: 'at-least', value, unit: 'kg' },
  evidence: { kind: 'summary', n: 25, mean: x, standardDeviation: 0.1 },
  test,
})

// t = 2.0639 on 24 degrees of freedom (table): 0.02 · 2.0639 = 0.0413.
test.each([
  [
    mean(15, 14.93),
    'The mean is estimated 0.070 kg below the claimed value; 95 % interval 0.029 kg to 0.111 kg below.',
  ],
  [
    mean(15, 15.07),
    'The mean is estimated 0.070 kg above the claimed value; 95 % interval 0.029 kg to 0.111 kg above.',
  ],
  [
    mean(15, 14.98),
    'The mean is estimated 0.020 kg below the claimed value; 95 % interval from 0.061 kg below to 0.021 kg above. Chance alone can explain such a gap.',
  ],
  [
    mean(15, 15),
    'The mean is estimated at the claimed value itself; 95 % interval from 0.041 kg below to 0.041 kg above.',
  ],
  [
    mean(15, 14.93, { intervalSides: 'upper' }),
    'The mean is estimated 0.070 kg below the claimed value; 95 % upper bound 0.036 kg below.',
  ],
])('the gap is told in the claim’s own unit, with its interval: %#', (document, words) => {
  expect(effectOf(document)).toBe(words)
})

test('a gap that lies halfway between two figures is rounded as by hand, and so are the ends of its interval', () => {
  const claim = { parameter: 'median', relation: 'at-least', value: 15, unit: 'kg' } as const
  const words = effectWords(
    {
      outcome: 'not-contradicted',
      claim,
      estimate: { parameter: 'median', value: 15.0155, difference: 15.0155 - 15 },
      interval: {
        level: 0.95,
        sides: 'two-sided',
        method: 'order-statistics',
        lower: 15.0065,
        upper: 15.0245,
        holdsClaimedValue: false,
      },
    },
    displayOf(claim, 3),
  )
  expect(plain(words)).toBe(
    'The median is estimated 0.016 kg above the claimed value; 95 % interval 0.007 kg to 0.025 kg above.',
  )
})
