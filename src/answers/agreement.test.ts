import { isTested } from '@/claims/checkAnswer'
import fc from 'fast-check'
import { BURDENS, RELATIONS } from '@/claims/terms/relations'
import { checkOutcome } from '@/claims/check'
import { check } from './check'
import { isAllFinite } from '@/claims/terms/isAllFinite'
import type { AnyResult } from '@tests/reference/answers'
import { resultOf, withMore } from '@tests/answers'
import { level } from '@tests/arbitraries'

const readings = fc.array(fc.double({ min: 10, max: 20, noNaN: true }), { minLength: 3, maxLength: 30 })

test('the three ways to decide agree for every relation and burden', () => {
  fc.assert(
    fc.property(
      readings,
      fc.constantFrom(...RELATIONS),
      fc.constantFrom(...BURDENS),
      level,
      (values, relation, burden, significanceLevel) => {
        const tolerance = { below: 0.5, above: 0.5 }
        const answer = check(
          withMore({
            claim: { relation, burden, tolerance },
            evidence: { kind: 'readings', values },
            test: { significanceLevel },
          }),
        )
        if (!isTested(answer)) return
        expect(new Set(answer.test.ways.map((way) => way.rejects)).size).toBe(1)
      },
    ),
    { numRuns: 300 },
  )
})

test('a test rejects at α exactly when the 1 − α interval leaves the claimed value out', () => {
  fc.assert(
    fc.property(readings, level, (values, significanceLevel) => {
      const answer = check(
        withMore({
          claim: { relation: 'equal-to' },
          evidence: { kind: 'readings', values },
          test: { significanceLevel },
        }),
      )
      if (!isTested(answer)) return
      expect(answer.test.decision === 'rejected').toBe(!answer.interval!.holdsClaimedValue)
    }),
    { numRuns: 200 },
  )
})

test('the order of the readings changes nothing to speak of, and a summary says the same', () => {
  fc.assert(
    fc.property(readings, (values) => {
      const answer = check(withMore({ evidence: { kind: 'readings', values } }))
      if (!isTested(answer) || answer.test.pValue === undefined) return
      const { n, mean, standardDeviation } = (answer as AnyResult).sample
      const backwards = resultOf(withMore({ evidence: { kind: 'readings', values: values.toReversed() } }))
      const summary = resultOf(
        withMore({ evidence: { kind: 'summary', n, mean, standardDeviation: standardDeviation! } }),
      )
      expect(backwards.test.logPValue).toBeCloseTo(answer.test.logPValue!, 9)
      expect(summary.test.logPValue).toBeCloseTo(answer.test.logPValue!, 6)
    }),
    { numRuns: 100 },
  )
})

/** JSON has no −0. */
function withoutNegativeZero(data: unknown): unknown {
  if (typeof data === 'number') return data + 0
  if (Array.isArray(data)) return data.map(withoutNegativeZero)
  if (typeof data !== 'object' || data === null) return data
  return Object.fromEntries(Object.entries(data).map(([key, value]) => [key, withoutNegativeZero(value)]))
}

test('no answer ever holds a NaN or an infinity, or makes a claim that the wording must not', () => {
  const extreme = fc.oneof(
    fc.double({ noNaN: true, noDefaultInfinity: true }),
    fc.constantFrom(0, 1, -1, 1e308, 1e-308, 5e-324, 15),
  )
  const request = fc.record({
    claim: fc.record({
      parameter: fc.constant('mean'),
      relation: fc.constantFrom(...RELATIONS),
      value: extreme,
      burden: fc.constantFrom(...BURDENS),
      tolerance: fc.record({ below: extreme, above: extreme }),
    }),
    evidence: fc.oneof(
      fc.record({ kind: fc.constant('readings'), values: fc.array(extreme, { maxLength: 6 }) }),
      fc.record({
        kind: fc.constant('summary'),
        n: fc.constantFrom(0, 1, 2, 3, 1e6),
        mean: extreme,
        variance: extreme,
      }),
    ),
    test: fc.record(
      {
        significanceLevel: fc.constantFrom(1e-300, 1e-17, 0.05, 0.5, 0.999999),
        knownStandardDeviation: extreme,
        alternative: fc.constantFrom('auto', 'less', 'greater', 'two-sided'),
      },
      { requiredKeys: [] },
    ),
  })
  fc.assert(
    fc.property(request, (document) => {
      const answer = check(document)
      expect(isAllFinite(answer)).toBe(true)
      expect(JSON.parse(JSON.stringify(answer))).toEqual(withoutNegativeZero(answer))
      expect(JSON.stringify(answer)).not.toMatch(/accept|prove/i)
    }),
    { numRuns: 500 },
  )
})

test.each([
  ['at-least', 15, [14.1, 14.2, 14.0, 14.1]],
  ['at-least', 15, [15.1, 15.2, 14.9, 15.1]],
  ['more-than', 15, [15.1, 15.2, 15.3, 15.1]],
  ['more-than', 15, [14.1, 15.2, 15.3, 14.1]],
  ['at-least', 15, [15, 15, 15]],
  ['at-least', 1e308, [1e308, -1e308, 1e308]],
] as const)('the outcome alone is that of the whole check: %s %d', (relation, value, values) => {
  const document = {
    claim: { parameter: 'mean', relation, value },
    evidence: { kind: 'readings', values: [...values] },
  }
  const whole = check(document)
  expect(checkOutcome(document)).toBe(whole.ok ? whole.finding.outcome : undefined)
})
