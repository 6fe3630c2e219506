import { binomial } from '@/statistics/distributions/binomial'
import { mirroringBound } from '@/pictures/claimLine'
import { displayOf, shownValue } from '@/words/display'
import { boundIn, claimLineWords } from '@/words/en/claimLineWords'
import { levelTable } from '@/words/en/levelTable'
import { formatsFor } from '@/words/formats'
import type { CheckDocument } from '@/claims/terms/request'
import { plain } from '@tests/plain'
import { testedBy } from '@tests/reference/answers'

// As court.test.ts, of intervals and where they part from the test.

test('an estimate and a limit that differ are never shown as one figure', () => {
  const claim = { parameter: 'mean', relation: 'at-most', value: 4.133, unit: 'mm' } as const
  const result = testedBy({ claim, evidence: { kind: 'summary', n: 9, mean: 4.125, standardDeviation: 0.9 } })
  const display = displayOf(claim, result)
  expect(shownValue(result.estimate.value, display)).not.toBe(shownValue(claim.value, display))
})

test('a one-sided test and a two-sided interval that part say why', () => {
  const document = (mean: number): CheckDocument => ({
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: { kind: 'summary', n: 25, mean, standardDeviation: 0.1 },
  })
  const said = (mean: number) =>
    testedBy(document(mean)).warnings.find(({ code }) => code === 'interval-disagrees')?.message
  // t = −1.9 on 24 degrees of freedom lies between 1.711 and 2.064.
  expect(plain(said(14.962)!)).toContain(
    'leaves 2.5 % beyond either end, the test looks to one side and leaves 5 % there',
  )
  expect(said(14.9)).toBeUndefined()
  expect(said(15)).toBeUndefined()
  expect(said(15.1)).toContain('on the side that the test does not look at')
})

test('the score test’s true size is what made the exact test the usual one', () => {
  // Of 231 units at a true share of 95 %, the score test rejects "at least 95 %" in 7.3 % of samples, the exact in no more than 5 %.
  const claim = { parameter: 'proportion', relation: 'at-least', value: 0.95 } as const
  const sizeOf = (method: 'score-z' | 'exact-binomial') => {
    const rejects = (successes: number) =>
      testedBy({ claim, evidence: { kind: 'count', n: 231, successes }, test: { method } }).finding
        .outcome === 'contradicted'
    const most = Array.from({ length: 232 }, (_, at) => 231 - at).find(rejects)!
    return binomial({ trials: 231, probability: 0.95 }).tails(most).lower
  }
  expect(sizeOf('score-z')).toBeCloseTo(0.073, 3)
  expect(sizeOf('exact-binomial')).toBeLessThanOrEqual(0.05)
  expect(testedBy({ claim, evidence: { kind: 'count', n: 231, successes: 220 } }).test.method).toBe(
    'exact-binomial',
  )
})

test('a second level stands beside the first, at which the finding is made', () => {
  // Student's t of 24 degrees of freedom: −1.710882 at 5 %, −2.492159 at 1 % (tables of t).
  const document = {
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: { kind: 'summary', n: 25, mean: 14.96, standardDeviation: 0.1 },
    test: { secondSignificanceLevel: 0.01 },
  } as const
  const { finding, second, test: first } = testedBy(document)
  expect([finding.outcome, second!.outcome, second!.decision]).toEqual([
    'contradicted',
    'not-contradicted',
    'not-rejected',
  ])
  expect(first.criticalValues[0]).toBeCloseTo(-1.710882, 6)
  expect(second!.criticalValues[0]).toBeCloseTo(-2.492159, 6)
  expect(second!.criticalEstimates[0]).toBeCloseTo(15 - 0.02 * 2.492159, 7)
  // Two-sided at 99 %: 2.79694.
  expect(second!.interval!.level).toBeCloseTo(0.99, 14)
  expect(second!.interval!.upper).toBeCloseTo(14.96 + 0.02 * 2.79694, 6)
  expect(
    levelTable(testedBy(document), formatsFor(document.claim, testedBy(document), 3)).map((row) =>
      row.map(plain),
    ),
  ).toEqual([
    ['5 %', '−2.000', '−1.711', '0.028', '95 % interval 14.919 to 15.001', 'Contradicted'],
    ['1 %', '−2.000', '−2.492', '0.028', '99 % interval 14.904 to 15.016', 'Not contradicted'],
  ])
  const { test: _, ...without } = document
  expect(testedBy(without)).not.toHaveProperty('second')
})

test('a second level of a tolerance leaves its own interval', () => {
  const claim = {
    parameter: 'mean',
    relation: 'within',
    value: 15,
    tolerance: { below: 1, above: 1 },
  } as const
  const { second } = testedBy({
    claim: { ...claim, burden: 'substantiate' },
    evidence: { kind: 'summary', n: 25, mean: 14.96, standardDeviation: 0.1 },
    test: { secondSignificanceLevel: 0.01 },
  })
  expect(second!.interval!.level).toBeCloseTo(0.98, 14)
  expect(second!.criticalValues).toHaveLength(2)
})

test('where the interval and the test part, the bound that mirrors the test is drawn', () => {
  const result = testedBy({
    claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
    evidence: { kind: 'summary', n: 25, mean: 14.962, standardDeviation: 0.1 },
  })
  // 14.962 + 0.02 × 1.710882.
  expect(mirroringBound(result)!.upper).toBeCloseTo(14.99621764, 7)
  const display = displayOf({ parameter: 'mean', unit: 'kg' }, result, 3)
  expect(boundIn(mirroringBound(result)!, display)).toMatchObject({ open: 'below' })
  expect(plain(claimLineWords({ values: [], result, display }))).toContain(
    '95 % interval 14.921 to 15.003, 95 % upper bound 14.996, which mirrors the test. Claimed value 15 kg.',
  )
  const agreeing = testedBy({
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: { kind: 'summary', n: 25, mean: 14.9, standardDeviation: 0.1 },
  })
  expect(mirroringBound(agreeing)).toBeUndefined()
})
