import { isTested } from '@/claims/checkAnswer'
import fc from 'fast-check'
import { BURDENS, RELATIONS } from '@/claims/terms/relations'
import { checkOutcome } from '@/claims/check'
import { check } from './check'
import { isAllFinite } from '@/claims/terms/isAllFinite'
import type { CheckDocument } from '@/claims/terms/request'
import { type AnyResult, testedBy } from '@tests/reference/answers'

const pellets: CheckDocument = {
  id: 'sack claim',
  claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg', quantity: 'net mass' },
  evidence: { kind: 'readings', values: [14.93, 15.02, 14.88, 14.91, 14.97, 14.86] },
}

type More = Readonly<{
  claim?: Partial<CheckDocument['claim']>
  evidence?: CheckDocument['evidence']
  test?: CheckDocument['test']
}>
const withMore = ({ claim, evidence, test }: More): CheckDocument => ({
  ...pellets,
  claim: { ...pellets.claim, ...claim },
  evidence: evidence ?? pellets.evidence,
  ...(test ? { test } : {}),
})

function resultOf(document: unknown): AnyResult {
  const answer = testedBy(document)
  return answer as AnyResult
}

function errorOf(document: unknown) {
  const answer = check(document)
  if (answer.ok) throw new Error('a result where an error was expected')
  return answer.error
}

// Sleep data of Student (1908), Biometrika 6, 1-25; worked on in Fisher (1925), Statistical Methods for Research
// Workers, section 24: t = 4.06 on 9 degrees of freedom, standard error 0.389. Data and figures from memory.
test("agrees with Fisher's worked example to the digits he printed", () => {
  const gains = [1.2, 2.4, 1.3, 1.3, 0, 1, 1.8, 0.8, 4.6, 1.4]
  const { sample, test: figures } = resultOf({
    claim: { parameter: 'mean', relation: 'equal-to', value: 0 },
    evidence: { kind: 'readings', values: gains },
  })
  expect(sample.mean).toBeCloseTo(1.58, 2)
  expect(sample.standardError).toBeCloseTo(0.389, 3)
  expect(figures.statistic).toBeCloseTo(4.06, 2)
  expect(figures.distribution).toEqual({ name: 't', df: 9 })
})

// NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.2, confidence limits for the mean of ZARR13.DAT: n = 195,
// mean 9.261460, standard deviation 0.02278881, 95 % limits 9.258242 and 9.264679; with 5 as the claimed value,
// t = 2611.284. From memory.
test("agrees with the NIST handbook's limits for the mean", () => {
  const { interval, test: figures } = resultOf({
    claim: { parameter: 'mean', relation: 'equal-to', value: 5 },
    evidence: { kind: 'summary', n: 195, mean: 9.26146, standardDeviation: 0.02278881 },
  })
  expect(interval?.lower).toBeCloseTo(9.258242, 5)
  expect(interval?.upper).toBeCloseTo(9.264679, 5)
  expect(figures.statistic).toBeCloseTo(2611.284, 1)
})

