import type { CheckDocument } from '@/claims/terms/request'
import { check } from './check'
import { summary } from './summary'
import { plain } from '@tests/plain'
import { testedBy } from '@tests/reference/answers'

// What a hostile reader found said, and what is said now: each with its own figures.

const refusalOf = (document: CheckDocument) => {
  const answer = check(document)
  return answer.ok ? undefined : answer.error
}
const readings = (...values: number[]) => ({ kind: 'readings', values }) as const

test('two readings never contradict a median by resamples', () => {
  const claim = { parameter: 'median', relation: 'at-least', value: 9.99 } as const
  const refused = refusalOf({ claim, evidence: readings(9.9, 9.8), test: { method: 'bootstrap' } })
  expect(refused).toMatchObject({ code: 'too-few-readings' })
  // By the sign test both lie below: ½² = 0.25, and twice that of both tails.
  const usual = testedBy({ claim, evidence: readings(9.9, 9.8) })
  expect([usual.test.method, usual.finding.outcome]).toEqual(['sign', 'not-contradicted'])
  expect(usual.test.pValue).toBeCloseTo(0.25, 14)
  const both = testedBy({ claim: { ...claim, relation: 'equal-to' }, evidence: readings(9.9, 9.8) })
  expect(both.test.pValue).toBeCloseTo(0.5, 14)
})

test('a bootstrap of a median is never surer than the sign test could be', () => {
  const values = Array.from({ length: 10 }, (_, at) => 9 + at / 100)
  const { test: figures } = testedBy({
    claim: { parameter: 'median', relation: 'at-least', value: 20 },
    evidence: readings(...values),
    test: { method: 'bootstrap' },
  })
  expect(figures.pValue).toBe(2 ** -10)
})

test('three readings of 6.5 against at most 6: one in eight, by the ranks that are tied', () => {
  const { test: figures } = testedBy({
    claim: { parameter: 'median', relation: 'at-most', value: 6 },
    evidence: readings(6.5, 6.5, 6.5),
    test: { method: 'signed-rank' },
  })
  expect(figures.pValue).toBeCloseTo(0.125, 14)
})

test.each([20, 40])(
  'p of exactly the level rejects, whatever the rounding: one unit from a lot of %i',
  (lotSize) => {
    const result = testedBy({
      claim: { parameter: 'proportion', relation: 'at-most', value: 0.05 },
      evidence: { kind: 'count', n: 1, successes: 1, lotSize },
      test: { method: 'hypergeometric' },
    })
    expect(result.test.pValue).toBeCloseTo(0.05, 15)
    expect(result.finding.outcome).toBe('contradicted')
    expect(new Set(result.test.ways.map(({ rejects }) => rejects))).toEqual(new Set([true]))
  },
)

test.each([
  [{ n: 231, successes: 210 }, 'exact-binomial'],
  [{ n: 231, successes: 210, lotSize: 2400 }, 'exact-binomial'],
  [{ n: 231, successes: 210, lotSize: 2310 }, 'hypergeometric'],
] as const)(
  'the usual test of a share of %j is the %s test, and its interval is of its own kind',
  (evidence, method) => {
    const claim = { parameter: 'proportion', relation: 'at-least', value: 0.95 } as const
    const { test: figures, interval } = testedBy({ claim, evidence: { kind: 'count', ...evidence } })
    expect(figures.method).toBe(method)
    expect(interval!.method).toBe(method === 'hypergeometric' ? 'hypergeometric' : 'clopper-pearson')
  },
)

test('readings that alternate are not said to be without a pattern', () => {
  const values = Array.from({ length: 16 }, (_, at) => 15 + (at % 2 === 0 ? 0.05 : -0.05) + Math.sin(at) / 50)
  const order = testedBy({
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: readings(...values),
  }).conditions.find(({ name }) => name === 'order')!
  expect(order.state).toBe('doubtful')
  expect(order.sentence).not.toMatch(/no drift|no pattern/)
  expect(order.sentence).toContain('does not look like chance')
})

test('a mean that is the claimed value is said to be', () => {
  // Twenty readings that sum to 10,000.0 g in decimals, and not in doubles.
  const values = Array.from({ length: 20 }, (_, at) => 500 + (at % 2 === 0 ? 0.1 : -0.1) * (1 + (at >> 1)))
  const {
    estimate,
    test: figures,
    finding,
  } = testedBy({
    claim: { parameter: 'mean', relation: 'at-least', value: 500, unit: 'g' },
    evidence: readings(...values),
  })
  expect(estimate.difference).toBe(0)
  expect('statistic' in figures && figures.statistic).toBe(0)
  expect(figures.pValue).toBe(0.5)
  expect(plain(finding.sentence)).toContain('the claimed value itself.')
})

test('a mean in percent differs by percentage points', () => {
  const { finding } = testedBy({
    claim: { parameter: 'mean', relation: 'at-most', value: 8, unit: '%' },
    evidence: { kind: 'summary', n: 12, mean: 7.62, standardDeviation: 0.3 },
  })
  expect(plain(finding.sentence)).toContain('7.620 %, 0.380 percentage points below the claimed value')
})

test.each([
  [0, 0, 'equal-to'],
  [1, 20, 'at-least'],
  [0, 0, 'at-most'],
] as const)(
  'a share of %d with %i of 20 lies in an interval that ends there',
  (value, successes, relation) => {
    for (const midP of [false, true]) {
      const {
        test: figures,
        interval,
        warnings,
      } = testedBy({
        claim: { parameter: 'proportion', relation, value },
        evidence: { kind: 'count', n: 20, successes },
        test: { midP },
      })
      expect(interval!.holdsClaimedValue).toBe(true)
      expect(new Set(figures.ways.map(({ rejects }) => rejects))).toEqual(new Set([false]))
      expect(warnings.map(({ code }) => code)).not.toContain('interval-disagrees')
    }
  },
)

test('what was set aside first is said with what it was before', () => {
  const values = [14.9, 14.93, 15.02, 14.88, 15.01, 14.97, 14.91, 15.05, 14.99, 14.94, 14.98, 24]
  const document = (setAside: number[]): CheckDocument => ({
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: { kind: 'readings', values, ...(setAside.length > 0 ? { setAside } : {}) },
  })
  const of = (name: string, setAside: number[]) =>
    testedBy(document(setAside)).conditions.find((one) => one.name === name)!
  for (const name of ['normality', 'outliers']) {
    const { state, figures } = of(name, [])
    expect(of(name, [11]).withSetAside).toEqual({ state, figures })
    expect(of(name, [])).not.toHaveProperty('withSetAside')
  }
  expect(of('outliers', [11]).sentence).toMatch(
    /No reading stands out .* One reading was set aside first\. With what was set aside, one reading stood out\.$/,
  )
  expect(of('normality', [11]).sentence).toMatch(
    /With what was set aside, the risk would be about .* instead of 5/,
  )
})

test('a bootstrap says by how many resamples', () => {
  const values = Array.from({ length: 12 }, (_, at) => 15 + Math.sin(at) / 10)
  const document = {
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: readings(...values),
    test: { method: 'bootstrap' },
  } as const
  expect(summary(check(document))).toContain(', 9,999 resamples, p-value')
  const fewer = { ...document, test: { method: 'bootstrap', resamples: 1999 } } as const
  expect(summary(check(fewer))).toContain(', 1,999 resamples, p-value')
})
