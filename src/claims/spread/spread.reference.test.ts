import { resultOf } from '@tests/reference/answers'
import { Comparison, readReference, TOLERANCE } from '@tests/reference/reference'
import type { CheckDocument } from '../terms/request'
import type { Alternative } from '@/statistics/inference/alternative'

type Row = Readonly<Record<string, string>>
type Case = Readonly<{
  id: string
  input: Readonly<Record<string, string | string[]>>
  intervals: readonly Row[]
  bonett?: readonly Row[]
  levene?: Row
  brown_forsythe?: Row
}> &
  Readonly<Record<string, unknown>>

const { one_sample: oneSample, two_sample: twoSample } =
  readReference<Readonly<{ one_sample: readonly Case[]; two_sample: readonly Case[] }>>('variance_tests.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

const ALTERNATIVES = [
  ['less', 'less'],
  ['greater', 'greater'],
  ['two-sided', 'two_sided'],
] as const
const numbers = (texts: string | string[]) => (texts as string[]).map(Number)

function comparePValues(group: string, row: Case, document: (alternative: Alternative) => CheckDocument) {
  for (const [alternative, name] of ALTERNATIVES) {
    const { test } = resultOf(document(alternative))
    const pair = { actual: test.logPValue, expected: row[`log_p_${name}`] as string }
    comparison.close(`${group}: log p`, row.id, pair, TOLERANCE.probability, 1e-12)
    comparison.close(
      `${group}: statistic`,
      row.id,
      { actual: test.statistic, expected: row.statistic as string },
      TOLERANCE.statistic,
    )
    if (Number(row[`p_${name}`]) > 1e-300) {
      comparison.close(
        `${group}: p`,
        row.id,
        { actual: test.pValue, expected: row[`p_${name}`] as string },
        TOLERANCE.probability,
      )
    }
  }
}

describe.each(oneSample.map((row) => [row.id, row] as const))('one spread, %s', (id, row) => {
  const { input } = row
  const isVariance = 'variance0' in input
  const document = (
    test: CheckDocument['test'],
    relation: 'equal-to' | 'at-least' = 'equal-to',
  ): CheckDocument => ({
    claim: {
      parameter: isVariance ? 'variance' : 'standard-deviation',
      relation,
      value: Number(input.variance0 ?? input.sigma0),
    },
    evidence: input.data
      ? { kind: 'readings', values: numbers(input.data) }
      : {
          kind: 'summary',
          n: Number(input.n),
          ...(input.sd ? { standardDeviation: Number(input.sd) } : { variance: Number(input.variance) }),
        },
    test,
  })

  test('chi-square: statistic and p-values', () => {
    comparePValues('chi-square', row, (alternative) => document({ alternative }))
  })

  test.each(row.intervals.map((interval) => [interval.level!, interval] as const))(
    'chi-square limits at %s',
    (level, expected) => {
      const confidenceLevel = Number(level)
      const [own, other] = isVariance ? ['var', 'sd'] : ['sd', 'var']
      const two = resultOf(document({ confidenceLevel, significanceLevel: 1 - confidenceLevel }))
      for (const [end, name] of [
        ['lower', 'low'],
        ['upper', 'high'],
      ] as const) {
        comparison.close(
          'chi-square: limits',
          id,
          { actual: two.interval?.[end], expected: expected[`${own}_${name}`] },
          TOLERANCE.probability,
        )
        comparison.close(
          'chi-square: limits',
          id,
          { actual: two.interval?.alsoAs?.[end], expected: expected[`${other}_${name}`] },
          TOLERANCE.probability,
        )
        const one = resultOf(document({ confidenceLevel, intervalSides: end }))
        comparison.close(
          'chi-square: bounds',
          id,
          { actual: one.interval?.[end], expected: expected[`${own}_bound_${end}`] },
          TOLERANCE.probability,
        )
      }
      comparison.close(
        'chi-square: critical values',
        id,
        { actual: two.test.criticalValues[0], expected: expected.crit_lower_two_sided },
        TOLERANCE.probability,
      )
      comparison.close(
        'chi-square: critical values',
        id,
        { actual: two.test.criticalValues[1], expected: expected.crit_upper_two_sided },
        TOLERANCE.probability,
      )
      expect(new Set(two.test.ways.map(({ rejects }) => rejects)).size).toBe(1)
    },
  )

  if (!row.bonett) return
  test.each(row.bonett.map((interval) => [interval.level!, interval] as const))(
    'Bonett limits at %s',
    (level, expected) => {
      const confidenceLevel = Number(level)
      const own = isVariance ? 'var' : 'sd'
      const { interval, test: figures } = resultOf(
        document({ confidenceLevel, method: 'bonett', significanceLevel: 1 - confidenceLevel }),
      )
      comparison.close(
        'Bonett: limits',
        id,
        { actual: interval?.lower, expected: expected[`${own}_low`] },
        TOLERANCE.probability,
      )
      comparison.close(
        'Bonett: limits',
        id,
        { actual: interval?.upper, expected: expected[`${own}_high`] },
        TOLERANCE.probability,
      )
      expect(figures.ways).toHaveLength(3)
      expect(new Set(figures.ways.map(({ rejects }) => rejects)).size).toBe(1)
      if (isVariance) return
      for (const end of ['lower', 'upper'] as const) {
        const one = resultOf(document({ confidenceLevel, method: 'bonett', intervalSides: end }))
        comparison.close(
          'Bonett: bounds',
          id,
          { actual: one.interval?.[end], expected: expected[`sd_bound_${end}`] },
          TOLERANCE.probability,
        )
      }
    },
  )
})

describe.each(twoSample.map((row) => [row.id, row] as const))('two spreads, %s', (id, row) => {
  const { input } = row
  // The reference values of Levene and of Brown and Forsythe are for a claimed ratio of 1, whatever the row claims.
  const document = (test: CheckDocument['test'], value = Number(input.ratio0)): CheckDocument => ({
    claim: { parameter: 'variance-ratio', relation: 'equal-to', value },
    evidence: input.data1
      ? { kind: 'two-readings', first: numbers(input.data1), second: numbers(input.data2!) }
      : {
          kind: 'two-summaries',
          first: { n: Number(input.n1), standardDeviation: Number(input.sd1) },
          second: { n: Number(input.n2), standardDeviation: Number(input.sd2) },
        },
    test,
  })

  test('F: ratio, statistic and p-values', () => {
    comparePValues('F', row, (alternative) => document({ alternative }))
    const { estimate } = resultOf(document({}))
    comparison.close(
      'F: ratio',
      id,
      { actual: estimate.value, expected: row.ratio as string },
      TOLERANCE.statistic,
    )
  })

  test.each(row.intervals.map((interval) => [interval.level!, interval] as const))(
    'F limits at %s',
    (level, expected) => {
      const confidenceLevel = Number(level)
      const { interval, test: figures } = resultOf(
        document({ confidenceLevel, significanceLevel: 1 - confidenceLevel }),
      )
      comparison.close(
        'F: limits',
        id,
        { actual: interval?.lower, expected: expected.low },
        TOLERANCE.probability,
      )
      comparison.close(
        'F: limits',
        id,
        { actual: interval?.upper, expected: expected.high },
        TOLERANCE.probability,
      )
      comparison.close(
        'F: critical values',
        id,
        { actual: figures.criticalValues[0], expected: expected.crit_lower_two_sided },
        TOLERANCE.probability,
      )
      comparison.close(
        'F: critical values',
        id,
        { actual: figures.criticalValues[1], expected: expected.crit_upper_two_sided },
        TOLERANCE.probability,
      )
      for (const end of ['lower', 'upper'] as const) {
        const one = resultOf(document({ confidenceLevel, intervalSides: end }))
        comparison.close(
          'F: bounds',
          id,
          { actual: one.interval?.[end], expected: expected[`bound_${end}`] },
          TOLERANCE.probability,
        )
      }
    },
  )

  test.each([
    ['levene', row.levene],
    ['brown-forsythe', row.brown_forsythe],
  ] as const)('%s', (method, expected) => {
    if (!expected) return expect(input).not.toHaveProperty('data1')
    const { test: figures } = resultOf(document({ method }, 1))
    comparison.close(
      `${method}: statistic`,
      id,
      { actual: figures.statistic, expected: expected.statistic },
      1e-12,
    )
    comparison.close(
      `${method}: p`,
      id,
      { actual: figures.pValue, expected: expected.p },
      TOLERANCE.probability,
    )
    return expect(figures.distribution).toEqual({
      name: 'f',
      df1: Number(expected.df1),
      df2: Number(expected.df2),
    })
  })
})