describe('hypotheses follow from the words of the claim and its burden', () => {
  test.each([
    ['at-least', undefined, '≥', '<', 'null', 'less'],
    ['at-most', undefined, '≤', '>', 'null', 'greater'],
    ['equal-to', undefined, '=', '≠', 'null', 'two-sided'],
    ['more-than', undefined, '≤', '>', 'alternative', 'greater'],
    ['less-than', undefined, '≥', '<', 'alternative', 'less'],
    ['different-from', undefined, '=', '≠', 'alternative', 'two-sided'],
    ['at-least', 'substantiate', '≤', '>', 'alternative', 'greater'],
    ['at-most', 'substantiate', '≥', '<', 'alternative', 'less'],
    ['more-than', 'challenge', '≥', '<', 'null', 'less'],
    ['less-than', 'challenge', '≤', '>', 'null', 'greater'],
  ] as const)('%s, burden %s', (relation, burden, nullRelation, alternativeRelation, claimIs, side) => {
    const { hypotheses } = resultOf(withMore({ claim: { relation, burden } }))
    expect(hypotheses).toMatchObject({
      null: { relation: nullRelation, value: 15 },
      alternative: { relation: alternativeRelation, value: 15 },
      claimIs,
      alternativeSide: side,
    })
  })

  test('a difference cannot be challenged, and equality cannot be shown without a tolerance', () => {
    const challenged = errorOf(withMore({ claim: { relation: 'different-from', burden: 'challenge' } }))
    expect(challenged).toMatchObject({ code: 'cannot-contradict-difference', path: 'claim.burden' })
    const shown = errorOf(withMore({ claim: { relation: 'equal-to', burden: 'substantiate' } }))
    expect(shown).toMatchObject({ code: 'tolerance-needed', path: 'claim.tolerance' })
  })

  test('a stated alternative wins, and a warning says so', () => {
    const result = resultOf(withMore({ test: { alternative: 'greater' } }))
    expect(result.hypotheses.alternativeSide).toBe('greater')
    expect(result.warnings.map(({ code }) => code)).toContain('alternative-disagrees-with-claim')
  })

  test('a rejection in the direction of the claim never contradicts it', () => {
    const high = { kind: 'summary', n: 30, mean: 16, standardDeviation: 0.2 } as const
    for (const alternative of ['greater', 'two-sided'] as const) {
      const { test: figures, finding } = resultOf(withMore({ evidence: high, test: { alternative } }))
      expect(figures.decision).toBe('rejected')
      expect(finding.outcome).toBe('not-contradicted')
    }
  })
})

describe('a tolerance', () => {
  const tolerance = { below: 0.1, above: 0.1 }
  const near = { kind: 'summary', n: 40, mean: 15.01, standardDeviation: 0.1 } as const

  test('is shown to hold where both one-sided tests reject and the 1 − 2α interval lies inside', () => {
    const {
      test: figures,
      interval,
      finding,
    } = resultOf(withMore({ claim: { relation: 'within', tolerance }, evidence: near }))
    expect(finding.outcome).toBe('supported')
    expect(interval?.level).toBeCloseTo(0.9, 12)
    expect(interval!.lower! > 14.9 && interval!.upper! < 15.1).toBe(true)
    expect(figures.pValue).toBe(Math.max(...figures.parts!.map((part) => part.pValue!)))
    expect(figures.ways.every((way) => way.rejects)).toBe(true)
  })

  test('of nothing, challenged, is the test of “equal to”', () => {
    const none = { relation: 'within', burden: 'challenge', tolerance: { below: 0, above: 0 } } as const
    const [within, equal] = [
      resultOf(withMore({ claim: none })),
      resultOf(withMore({ claim: { relation: 'equal-to' } })),
    ]
    expect(within.test.pValue).toBe(equal.test.pValue)
    expect(within.finding.outcome).toBe(equal.finding.outcome)
  })
})

