import { answer } from '@/answers/answer'
import { summary } from '@/answers/summary'
import { resultOf } from '@tests/reference/answers'
import { formatsFor } from '../formats'
import { sampleLines } from './sampleLines'

const claim = { parameter: 'variance-ratio', relation: 'at-most', value: 1, unit: 'kg' } as const
const result = resultOf({
  claim,
  evidence: { kind: 'two-readings', first: [14.9, 15.1, 15, 15.3], second: [15, 15.2, 14.7] },
})

function shown(chosen: number | undefined) {
  const lines = sampleLines(result, formatsFor(claim, result, chosen), { unit: 'kg', chosen })
  return Object.fromEntries(lines.map((line) => [line.name, line.shown.replaceAll('\u202f', ' ')]))
}

// Of 14.9, 15.1, 15, 15.3 the variance is 0.0875/3 = 0.0291667, of 15, 15.2, 14.7 it is 0.1266667/2 = 0.0633333.
test('the figures of two sources are told to the digits that their own errors leave, or those that were chosen', () => {
  expect(shown(undefined)).toMatchObject({
    'Readings, first source': '4',
    'Standard deviation, first source': '0.171 kg',
    'Variance, first source': '0.029 kg²',
    'Readings, second source': '3',
    'Variance, second source': '0.063 kg²',
  })
  expect(shown(4)).toMatchObject({
    'Standard deviation, first source': '0.1708 kg',
    'Variance, first source': '0.0292 kg²',
    'Standard deviation, second source': '0.2517 kg',
    'Variance, second source': '0.0633 kg²',
  })
})

// Of one in four √(0.25 × 0.75/4) = 0.2165: as "22 %" it could be taken for a part of the share.
test('the standard error of a share is in percentage points', () => {
  const evidence = { kind: 'count', n: 4, successes: 1 } as const
  const ofShare = resultOf({
    claim: { parameter: 'proportion', relation: 'at-most', value: 0.05 },
    evidence,
  })
  const formats = formatsFor(ofShare.estimate, ofShare, undefined)
  const lines = sampleLines(ofShare, formats, { unit: '', chosen: undefined })
  expect(lines.find(({ name }) => name === 'Standard error')).toMatchObject({
    shown: '22\u202fpercentage points',
  })
  expect(summary(ofShare)).toContain('share 25\u202f%, standard error 22\u202fpercentage points\n')
  const estimate = answer({ estimate: { parameter: 'proportion', evidence } })
  expect(summary(estimate)).toContain('share 25\u202f%, standard error 22\u202fpercentage points. Nothing')
})
