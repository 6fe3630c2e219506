import { check } from '@/answers/check'
import { resultOf } from '@tests/reference/answers'
import { Comparison, readReference, TOLERANCE } from '@tests/reference/reference'
import { exposuresFor, powerOfRate } from '@/statistics/power/ratePower'
import type { CheckDocument } from '../terms/request'

type Pair = readonly [string | null, string | null]
type Figures = Readonly<Record<string, string>>
type Case = Readonly<{
  id: string
  input: Readonly<{ rate0: string; values?: readonly string[]; exposureEach?: string }>
  events: string
  exposure: string
  estimate: string
  standard_error: string
  ratio_to_claimed: string
  dispersion?: Readonly<{ D: string; df: string; p: string; overdispersed: boolean }>
  exact: Figures
  score: Figures
  intervals: readonly (Readonly<{ level: string }> & Readonly<Record<string, Pair>>)[]
  critical?: readonly Readonly<{
    alpha: string
    less: string | null
    greater: string | null
    two_sided_doubled: Pair
    two_sided_minlike?: Pair
  }>[]
}>
type Power = Readonly<{ id: string; alternative: 'less' | 'greater' | 'two-sided' }> & Figures

const {
  cases,
  power,
  needed_exposure: needed,
} = readReference<
  Readonly<{ cases: readonly Case[]; power: readonly Power[]; needed_exposure: readonly Power[] }>
>('rate_tests.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

type Options = NonNullable<CheckDocument['test']>
const SIDES = [
  ['less', 'less'],
  ['greater', 'greater'],
  ['two-sided', 'two_sided'],
] as const
const RULES = [
  ['minimum-likelihood', 'minlike'],
  ['doubled', 'doubled'],
] as const

describe.each(cases.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const [events, exposure, value] = [Number(row.events), Number(row.exposure), Number(row.input.rate0)]
  const { values, exposureEach } = row.input
  const evidence = values
    ? ({ kind: 'event-counts', values: values.map(Number), exposureEach: Number(exposureEach) } as const)
    : ({ kind: 'events', events, exposure } as const)
  const resultWith = (test: Options) =>
    resultOf({ claim: { parameter: 'rate', relation: 'equal-to', value }, evidence, test })
  // The reference asks for 10 digits from 10,000 events on.
  const isLarge = Math.max(events, value * exposure) >= 1e4
  const tolerance = isLarge ? 1e-10 : TOLERANCE.probability
  const compare = (
    group: string,
    actual: number | undefined,
    expected: string | null | undefined,
    within = tolerance,
  ) => comparison.close(group, id, { actual, expected }, within)
  // Near 0 the reference asks for absolute digits.
  const compareNear = (group: string, actual: number | undefined, expected: string | undefined) =>
    comparison.close(group, id, { actual, expected }, tolerance, tolerance)

  test('the exact test by each rule, whole and by mid-p', () => {
    for (const [alternative, name] of SIDES) {
      for (const [twoSidedRule, rule] of alternative === 'two-sided' ? RULES : [RULES[0]]) {
        const at = alternative === 'two-sided' ? `two_sided_${rule}` : name
        const { test: exact } = resultWith({ alternative, twoSidedRule })
        if (exact.pValue !== undefined) compare(`exact: p, ${at}`, exact.pValue, row.exact[`p_${at}`])
        if (row.exact[`log_p_${at}`])
          compareNear(`exact: log p, ${at}`, exact.logPValue, row.exact[`log_p_${at}`])
        const { test: half } = resultWith({ alternative, twoSidedRule, midP: true })
        if (half.pValue !== undefined) compare(`mid-p: p, ${at}`, half.pValue, row.exact[`midp_${at}`])
      }
    }
    const { test: usual } = resultWith({})
    if (usual.pValue !== undefined) compare('exact: p, usual', usual.pValue, row.exact.p_two_sided_minlike)
    const { test: usualHalf } = resultWith({ midP: true })
    if (usualHalf.pValue !== undefined)
      compare('mid-p: p, usual', usualHalf.pValue, row.exact.midp_two_sided_doubled)
  })

  test('the score test, with and without continuity correction', () => {
    for (const [alternative, name] of SIDES) {
      const { test: plain } = resultWith({ method: 'score-poisson', alternative })
      compare('score: z', plain.statistic, row.score.z, TOLERANCE.statistic)
      compareNear('score: log p', plain.logPValue, row.score[`log_p_${name}`])
      const { test: moved } = resultWith({ method: 'score-poisson', alternative, continuityCorrection: true })
      compareNear('score, corrected: z', moved.statistic, row.score[`z_${name}_cc`])
      if (moved.pValue !== undefined) compare('score, corrected: p', moved.pValue, row.score[`p_${name}_cc`])
    }
  })

  test('estimate, its error, the ratio to the claimed rate, and intervals', () => {
    const { estimate, sample, effectSize } = resultWith({})
    compare('estimate', estimate.value, row.estimate, TOLERANCE.statistic)
    compare('standard error', sample.standardError, row.standard_error, TOLERANCE.statistic)
    compare('ratio', effectSize?.ratio, row.ratio_to_claimed, TOLERANCE.statistic)
    for (const { level, ...ends } of row.intervals)
      for (const name of ['garwood', 'score'] as const) {
        const ask = (intervalSides: 'two-sided' | 'lower' | 'upper') =>
          resultWith({ interval: name, intervalSides, confidenceLevel: Number(level) }).interval!
        const both = ask('two-sided')
        compare(`${name}: lower`, both.lower, ends[name]![0])
        compare(`${name}: upper`, both.upper, ends[name]![1])
        compare(`${name}: lower bound`, ask('lower').lower, ends[`${name}_bounds`]![0])
        compare(`${name}: upper bound`, ask('upper').upper, ends[`${name}_bounds`]![1])
      }
  })

  test('the counts that reject', () => {
    for (const { alpha, less, greater, ...two } of row.critical ?? []) {
      const significanceLevel = Number(alpha)
      const limits = (alternative: 'less' | 'greater' | 'two-sided', twoSidedRule: Options['twoSidedRule']) =>
        resultWith({ alternative, twoSidedRule, significanceLevel }).test.criticalValues
      const there = (...ends: readonly (string | null)[]) => ends.filter((end) => end !== null).map(Number)
      expect(limits('less', 'auto')).toEqual(there(less))
      expect(limits('greater', 'auto')).toEqual(there(greater))
      expect(limits('two-sided', 'doubled')).toEqual(there(...two.two_sided_doubled))
      if (two.two_sided_minlike)
        expect(limits('two-sided', 'minimum-likelihood')).toEqual(there(...two.two_sided_minlike))
    }
  })

  if (row.dispersion)
    test('the scatter of the counts', () => {
      const { D, df, p, overdispersed } = row.dispersion!
      const { figures, state } = resultWith({}).conditions.find(({ name }) => name === 'dispersion')!
      compare('dispersion', figures.dispersion, D)
      expect(figures.df).toBe(Number(df))
      compare('dispersion: p', figures.p, p)
      expect(state).toBe(overdispersed ? 'not-met' : 'no-sign')
    })
})

