import { check } from '@/answers/check'
import { resultOf } from '@tests/reference/answers'
import { Comparison, readReference } from '@tests/reference/reference'
import type { CheckDocument } from '../terms/request'

type Figures = Readonly<Record<string, string | null>>
type Ends = readonly [string, string]
type Input = Readonly<{
  data?: string[]
  n?: string
  mean?: string
  sd?: string
  side: 'at-least' | 'at-most'
  limit: string
  p0: string
}>
type Counting = Readonly<{
  id: string
  input: Input
  x: string
  exact: Figures
  clopper_pearson_95: Ends
  clopper_pearson_bounds_95: Ends
}>
type Level = Readonly<{ share: Ends; share_not_counting: Ends }>
type Normal = Readonly<{
  id: string
  input: Input
  intervals: readonly Readonly<{ level: string; two_sided: Level; one_sided: Level }>[]
  critical?: readonly Figures[]
}> &
  Figures

// mpmath at 55 digits: see tests/reference/SOURCES.md. Owen (1968), Technometrics 10; Wilks (1941).
const reference = readReference<{
  counting: Counting[]
  normal_share: Normal[]
  tolerance_limits: Figures[]
}>('share_by_readings.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

function documentOf(
  { data, n, mean, sd, side, limit, p0 }: Input,
  more: CheckDocument['test'] = {},
): CheckDocument {
  return {
    claim: {
      parameter: 'proportion',
      relation: 'equal-to',
      value: Number(p0),
      limit: { side, value: Number(limit) },
    },
    evidence: data
      ? { kind: 'readings', values: data.map(Number) }
      : { kind: 'summary', n: Number(n), mean: Number(mean), standardDeviation: Number(sd) },
    test: more,
  }
}

test.each(reference.counting.map((row) => [row.id, row] as const))('%s: items counted', (id, row) => {
  const close = (group: string, actual: number | undefined, expected: string | null | undefined) =>
    comparison.close(group, id, { actual, expected }, 1e-11)
  const exact = (test: CheckDocument['test']) =>
    resultOf(documentOf(row.input, { method: 'exact-binomial', ...test }))
  const less = exact({ alternative: 'less' })
  expect(less.sample.successes).toBe(Number(row.x))
  close('exact p', less.test.pValue, row.exact.p_less)
  close('exact p', exact({ alternative: 'greater' }).test.pValue, row.exact.p_greater)
  close('exact p', exact({ twoSidedRule: 'doubled' }).test.pValue, row.exact.p_two_sided_doubled)
  close('exact p', exact({ twoSidedRule: 'minimum-likelihood' }).test.pValue, row.exact.p_two_sided_minlike)
  const { interval } = exact({ interval: 'clopper-pearson' })
  close('interval', interval?.lower, row.clopper_pearson_95[0])
  close('interval', interval?.upper, row.clopper_pearson_95[1])
})

describe.each(reference.normal_share.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const close = (
    group: string,
    actual: number | undefined,
    expected: string | null | undefined,
    to: number,
  ) => comparison.close(group, id, { actual, expected }, to, 1e-300)
  const isFar = Math.abs(Number(row.ncp0)) >= 100
  const normal = (test: CheckDocument['test'] = {}) =>
    resultOf(documentOf(row.input, { method: 'normal-share', ...test }))
  const limitOf = (p: string | null | undefined) => (Number(p) > 1e-12 ? (isFar ? 1e-8 : 1e-9) : 1e-6)

  test('the test', () => {
    const slack = (1e-15 * Math.abs(Number(row.mean))) / Number(row.sd)
    const less = normal({ alternative: 'less' })
    expect(Math.abs(less.sample.k! - Number(row.K))).toBeLessThan(
      Math.max(slack, 1e-12 * Math.abs(Number(row.K))),
    )
    for (const [alternative, name] of [
      ['less', 'less'],
      ['greater', 'greater'],
      ['two-sided', 'two_sided'],
    ] as const) {
      const { test: figures, estimate } = normal({ alternative })
      const p = row[`p_${name}`]
      if (Number(p) > 1e-300) close('p-value', figures.pValue, p, limitOf(p))
      close('estimate', estimate.value, row.estimate, 1e-8)
      expect(new Set(figures.ways.map((way) => way.rejects)).size).toBe(1)
    }
  })

  test('intervals', () => {
    for (const { level, two_sided: two, one_sided: one } of row.intervals) {
      const confidenceLevel = Number(level)
      const at = { confidenceLevel, significanceLevel: 1 - confidenceLevel }
      const both = normal(at).interval
      close('interval', both?.lower, two.share[0], 1e-8)
      close('interval', both?.upper, two.share[1], 1e-8)
      close('bound', normal({ ...at, intervalSides: 'lower' }).interval?.lower, one.share[0], 1e-8)
      close('bound', normal({ ...at, intervalSides: 'upper' }).interval?.upper, one.share[1], 1e-8)
    }
  })

  test('critical values', () => {
    for (const expected of row.critical ?? []) {
      const significanceLevel = Number(expected.alpha)
      const at = (alternative: 'less' | 'greater') =>
        normal({ significanceLevel, alternative }).test.criticalValues[0]
      close('critical T', at('less'), expected.T_less, 1e-9)
      close('critical T', at('greater'), expected.T_greater, 1e-9)
    }
  })
})

test.each(reference.tolerance_limits.map((row) => [`${row.of} ${row.p} ${row.confidence}`, row] as const))(
  'tolerance limits of %s',
  (id, row) => {
    const { input } = reference.normal_share.find((one) => one.id === row.of)!
    for (const [side, expected, order] of [
      ['at-least', row.lower_limit_at_least, row.order_lower],
      ['at-most', row.upper_limit_at_most, row.order_upper],
    ] as const) {
      const confidenceLevel = Number(row.confidence)
      const answered = check(
        documentOf(
          { ...input, side, p0: row.p! },
          { confidenceLevel, significanceLevel: 1 - confidenceLevel },
        ),
      )
      if (!answered.ok || answered.kind !== 'proportion') throw new Error('not answered')
      const { toleranceLimits: found } = answered
      comparison.close('k', id, { actual: found?.normal?.k, expected: row.k }, 1e-9)
      comparison.close('limit', id, { actual: found?.normal?.limit, expected }, 1e-9)
      if (order === null) expect(found?.ordered).toEqual({ neededN: Number(row.needed_n) })
      else expect(found?.ordered).toEqual({ rank: Number(row.order_r), limit: Number(order) })
    }
  },
)
