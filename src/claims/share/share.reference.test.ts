import { check } from '@/answers/check'
import { resultOf } from '@tests/reference/answers'
import { Comparison, readReference, TOLERANCE } from '@tests/reference/reference'
import type { CheckDocument } from '../terms/request'

type Figures = Readonly<Record<string, string>>
type Case = Readonly<{
  id: string
  x: string
  n: string
  p0: string
  score: Figures
  exact: Figures
  intervals: readonly (Readonly<{ level: string }> & Readonly<Record<string, readonly [string, string]>>)[]
}>
type Lot = Readonly<{ id: string; N: string; n: string; x: string; D0: string; bounds: readonly Figures[] }> &
  Figures

const { cases, finite_lot: lots } =
  readReference<Readonly<{ cases: readonly Case[]; finite_lot: readonly Lot[] }>>('proportion_tests.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

type Options = NonNullable<CheckDocument['test']>
/** n to a million: the reference asks for 10 digits there. */
const toleranceFor = (n: number) => (n >= 1e4 ? 1e-10 : TOLERANCE.probability)

describe.each(cases.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const [x, n, value] = [Number(row.x), Number(row.n), Number(row.p0)]
  const resultWith = (test: Options) =>
    resultOf({
      claim: { parameter: 'proportion', relation: 'equal-to', value },
      evidence: { kind: 'count', n, successes: x },
      test,
    })
  const compare = (
    group: string,
    actual: number | undefined,
    expected: string | undefined,
    tolerance = toleranceFor(n),
  ) => comparison.close(group, id, { actual, expected }, tolerance)

  test('score test, with and without continuity correction', () => {
    for (const [alternative, name] of [
      ['less', 'less'],
      ['greater', 'greater'],
      ['two-sided', 'two_sided'],
    ] as const) {
      const { test: plain } = resultWith({ method: 'score-z', alternative })
      compare('score: z', plain.statistic, row.score.z, TOLERANCE.statistic)
      compare('score: log p', plain.logPValue, row.score[`log_p_${name}`])
      const { test: corrected } = resultWith({ method: 'score-z', alternative, continuityCorrection: true })
      compare('score, corrected: p', corrected.pValue, row.score[`p_${name}_cc`])
      if (name !== 'two_sided')
        compare('score, corrected: z', corrected.statistic, row.score[`z_${name}_cc`], TOLERANCE.statistic)
      else
        compare(
          'score, corrected: z',
          Math.abs(corrected.statistic!),
          row.score.abs_z_two_sided_cc,
          TOLERANCE.statistic,
        )
      expect(new Set(plain.ways.map(({ rejects }) => rejects)).size).toBe(1)
      expect(new Set(corrected.ways.map(({ rejects }) => rejects)).size).toBe(1)
    }
  })

  test('exact test, by both two-sided rules and mid-p', () => {
    const p = (options: Options) => resultWith({ method: 'exact-binomial', ...options }).test
    for (const alternative of ['less', 'greater'] as const) {
      compare('exact: p', p({ alternative }).pValue, row.exact[`p_${alternative}`])
      compare('exact: mid-p', p({ alternative, midP: true }).pValue, row.exact[`midp_${alternative}`])
    }
    compare(
      'exact: p, minimum likelihood',
      p({ twoSidedRule: 'minimum-likelihood' }).pValue,
      row.exact.p_two_sided_minlike,
    )
    compare('exact: p, doubled', p({}).pValue, row.exact.p_two_sided_doubled)
    compare('exact: mid-p', p({ midP: true }).pValue, row.exact.midp_two_sided)
    for (const twoSidedRule of ['doubled', 'minimum-likelihood'] as const) {
      for (const significanceLevel of [0.2, 0.05, 0.001]) {
        const { ways } = p({ twoSidedRule, significanceLevel })
        expect(new Set(ways.map(({ rejects }) => rejects)).size).toBe(1)
      }
    }
  })

  const cut = (end: string) => String(Math.min(1, Math.max(0, Number(end))))
  test.each(row.intervals.map((interval) => [interval.level, interval] as const))(
    'intervals at %s',
    (level, expected) => {
      const confidenceLevel = Number(level)
      for (const [interval, key] of [
        ['wilson', 'wilson'],
        ['wilson-corrected', 'wilson_cc'],
        ['clopper-pearson', 'clopper_pearson'],
        ['jeffreys', 'jeffreys'],
        ['agresti-coull', 'agresti_coull_raw'],
        ['wald', 'wald_raw'],
      ] as const) {
        const { interval: ends } = resultWith({ confidenceLevel, interval, method: 'exact-binomial' })
        expect(ends!.method).toBe(interval)
        compare(`${interval}: limits`, ends?.lower, cut(expected[key]![0]))
        compare(`${interval}: limits`, ends?.upper, cut(expected[key]![1]))
        const bounds = expected[`${key}_bounds`]
        if (!bounds) continue
        for (const [index, intervalSides] of (['lower', 'upper'] as const).entries()) {
          const { interval: end } = resultWith({
            confidenceLevel,
            interval,
            intervalSides,
            method: 'exact-binomial',
          })
          compare(`${interval}: bounds`, end?.[intervalSides], bounds[index])
        }
      }
    },
  )
})

const isCensus = ({ N, n }: Lot) => N === n

test.each(lots.filter(isCensus).map((row) => [row.id, row] as const))(
  'the whole lot is no sample of it, %s',
  (_, row) => {
    const answer = check({
      claim: { parameter: 'proportion', relation: 'at-least', value: Number(row.D0) / Number(row.N) },
      evidence: { kind: 'count', n: Number(row.n), successes: Number(row.x), lotSize: Number(row.N) },
    })
    expect(answer.ok && answer.kind).toBe('census')
    expect(answer.ok && answer.estimate.value).toBe(Number(row.x) / Number(row.n))
  },
)

describe.each(lots.filter((row) => !isCensus(row)).map((row) => [row.id, row] as const))(
  'a finite lot, %s',
  (id, row) => {
    const [lotSize, n, x, marked] = [row.N, row.n, row.x, row.D0].map(Number) as [
      number,
      number,
      number,
      number,
    ]
    const resultWith = (test: Options) =>
      resultOf({
        claim: { parameter: 'proportion', relation: 'equal-to', value: marked / lotSize },
        evidence: { kind: 'count', n, successes: x, lotSize },
        test: { method: 'hypergeometric', ...test },
      })

    test('p-values against the boundary lot', () => {
      for (const alternative of ['less', 'greater'] as const) {
        const { test: figures } = resultWith({ alternative })
        comparison.close('lot: p', id, { actual: figures.pValue, expected: row[`p_${alternative}`] }, 1e-10)
        expect(figures.distribution).toEqual({ name: 'hypergeometric', lotSize, marked, n })
        expect(new Set(figures.ways.map(({ rejects }) => rejects)).size).toBe(1)
      }
    })

    test.each(row.bounds.map((bound) => [bound.level!, bound] as const))(
      'bounds at %s, counts exact',
      (level, expected) => {
        const confidenceLevel = Number(level)
        const two = resultWith({ confidenceLevel }).interval!
        expect(two.lower! * lotSize).toBeCloseTo(Number(expected.D_lower_two_sided), 6)
        expect(two.upper! * lotSize).toBeCloseTo(Number(expected.D_upper_two_sided), 6)
        for (const intervalSides of ['lower', 'upper'] as const) {
          const one = resultWith({ confidenceLevel, intervalSides }).interval!
          expect(one[intervalSides]! * lotSize).toBeCloseTo(
            Number(expected[`D_${intervalSides}_one_sided`]),
            6,
          )
        }
      },
    )
  },
)