const questionOf = ({ rate0, rate1, alternative, alpha }: Power) => ({
  value: Number(rate0),
  truth: Number(rate1),
  alternative,
  significanceLevel: Number(alpha),
})

test.each(power.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const found = powerOfRate({ ...questionOf(row), n: Number(row.exposure) })
  comparison.close('power', id, { actual: found, expected: row.power }, TOLERANCE.probability)
})

test.each(needed.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const found = exposuresFor({ ...questionOf(row), power: Number(row.target) })
  if (row.exposure_stays === null) return expect(found).toBeUndefined()
  expect([found?.firstN, found?.n]).toEqual([Number(row.exposure_first), Number(row.exposure_stays)])
  return comparison.close(
    'power there',
    id,
    { actual: found?.power, expected: row.power_at_stays },
    TOLERANCE.probability,
  )
})

test('a stretch that is no count is refused, and counts for nothing where it is set aside', () => {
  const claim = { parameter: 'rate', relation: 'at-most', value: 2 } as const
  const evidence = { kind: 'event-counts', values: [3, 2.5, 4], exposureEach: 2 } as const
  const refused = check({ claim, evidence })
  expect(refused).toMatchObject({ ok: false, error: { code: 'not-a-count', path: 'evidence.values[1]' } })
  for (const value of [-1, 1e10])
    expect(check({ claim, evidence: { ...evidence, values: [value] } })).toMatchObject({ ok: false })
  const { sample } = resultOf({ claim, evidence: { ...evidence, values: [3, 2.5, 4], setAside: [1] } })
  expect(sample).toMatchObject({ n: 2, setAside: 1, events: 7, exposure: 4 })
})

test('a scatter is told of below 1 %, and more events than are worked with are refused', () => {
  const claim = { parameter: 'rate', relation: 'at-most', value: 2 } as const
  // D = 26/3 on 3 degrees of freedom: p = 0.034.
  const { conditions } = resultOf({
    claim,
    evidence: { kind: 'event-counts', values: [0, 5, 1, 6], exposureEach: 1 },
  })
  expect(conditions.find(({ name }) => name === 'dispersion')?.code).toBe('dispersion-usual')
  const evidence = { kind: 'events', events: 1, exposure: 1 } as const
  const refused = check({ claim: { ...claim, value: 1e12 }, evidence })
  expect(refused).toMatchObject({ ok: false, error: { code: 'expected-outside' } })
})
