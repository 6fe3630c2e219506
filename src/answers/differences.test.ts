import { testedBy } from '@tests/reference/answers'
import type { CheckAnswer } from '@/claims/checkAnswer'
import { differencesIn, differencesNow } from './differences'

const answer = testedBy({
  claim: { parameter: 'mean', relation: 'at-least', value: 15 },
  evidence: { kind: 'readings', values: [14.93, 15.02, 14.88, 14.91] },
})
const changed = (change: object) => ({ ...structuredClone(answer), ...change }) as CheckAnswer

test('the same result differs in nothing, whoever made it and however its working is worded', () => {
  expect(differencesIn(answer, structuredClone(answer))).toEqual([])
  expect(differencesIn(answer, changed({ coreVersion: '0.1.0', working: [], kind: undefined }))).toEqual([])
  const withoutCodes = answer.conditions.map(({ code: _, ...condition }) => condition)
  expect(differencesIn(changed({ conditions: withoutCodes }), answer)).toEqual([])
  const { figures: _, ...test } = answer.test as Readonly<{ figures?: unknown }>
  expect(differencesIn(changed({ test }), answer)).toEqual([])
})

test('a basis that an earlier core did not say is no difference; one that is gone or another is', () => {
  const told = changed({ finding: { ...answer.finding, basis: 'One row is set aside.' } })
  expect(differencesIn(answer, told)).toEqual([])
  expect(differencesIn(told, answer)).toEqual(['finding.basis'])
  const other = changed({ finding: { ...answer.finding, basis: '2 rows are set aside.' } })
  expect(differencesIn(told, other)).toEqual(['finding.basis'])
})

test('every figure that differs is named by its path, also one that is there on one side only', () => {
  const estimate = { ...answer.estimate, value: 15 }
  expect(differencesIn(answer, changed({ estimate }))).toEqual(['estimate.value'])
  expect(differencesIn(answer, changed({ estimate, warnings: undefined }))).toEqual([
    'estimate.value',
    'warnings',
  ])
  const { pValue: _, ...test } = answer.test
  expect(differencesIn(changed({ test }), answer)).toEqual(['test.pValue'])
  const refused = { ok: false, error: { code: 'x', path: '', message: '' } } as CheckAnswer
  expect(differencesIn(answer, refused)).toContain('ok')
})

test('of two cores only figures are compared, by the test that the first one chose', async () => {
  const document = {
    claim: { parameter: 'proportion', relation: 'at-least', value: 0.9 },
    evidence: { kind: 'count', n: 200, successes: 172 },
  } as const
  // The usual test of an earlier core.
  const before = testedBy({ ...document, test: { method: 'score-z' } })
  const earlier = {
    ...before,
    coreVersion: '0.5.0',
    conditions: [],
    finding: { ...before.finding, limits: 'In other words.' },
  } as CheckAnswer
  expect(await differencesNow(earlier, document)).toEqual([])
  expect(
    await differencesNow({ ...earlier, coreVersion: before.coreVersion } as CheckAnswer, document),
  ).toContain('test.pValue')
  const { outcome: _, ...finding } = before.finding
  const turned = { ...earlier, finding: { ...finding, outcome: 'supported' } } as CheckAnswer
  expect(await differencesNow(turned, document)).toEqual(['finding.outcome'])
})
