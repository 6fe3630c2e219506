import { resultOf } from '@tests/reference/answers'

const lot = (relation: 'at-least' | 'at-most', value: number, successes: number) =>
  resultOf({
    claim: { parameter: 'proportion', relation, value },
    evidence: { kind: 'count', n: 14, successes, lotSize: 40 },
    test: { method: 'hypergeometric' },
  })

// 8 of 40 marked, 14 drawn: P(0) = C(32,14)/C(40,14) = 0.0203 and P(0) + P(1) = 0.1401, by Python's math.comb; the same of
// those not marked.
test('the count at an end of what can be drawn may be the only one that is rejected', () => {
  const none = lot('at-least', 0.2, 0)
  expect(none.test.criticalValues).toEqual([0])
  expect(none.test.pValue).toBeCloseTo(0.02031443207913796, 12)
  expect(lot('at-least', 0.2, 1).test.pValue).toBeCloseTo(0.14006266328247752, 12)
  const all = lot('at-most', 0.8, 14)
  expect(all.test.criticalValues).toEqual([14])
  expect(all.test.pValue).toBeCloseTo(0.02031443207913796, 12)
})

// A share of none or of all leaves one outcome that can be.
test.each([
  ['equal-to', 0, 0, 1],
  ['equal-to', 0, 1, 0],
  ['equal-to', 1, 5, 1],
  ['equal-to', 1, 4, 0],
  ['at-most', 0, 0, 1],
  ['at-most', 0, 1, 0],
  ['at-least', 1, 5, 1],
  ['at-least', 1, 4, 0],
] as const)(
  'a share %s %d holds for certain or not at all: %d of 5',
  (relation, value, successes, expected) => {
    for (const twoSidedRule of ['minimum-likelihood', 'doubled'] as const) {
      const { test: tested } = resultOf({
        claim: { parameter: 'proportion', relation, value },
        evidence: { kind: 'count', n: 5, successes },
        test: { method: 'exact-binomial', twoSidedRule },
      })
      expect(tested.pValue).toBe(expected)
    }
  },
)
