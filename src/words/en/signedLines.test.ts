import { check } from '@/answers/check'
import { isTested } from '@/claims/checkAnswer'
import type { CheckDocument } from '@/claims/terms/request'
import { signedLines } from './signedLines'

const values = [14.93, 14.88, 15.02, 14.9, 14.97, 14.91, 14.86, 14.99]

function linesOf(document: CheckDocument, decimals?: number) {
  const result = check(document)
  if (!isTested(result)) throw new Error('the check comes to no test')
  return signedLines(document, result, decimals).map(({ name, shown, full }) =>
    [name, shown, ...(full === undefined ? [] : [full])].map((text) => text.replaceAll('\u202f', ' ')),
  )
}

test('a signed finding is told with what was tested, how, and what it came to', () => {
  const document: CheckDocument = {
    claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
    evidence: { kind: 'readings', values },
  }
  expect(linesOf(document, 2)).toEqual([
    ['Null hypothesis', 'μ ≥ 15 kg'],
    ['Alternative hypothesis', 'μ < 15 kg'],
    ['Method', 't test'],
    ['Significance level', '0.05'],
    ['Units tested', '8'],
    ['Estimate', '14.93 kg', '14.932500000000001'],
    ['Test statistic t', '−3.409', '−3.4094201539084286'],
    ['p-value', '0.0056', '0.005648365239411454'],
    ['Interval', '95 % 14.89 to 14.98'],
  ])
  expect(linesOf(document)[5]).toEqual(['Estimate', '14.933 kg', '14.932500000000001'])
})

test('of a tolerance both statistics are told, and whole ones are shown whole', () => {
  const tolerance: CheckDocument = {
    claim: { parameter: 'mean', relation: 'within', value: 15, tolerance: { below: 0.2, above: 0.2 } },
    evidence: { kind: 'readings', values },
  }
  expect(linesOf(tolerance).find(([name]) => name === 'Test statistic t')![1]).toMatch(/^[−\d.]+, [−\d.]+$/)
  const share: CheckDocument = {
    claim: { parameter: 'proportion', relation: 'at-least', value: 0.95 },
    evidence: { kind: 'count', n: 40, successes: 33 },
  }
  const told = linesOf(share)
  expect(told.find(([name]) => name === 'Test statistic x')).toEqual(['Test statistic x', '33', '33'])
  expect(told.find(([name]) => name === 'Estimate')).toEqual(['Estimate', '82.5 %', '0.825'])
})
