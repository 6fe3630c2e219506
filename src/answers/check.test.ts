import { resultOf, withMore, errorOf } from '@tests/answers'

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
