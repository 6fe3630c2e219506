import { resultOf } from '@tests/reference/answers'
import { Comparison, readReference, TOLERANCE } from '@tests/reference/reference'
import type { CheckDocument } from '../terms/request'

type Figures = Readonly<Record<string, string | null>>
type Case = Readonly<{
  id: string
  test: 't' | 'z'
  input: Readonly<{ data?: string[]; n?: string; mean?: string; sd?: string; mu0: string; sigma?: string }>
  intervals: readonly Figures[]
  d_intervals?: readonly Figures[]
  equivalence: Figures
}> &
  Figures

// mpmath 1.2.1 at 55 digits: see tests/reference/SOURCES.md.
const { cases } = readReference<{ cases: Case[] }>('mean_tests.json')
const { statistic: STATISTIC, probability: PROBABILITY, power: EFFECT_LIMIT } = TOLERANCE
const comparison = new Comparison()
afterAll(() => comparison.report())

function documentOf({ input, test }: Case, more: Partial<CheckDocument['test']> = {}): CheckDocument {
  return {
    claim: { parameter: 'mean', relation: 'equal-to', value: Number(input.mu0) },
    evidence: input.data
      ? { kind: 'readings', values: input.data.map(Number) }
      : {
          kind: 'summary',
          n: Number(input.n),
          mean: Number(input.mean),
          ...(input.sd ? { standardDeviation: Number(input.sd) } : {}),
        },
    test: { method: test, ...(input.sigma ? { knownStandardDeviation: Number(input.sigma) } : {}), ...more },
  }
}

const expectClose = (
  group: string,
  at: string,
  actual: number | undefined,
  expected: string | null | undefined,
  limit: number,
) => comparison.close(group, at, { actual, expected }, limit)

describe.each(cases.map((row) => [row.id, row] as const))('%s', (id, row) => {
  test('figures of the sample', () => {
    const { sample, estimate } = resultOf(documentOf(row))
    expect(sample.n).toBe(Number(row.n))
    expectClose('mean', id, sample.mean, row.mean, 1e-14)
    if (row.sd !== null) expectClose('standard deviation', id, sample.standardDeviation, row.sd, 1e-14)
    expectClose('standard error', id, sample.standardError, row.se, 1e-14)
    expect(estimate.value).toBe(sample.mean)
  })

  test.each([
    ['less', 'less'],
    ['greater', 'greater'],
    ['two-sided', 'two_sided'],
  ] as const)('the test with alternative %s', (alternative, name) => {
    const { test: figures } = resultOf(documentOf(row, { alternative }))
    expectClose('statistic', id, figures.statistic, row.statistic, STATISTIC)
    expectClose('log p-value', id, figures.logPValue, row[`log_p_${name}`], PROBABILITY)
    if (Number(row[`p_${name}`]) > 1e-300)
      expectClose('p-value', id, figures.pValue, row[`p_${name}`], PROBABILITY)
    expect(figures.distribution).toEqual(
      row.df === null ? { name: 'normal' } : { name: 't', df: Number(row.df) },
    )
    expect(new Set(figures.ways.map((way) => way.rejects)).size).toBe(1)
  })

  test.each(row.intervals.map((interval) => [interval.level!, interval] as const))(
    'intervals at %s',
    (level, expected) => {
      const confidenceLevel = Number(level)
      const significanceLevel = 1 - confidenceLevel
      const two = resultOf(documentOf(row, { confidenceLevel, significanceLevel }))
      expectClose('interval', id, two.interval?.lower, expected.ci_low, PROBABILITY)
      expectClose('interval', id, two.interval?.upper, expected.ci_high, PROBABILITY)
      expectClose('critical value', id, two.test.criticalValues[1], expected.crit_two_sided, PROBABILITY)
      const one = resultOf(
        documentOf(row, {
          confidenceLevel,
          significanceLevel,
          alternative: 'greater',
          intervalSides: 'lower',
        }),
      )
      expectClose('bound', id, one.interval?.lower, expected.bound_lower, PROBABILITY)
      expect(one.interval).not.toHaveProperty('upper')
      expectClose('critical value', id, one.test.criticalValues[0], expected.crit_one_sided, PROBABILITY)
      const upper = resultOf(documentOf(row, { confidenceLevel, intervalSides: 'upper' }))
      expectClose('bound', id, upper.interval?.upper, expected.bound_upper, PROBABILITY)
    },
  )

  test('effect size', () => {
    if (row.test === 'z') return
    const { effectSize } = resultOf(documentOf(row))
    expectClose("Cohen's d", id, effectSize?.cohenD, row.cohen_d, STATISTIC)
    if (row.hedges_g_exact === null) expect(effectSize).not.toHaveProperty('hedgesG')
    else expectClose("Hedges' g", id, effectSize?.hedgesG, row.hedges_g_exact, PROBABILITY)
    for (const expected of row.d_intervals ?? []) {
      const { effectSize: at } = resultOf(documentOf(row, { confidenceLevel: Number(expected.level) }))
      expectClose('limits of d', id, at?.lower, expected.d_low, EFFECT_LIMIT)
      expectClose('limits of d', id, at?.upper, expected.d_high, EFFECT_LIMIT)
    }
  })

  test('equivalence within a tolerance', () => {
    const { equivalence, input } = row
    const value = Number(input.mu0)
    const document = documentOf(row)
    const result = resultOf({
      ...document,
      claim: {
        parameter: 'mean',
        relation: 'within',
        value,
        tolerance: {
          below: value - Number(equivalence.margin_low),
          above: Number(equivalence.margin_high) - value,
        },
      },
    })
    const [low, high] = result.test.parts!
    expectClose('equivalence statistic', id, low!.statistic, equivalence.stat_low, PROBABILITY)
    expectClose('equivalence statistic', id, high!.statistic, equivalence.stat_high, PROBABILITY)
    for (const [pValue, printed] of [
      [low!.pValue, equivalence.p_low],
      [high!.pValue, equivalence.p_high],
      [result.test.pValue, equivalence.p],
    ] as const) {
      if (Number(printed) > 1e-300) expectClose('equivalence p-value', id, pValue, printed, PROBABILITY)
      else expect(pValue ?? 0).toBeLessThan(1e-299)
    }
  })
})