describe('documents that cannot be answered', () => {
  const zeros = [3, 3, 3]
  test.each([
    [
      'no claimed value',
      { ...pellets, claim: { parameter: 'mean', relation: 'at-least' } },
      'missing',
      'claim.value',
    ],
    [
      'an unknown field',
      { ...pellets, claim: { ...pellets.claim, sigma: 1 } },
      'unknown-field',
      'claim.sigma',
    ],
    [
      'an unknown relation',
      withMore({ claim: { relation: 'about' as 'within' } }),
      'not-in-list',
      'claim.relation',
    ],
    ['a level of 0', withMore({ test: { significanceLevel: 0 } }), 'out-of-range', 'test.significanceLevel'],
    ['a level of 1', withMore({ test: { confidenceLevel: 1 } }), 'out-of-range', 'test.confidenceLevel'],
    ['no evidence', { claim: pellets.claim }, 'missing', 'evidence'],
    [
      'evidence of an unknown kind',
      { ...pellets, evidence: { kind: 'rumour' } },
      'not-in-list',
      'evidence.kind',
    ],
    [
      'a text for a reading',
      { ...pellets, evidence: { kind: 'readings', values: [1, '2'] } },
      'wrong-type',
      'evidence.values[1]',
    ],
    [
      'an infinite reading',
      { ...pellets, evidence: { kind: 'readings', values: [1, Infinity] } },
      'wrong-type',
      'evidence.values[1]',
    ],
    [
      'one reading',
      withMore({ evidence: { kind: 'readings', values: [15] } }),
      'too-few-readings',
      'evidence',
    ],
    [
      'no readings',
      withMore({ evidence: { kind: 'readings', values: [] } }),
      'too-few-readings',
      'evidence.values',
    ],
    [
      'equal readings',
      withMore({ evidence: { kind: 'readings', values: zeros } }),
      'no-variation',
      'evidence.values',
    ],
    [
      'no spread',
      withMore({ evidence: { kind: 'summary', n: 5, mean: 1 } }),
      'standard-deviation-needed',
      'evidence',
    ],
    [
      'both spreads',
      withMore({ evidence: { kind: 'summary', n: 5, mean: 1, standardDeviation: 1, variance: 1 } }),
      'both-spreads',
      'evidence',
    ],
    [
      'z without σ',
      withMore({ test: { method: 'z' } }),
      'known-standard-deviation-needed',
      'test.knownStandardDeviation',
    ],
    [
      'a reading set aside that is not there',
      withMore({ evidence: { kind: 'readings', values: [1, 2, 4], setAside: [3] } }),
      'out-of-range',
      'evidence.setAside[0]',
    ],
    [
      'a reading set aside twice',
      withMore({ evidence: { kind: 'readings', values: [1, 2, 4], setAside: [1, 1] } }),
      'set-aside-twice',
      'evidence.setAside[1]',
    ],
    [
      'a lot smaller than the sample',
      withMore({ evidence: { kind: 'readings', values: [1, 2], lotSize: 1 } }),
      'lot-too-small',
      'evidence.lotSize',
    ],
    [
      'a stated alternative beside a tolerance',
      withMore({
        claim: { relation: 'within', tolerance: { below: 1, above: 1 } },
        test: { alternative: 'less' },
      }),
      'alternative-not-free',
      'test.alternative',
    ],
    ['nothing', undefined, 'missing', ''],
    ['a list', [], 'wrong-type', ''],
  ])('%s', (_, document, code, path) => {
    const error = errorOf(document)
    expect(error).toMatchObject({ code, path })
    expect(error.message).toMatch(/^[“A-Z0-9].*\.$/)
  })

  test('an error keeps the id of its document', () => {
    expect(check({ id: 'a', claim: 1 })).toMatchObject({ id: 'a', ok: false })
  })
})

test('reads the whole example of the format, and says what it did not use', () => {
  const {
    warnings,
    test: figures,
    finding,
  } = resultOf({
    id: 'any text, returned as it is',
    claim: {
      parameter: 'mean',
      relation: 'at-least',
      value: 15,
      tolerance: { below: 0.1, above: 0.1 },
      burden: 'challenge',
      unit: 'kg',
      wording: '15 kg net',
    },
    evidence: { kind: 'readings', values: [14.93, 15.02], lotSize: 4000 },
    test: {
      method: 'auto',
      alternative: 'auto',
      significanceLevel: 0.05,
      confidenceLevel: 0.95,
      knownStandardDeviation: 0.2,
      interval: 'auto',
      intervalSides: 'auto',
      continuityCorrection: false,
      twoSidedRule: 'auto',
      seed: 20260101,
      resamples: 9999,
    },
  })
  expect(figures.method).toBe('z')
  expect(finding.outcome).toBe('not-contradicted')
  expect(warnings.map(({ code }) => code)).toEqual(['tolerance-not-used', 'few-readings'])
})

test('a p-value too small for a double is left out and its log given', () => {
  const {
    test: figures,
    warnings,
    finding,
  } = resultOf(
    withMore({
      evidence: { kind: 'summary', n: 100, mean: 1, standardDeviation: 0.001 },
      test: { method: 'z', knownStandardDeviation: 0.001 },
    }),
  )
  expect(figures).not.toHaveProperty('pValue')
  expect(figures.logPValue).toBeLessThan(-700)
  expect(finding.outcome).toBe('contradicted')
  expect(warnings.map(({ code }) => code)).toContain('p-value-below-range')
})

const readings = fc.array(fc.double({ min: 10, max: 20, noNaN: true }), { minLength: 3, maxLength: 30 })
const level = fc.double({ min: 0.001, max: 0.4, noNaN: true })

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
