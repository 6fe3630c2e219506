import { check } from '@/answers/check'
import type { CheckDocument } from '@/claims/terms/request'
import { chosenDecimals, signedLines, type TypedClaim } from './signedLines'

const values = [14.93, 14.88, 15.02, 14.9, 14.97, 14.91, 14.86, 14.99]
const MEAN: CheckDocument = {
  claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
  evidence: { kind: 'readings', values },
}

const linesOf = (document: CheckDocument, draft: TypedClaim = {}, result: unknown = check(document)) =>
  signedLines(draft, document, result).map(({ name, shown, full }) =>
    [name, shown, ...(full === undefined ? [] : [full])].map((text) => text.replaceAll('\u202f', ' ')),
  )

test('a signed finding is told with what was tested, how, and every figure that it came to', () => {
  const lines = linesOf(MEAN, { unit: 'kg', decimals: '2' })
  expect(lines.slice(0, 6)).toEqual([
    ['Null hypothesis', 'μ ≥ 15 kg'],
    ['Alternative hypothesis', 'μ < 15 kg'],
    ['Method', 't test'],
    ['Significance level', '0.05'],
    ['Readings tested', '8', '8'],
    ['Mean', '14.93 kg', '14.932500000000001'],
  ])
  const told = Object.fromEntries(lines)
  expect(told).toMatchObject({ 'Degrees of freedom': '7', 'p-value': '0.0056' })
  expect(told['Test statistic t']).toBe('−3.41')
  expect(told['95 % interval, lower end']).toBe('14.89 kg')
})

test('figures are shown with as many decimals as say something where none are chosen', () => {
  expect(linesOf(MEAN, { unit: 'kg' })[5]).toEqual(['Mean', '14.933 kg', '14.932500000000001'])
})

test('a rate is told per what it was typed per', () => {
  const rate: CheckDocument = {
    claim: { parameter: 'rate', relation: 'at-most', value: 2 },
    evidence: { kind: 'events', events: 12, exposure: 5 },
  }
  const [, exposure] = linesOf(rate, { exposureUnit: '1,000 sacks' }).find(([name]) => name === 'Exposure')!
  expect(exposure).toBe('5 × 1,000 sacks')
})

test('figures in another form than those of this core are not guessed at', () => {
  expect(linesOf(MEAN, {}, { ...check(MEAN), test: { method: 't', p: 0.01 } })).toEqual([])
})

test.each<readonly [string | undefined, number | undefined]>([
  ['2', 2],
  [' 10 ', 10],
  ['', undefined],
  ['two', undefined],
  ['1.5', undefined],
  ['100', undefined],
  [undefined, undefined],
])('the decimals “%s” are %s', (decimals, chosen) => {
  expect(chosenDecimals({ decimals })).toBe(chosen)
})
