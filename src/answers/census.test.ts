import { plain } from '@tests/plain'
import { checkOutcome } from '@/claims/check'
import { CORE_VERSION } from '@/claims/terms/version'
import type { CheckDocument } from '@/claims/terms/request'
import { check } from './check'
import { summary } from './summary'

const mean15 = { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' } as const

/** What a check of a whole lot comes to. */
function censusOf(document: CheckDocument) {
  const answer = check(document)
  if (!answer.ok || answer.kind !== 'census') throw new Error('a census was expected')
  expect(checkOutcome(document)).toBe(answer.finding.outcome)
  return answer
}

test.each([
  [14.93, 'contradicted', '14.93 kg itself, 0.07 kg below the claimed value.', 'not true'],
  [15, 'supported', '15 kg itself, the claimed value itself.', 'true'],
  [15.01235, 'supported', '15.0124 kg itself, 0.0124 kg above the claimed value.', 'true'],
  [15.07, 'supported', '15.07 kg itself, 0.07 kg above the claimed value.', 'true'],
] as const)('a whole lot is no sample of itself: a mean of %d', (mean, outcome, figure, verdict) => {
  const document: CheckDocument = {
    id: 'a',
    claim: mean15,
    evidence: { kind: 'summary', n: 1200, mean, standardDeviation: 0.1, lotSize: 1200 },
  }
  const census = censusOf(document)
  expect(census).toEqual({
    id: 'a',
    ok: true,
    coreVersion: CORE_VERSION,
    kind: 'census',
    lotSize: 1200,
    estimate: { parameter: 'mean', value: mean, difference: expect.closeTo(mean - 15, 12) },
    finding: { outcome, sentence: expect.any(String), limits: expect.any(String) },
  })
  const sentence = `All 1,200 units of the lot were taken, so this is no sample: the mean of the lot is ${figure} That the mean is at least 15 kg is ${verdict} of this lot, as far as the measurements are right.`
  expect(plain(census.finding.sentence)).toBe(sentence)
  expect(plain(summary(census))).toBe(
    `a: ${outcome === 'supported' ? 'Supported' : 'Contradicted'}. ${sentence}\n  Nothing is tested, and no p-value and no interval belong to it. It says nothing of another lot: where the claim is of more than this one, leave its size out.\n`,
  )
})

test.each([
  // Deviations −2, 0, 2 of three units: their squares over 3, not over 2.
  ['variance', [8, 10, 12], 8 / 3],
  ['standard-deviation', [8, 10, 12], Math.sqrt(8 / 3)],
  ['median', [8, 10, 12, 14], 11],
  ['mean', [8, 10, 12], 10],
  // What a test of them would lack, the lot's own figure does not.
  ['mean', [5, 5, 5], 5],
  ['variance', [5, 5], 0],
  ['variance', [5], 0],
  ['standard-deviation', [5], 0],
  ['mean', [5], 5],
] as const)('the %s of the whole lot %j is %d', (parameter, values: readonly number[], figure) => {
  const claim = { parameter, relation: 'at-most', value: 9 } as const
  const evidence = { kind: 'readings' as const, values: [...values], lotSize: values.length }
  const { estimate, finding } = censusOf({ claim, evidence })
  expect(estimate.value).toBeCloseTo(figure, 12)
  expect(estimate.difference).toBeCloseTo(figure - 9, 12)
  expect(finding.outcome).toBe(figure <= 9 ? 'supported' : 'contradicted')
})

test('one unit is spoken of as one, a gap of shares in percentage points, a spread from a summary too', () => {
  const one = censusOf({ claim: mean15, evidence: { kind: 'readings', values: [15.2], lotSize: 1 } })
  expect(one.finding.sentence).toMatch(/^The one unit of the lot was taken, so this is no sample/)
  const share = { parameter: 'proportion', relation: 'at-least', value: 0.95 } as const
  const counted = censusOf({ claim: share, evidence: { kind: 'count', n: 40, successes: 37, lotSize: 40 } })
  expect(plain(counted.finding.sentence)).toContain(
    'is 92.5 % itself, 2.5 percentage points below the claimed value.',
  )
  const spread = { parameter: 'standard-deviation', relation: 'at-most', value: 1 } as const
  const summed = censusOf({
    claim: spread,
    evidence: { kind: 'summary', n: 4, standardDeviation: 2, lotSize: 4 },
  })
  expect(summed.estimate.value).toBeCloseTo(Math.sqrt(3), 12)
})

test('the figure of a whole lot is told to three digits of its gap', () => {
  const evidence = { kind: 'readings', values: [14.9, 14.9, 15], lotSize: 3 } as const
  expect(
    plain(
      censusOf({ claim: mean15, evidence: { ...evidence, values: [...evidence.values] } }).finding.sentence,
    ),
  ).toContain('the mean of the lot is 14.9333 kg itself, 0.0667 kg below the claimed value.')
  const far = censusOf({
    claim: mean15,
    evidence: { kind: 'readings', values: [-2100, -2000.5], lotSize: 2 },
  })
  expect(plain(far.finding.sentence)).toContain('is −2050 kg itself, 2065 kg below the claimed value.')
})

test('a lot of which a reading is set aside is not known whole, and neither is one that has more units', () => {
  const claim = { parameter: 'mean', relation: 'at-least', value: 9 } as const
  const values = [8, 10, 12, 9]
  const kinds = [{ lotSize: 4 }, { lotSize: 4, setAside: [0] }, { lotSize: 5 }, {}].map((more) => {
    const answer = check({ claim, evidence: { kind: 'readings', values, ...more } })
    return answer.ok ? answer.kind : answer.error.code
  })
  expect(kinds).toEqual(['census', 'mean', 'mean', 'mean'])
})

test('what is wrong with the test that was asked for is told of a whole lot too', () => {
  const evidence = { kind: 'readings', values: [8, 10, 12], lotSize: 3 } as const
  const codes = [{ method: 'exact-binomial' }, { method: 'z' }, { interval: 'wilson' }].map((test) => {
    const answer = check({ claim: mean15, evidence, test })
    return answer.ok ? answer.kind : answer.error.code
  })
  expect(codes).toEqual(['method-does-not-fit', 'known-standard-deviation-needed', 'interval-does-not-fit'])
})

test.each([
  [9.5, 'supported'],
  [9, 'supported'],
  [11, 'supported'],
  [8.9, 'contradicted'],
  [11.1, 'contradicted'],
] as const)(
  'a whole lot is held to the limits of a tolerance where the claim has one: %d',
  (mean, outcome) => {
    const equality = { parameter: 'mean', relation: 'equal-to', burden: 'substantiate' } as const
    const claim = { ...equality, value: 10, tolerance: { below: 1, above: 1 } }
    const evidence = { kind: 'summary', n: 4, mean, standardDeviation: 1, lotSize: 4 } as const
    expect(censusOf({ claim, evidence }).finding.outcome).toBe(outcome)
  },
)

test('what became of the entries of a whole lot is told', () => {
  const evidence = { kind: 'readings', values: [15, 15.1], lotSize: 2, entries: [{ blank: 3 }] } as const
  const document = { claim: mean15, evidence } as unknown as CheckDocument
  expect(censusOf(document).finding.basis).toBe('3 rows have no entry.')
  expect(summary(check(document))).toContain('3 rows have no entry.')
})
