import { testedBy } from '@tests/reference/answers'
import type { CheckDocument } from '@/claims/terms/request'
import type { CheckResult } from '@/claims/result'
import { summary } from '@/answers/summary'
import { wayWords } from './waysWords'

function resultOf(claim: Partial<CheckDocument['claim']>, mean: number): CheckResult {
  const answer = testedBy({
    claim: { parameter: 'mean', relation: 'at-least', value: 15, ...claim },
    evidence: { kind: 'summary', n: 25, mean, standardDeviation: 0.1 },
  })
  return answer
}

function wordsOf(claim: Partial<CheckDocument['claim']>, mean: number): readonly string[] {
  const result = resultOf(claim, mean)
  const display = { scale: 1, unit: 'kg', decimals: 3 } as const
  const formats = { statistic: 't', display, plainDecimals: 3 }
  return result.test.ways.map((way) => wayWords(way, result.hypotheses, formats).replaceAll('\u202f', ' '))
}

const tolerance = { below: 0.1, above: 0.1 }

// t = (x̄ − 15) / 0.02 on 24 degrees of freedom, whose table values are 1.711 (0.05) and 2.064 (0.025).
test.each([
  ['at-least', {}, 14.95, ['t −2.500 ≤ −1.711', '95 % upper bound 14.984 ≤ 15 kg']],
  ['at-least', {}, 15.01, ['t 0.500 > −1.711', '95 % upper bound 15.044 > 15 kg']],
  ['more-than', {}, 15.05, ['t 2.500 ≥ 1.711', '95 % lower bound 15.016 ≥ 15 kg']],
  ['equal-to', {}, 14.95, ['|t| 2.500 ≥ 2.064', '95 % interval 14.909 to 14.991 leaves out 15 kg']],
  ['equal-to', {}, 15.01, ['|t| 0.500 < 2.064', '95 % interval 14.969 to 15.051 holds 15 kg']],
  [
    'within',
    { tolerance },
    15.02,
    ['t 6.000 ≥ 1.711 and t −4.000 ≤ −1.711', '90 % interval 14.986 to 15.054 lies inside 14.9 to 15.1 kg'],
  ],
  [
    'within',
    { tolerance, burden: 'challenge' },
    15.2,
    ['t 15.000 > −2.064 or t 5.000 ≥ 2.064', '95 % interval 15.159 to 15.241 lies outside 14.9 to 15.1 kg'],
  ],
] as const)('%s %j with a mean of %p is compared in words', (relation, more, mean, [statistic, interval]) => {
  const [pValue, second, third] = wordsOf({ relation, ...more }, mean)
  expect(pValue).toMatch(/^p-value (< )?0\.\d+ [≤>] 0\.05$/)
  expect(second).toBe(statistic)
  expect(third).toBe(interval)
})

function statisticOf(document: CheckDocument, statistic: string): string {
  const answer = testedBy(document)
  const formats = {
    statistic,
    display: { scale: 1, unit: undefined, decimals: 3 },
    plainDecimals: 3,
  } as const
  return wayWords(
    answer.test.ways.find(({ way }) => way === 'statistic')!,
    answer.hypotheses,
    formats,
  )
}

// Chi-square on 9 degrees of freedom: 2.700 and 19.023 in the tables (0.025 at each end).
test.each([
  [0.05, 'χ² 2.250 ≤ 2.700'],
  [0.1, 'χ² 9.000 > 2.700 and χ² 9.000 < 19.023'],
  [0.2, 'χ² 36.000 ≥ 19.023'],
])('limits that are no mirror images are each compared: s = %d', (standardDeviation, words) => {
  const claim = { parameter: 'standard-deviation', relation: 'equal-to', value: 0.1 } as const
  const evidence = { kind: 'summary', n: 10, standardDeviation } as const
  expect(statisticOf({ claim, evidence }, 'χ²')).toBe(words)
})

// At one tenth of 20: P(0) = 0.1216, so that no count is few enough; P(X ≥ 6) = 0.0113 and P(X ≥ 5) = 0.0432.
test.each([
  [0, 'x 0 < 6'],
  [7, 'x 7 ≥ 6'],
])('a count with a limit at one end only is held against that: %d', (successes, words) => {
  const claim = { parameter: 'proportion', relation: 'equal-to', value: 0.1 } as const
  const evidence = { kind: 'count', n: 20, successes } as const
  const test = { method: 'exact-binomial', twoSidedRule: 'doubled' } as const
  expect(statisticOf({ claim, evidence, test }, 'x')).toBe(words)
})

test('the summary for a terminal says the finding, its figures and what it does not say', () => {
  const text = summary(resultOf({ unit: 'kg' }, 14.95)).replaceAll('\u202f', ' ')
  expect(text).toContain('Contradicted. At the 5 % significance level the sample contradicts the claim')
  expect(text).toContain('t = −2.500, 24 degrees of freedom, p-value 0.0098')
  expect(text).toContain('95 % interval 14.909 to 14.991')
  expect(text).toContain('t −2.500 ≤ −1.711: rejects H0')
  expect(text).not.toMatch(/accept|prove/i)
})
