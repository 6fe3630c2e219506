import { check } from '@/answers/check'
import { resultOf } from '@tests/reference/answers'
import { Comparison, readReference, TOLERANCE } from '@tests/reference/reference'
import type { CheckDocument } from '../terms/request'

type Figures = Readonly<Record<string, string | null>>
type Input = Readonly<{
  data?: string[]
  n?: string
  mean?: string
  sd?: string
  sigma?: string
  mu0: string
  lotSize?: string
  systematic?: string
  df_systematic?: string
}>
type Case = Readonly<{
  id: string
  input: Input
  intervals?: readonly Figures[]
  critical?: readonly (Figures & Readonly<{ estimate_two_sided: readonly [string, string] }>)[]
  cohen_d_interval_95?: readonly string[] | null
  nothing_tested?: boolean
  offset?: boolean
}> &
  Figures

// mpmath at 55 digits: see tests/reference/SOURCES.md. Cochran (1977), Sampling Techniques, 2.6; JCGM 100:2008, G.4.
const lotMean = readReference<{ cases: Case[] }>('lot_mean.json').cases
const uncertain = readReference<{ cases: Case[]; resolution: Figures[] }>('uncertainty.json')
const { statistic: STATISTIC, probability: PROBABILITY, power: EFFECT_LIMIT } = TOLERANCE
/** Data far from 0 beside their scatter: the sums keep nine digits of a difference. */
const FAR = 1e-9
const comparison = new Comparison()
afterAll(() => comparison.report())

function documentOf({ input }: Case, more: Partial<CheckDocument['test']> = {}): CheckDocument {
  const { data, n, mean, sd, sigma, mu0, lotSize, systematic, df_systematic: df } = input
  const shared = {
    ...(lotSize ? { lotSize: Number(lotSize) } : {}),
    ...(systematic === undefined
      ? {}
      : { measurement: { systematic: Number(systematic), ...(df ? { degreesOfFreedom: Number(df) } : {}) } }),
  }
  return {
    claim: { parameter: 'mean', relation: 'equal-to', value: Number(mu0) },
    evidence: data
      ? { kind: 'readings', values: data.map(Number), ...shared }
      : {
          ...{ kind: 'summary', n: Number(n), mean: Number(mean), ...shared },
          ...(sd === undefined ? {} : { standardDeviation: Number(sd) }),
        },
    test: {
      method: sigma ? 'z' : 't',
      finiteLot: lotSize !== undefined,
      allowForMeasurement: systematic !== undefined,
      ...(sigma ? { knownStandardDeviation: Number(sigma) } : {}),
      ...more,
    },
  }
}

const tested = [...lotMean.filter(({ nothing_tested: nothing }) => !nothing), ...uncertain.cases]

describe.each(tested.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const isFar = row.id.includes('offset') || Number(row.mean) > 1e5
  const close = (
    group: string,
    actual: number | undefined,
    expected: string | null | undefined,
    to: number,
  ) => comparison.close(group, id, { actual, expected }, isFar ? Math.max(to, FAR) : to)
  const half = (interval: Figures) => Number(interval.ci_high) - Number(interval.ci_low)

  test.each([
    ['less', 'less'],
    ['greater', 'greater'],
    ['two-sided', 'two_sided'],
  ] as const)('the test with alternative %s', (alternative, name) => {
    const { test: figures, sample } = resultOf(documentOf(row, { alternative }))
    close('standard error', sample.standardError, row.standard_error, STATISTIC)
    close('statistic', figures.statistic, row.statistic, STATISTIC)
    close('log p-value', figures.logPValue, row[`log_p_${name}`], PROBABILITY)
    if (Number(row[`p_${name}`]) > 1e-300) close('p-value', figures.pValue, row[`p_${name}`], PROBABILITY)
    const df = row.df ?? row.df_eff
    if (df === null || df === undefined) expect(figures.distribution).toEqual({ name: 'normal' })
    else if (figures.distribution?.name === 't') close('df', figures.distribution.df, df, STATISTIC)
    else expect(figures.distribution?.name).toBe('t')
    expect(new Set(figures.ways.map((way) => way.rejects)).size).toBe(1)
    if (row.factor) close('factor', sample.finiteLotFactor, row.factor, STATISTIC)
    if (row.variance_of_mean_readings)
      close('A', sample.standardErrorOfReadings! ** 2, row.variance_of_mean_readings, STATISTIC)
  })

  test('intervals and critical values', () => {
    for (const expected of row.intervals ?? []) {
      const confidenceLevel = Number(expected.level)
      const test = { confidenceLevel, significanceLevel: 1 - confidenceLevel }
      const two = resultOf(documentOf(row, test))
      const lower = resultOf(documentOf(row, { ...test, alternative: 'greater', intervalSides: 'lower' }))
      const upper = resultOf(documentOf(row, { ...test, alternative: 'less', intervalSides: 'upper' }))
      const ends = [
        [two.interval?.lower, expected.ci_low],
        [two.interval?.upper, expected.ci_high],
        [lower.interval?.lower, expected.bound_lower],
        [upper.interval?.upper, expected.bound_upper],
      ] as const
      // Relative to the estimate and the half width, as the values' README has it.
      const size = Math.abs(Number(row.mean)) + half(expected) / 2
      for (const [end, printed] of ends)
        expect(Math.abs(end! - Number(printed)) / size).toBeLessThan(PROBABILITY)
      close('critical value', two.test.criticalValues[1], expected.crit_two_sided, PROBABILITY)
      close('critical value', lower.test.criticalValues[0], expected.crit_one_sided, PROBABILITY)
    }
    for (const expected of row.critical ?? []) {
      const significanceLevel = Number(expected.alpha)
      const { test: two } = resultOf(documentOf(row, { significanceLevel }))
      const { test: one } = resultOf(documentOf(row, { significanceLevel, alternative: 'less' }))
      close('critical value', two.criticalValues[1], expected.t_two_sided, PROBABILITY)
      close('critical estimate', two.criticalEstimates[0], expected.estimate_two_sided[0], PROBABILITY)
      close('critical estimate', two.criticalEstimates[1], expected.estimate_two_sided[1], PROBABILITY)
      close('critical estimate', one.criticalEstimates[0], expected.estimate_less, PROBABILITY)
    }
  })

  test('effect size', () => {
    if (row.cohen_d === undefined) return
    const { effectSize } = resultOf(documentOf(row))
    close("Cohen's d", effectSize?.cohenD, row.cohen_d, STATISTIC)
    const [lower, upper] = row.cohen_d_interval_95 ?? []
    if (lower === undefined) return
    close('limits of d', effectSize?.lower, lower, EFFECT_LIMIT)
    close('limits of d', effectSize?.upper, upper, EFFECT_LIMIT)
  })
})

test.each(lotMean.filter(({ nothing_tested: nothing }) => nothing).map((row) => [row.id, row] as const))(
  '%s: the lot’s mean is the figure itself',
  (_, row) => {
    const answered = check(documentOf(row))
    expect(answered).toMatchObject({
      ok: true,
      kind: 'census',
      estimate: {
        value: expect.closeTo(Number(row.mean), 12) as number,
      },
    })
  },
)

test.each(uncertain.resolution.map((row) => [row.resolution, row.sd, row.state] as const))(
  'a resolution of %s beside a standard deviation of %s is %s',
  (resolution, sd, state) => {
    const { conditions } = resultOf({
      claim: { parameter: 'mean', relation: 'at-least', value: 0 },
      evidence: {
        kind: 'summary',
        n: 9,
        mean: 1,
        standardDeviation: Number(sd),
        measurement: { resolution: Number(resolution ?? 0) },
      },
      test: { knownStandardDeviation: 1 },
    })
    const found = conditions.find(({ name }) => name === 'resolution')
    expect(found?.state.replace('-', ' ') ?? 'not asked').toBe(state)
  },
)
