import { figuresOf } from '@tests/reference/answers'
import { Comparison, readReference } from '@tests/reference/reference'
import { answer } from '@/answers/answer'
import type { EstimateFigures } from '@/answers/estimateRequest'

type Ends = readonly [string | null, string | null]
type Case = Readonly<{
  id: string
  parameter: string
  method: string
  input: Readonly<Record<string, string | readonly string[]>>
  df?: string | null
  estimate: string
  standard_error: string | null
  intervals: readonly Readonly<{
    level: string
    two_sided: Ends
    one_sided: Ends
    two_sided_coverage?: string | null
    one_sided_coverage?: string | null
  }>[]
}>

// mpmath at 55 digits: see tests/reference/SOURCES.md.
const { cases } = readReference<{ cases: Case[] }>('estimate.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

const numbers = (list: unknown) => (list as readonly string[]).map(Number)
const stated = (record: Readonly<Record<string, unknown>>) =>
  Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined))
const number = (text: unknown) => (text === undefined ? undefined : Number(text))

function evidenceOf({ input }: Case): object {
  const { data, data1, data2, n, n1, n2, mean, sd, sd1, sd2, variance, successes, events, exposure } = input
  const { lotSize, systematic, df_systematic: df } = input
  if (events !== undefined) return { kind: 'events', events: Number(events), exposure: Number(exposure) }
  if (successes !== undefined) return { kind: 'count', n: Number(n), successes: Number(successes) }
  if (data1) return { kind: 'two-readings', first: numbers(data1), second: numbers(data2) }
  if (n1)
    return {
      kind: 'two-summaries',
      first: { n: Number(n1), standardDeviation: Number(sd1) },
      second: { n: Number(n2), standardDeviation: Number(sd2) },
    }
  const shared = stated({
    lotSize: number(lotSize),
    measurement: systematic && stated({ systematic: Number(systematic), degreesOfFreedom: number(df) }),
  })
  if (data) return { kind: 'readings', values: numbers(data), ...shared }
  return {
    kind: 'summary',
    ...stated({
      n: number(n),
      mean: number(mean),
      standardDeviation: number(sd),
      variance: number(variance),
    }),
    ...shared,
  }
}

const INTERVALS: readonly string[] = ['wilson', 'clopper-pearson', 'garwood', 'score']

function estimated(row: Case, test: object): EstimateFigures {
  const { parameter, method, input } = row
  const own = INTERVALS.includes(method)
    ? { interval: method }
    : method === 'order-statistics'
      ? {}
      : { method }
  return figuresOf<EstimateFigures>({
    estimate: {
      parameter,
      evidence: evidenceOf(row),
      test: stated({
        ...own,
        knownStandardDeviation: number(input.sigma),
        finiteLot: input.lotSize && true,
        allowForMeasurement: input.systematic && true,
        ...test,
      }),
    },
  })
}

test.each(cases.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const close = (group: string, actual: number | undefined, expected: string | null) => {
    if (expected === null) expect([group, actual]).toEqual([group, undefined])
    else comparison.close(group, id, { actual, expected }, 1e-11)
  }
  for (const interval of row.intervals) {
    const confidenceLevel = Number(interval.level)
    const at = (intervalSides: string) => estimated(row, { confidenceLevel, intervalSides })
    const [two, lower, upper] = [at('two-sided'), at('lower'), at('upper')]
    close('estimate', two.value, row.estimate)
    if (row.standard_error !== null) close('standard error', two.standardError, row.standard_error)
    close(row.method, two.interval?.lower, interval.two_sided[0])
    close(row.method, two.interval?.upper, interval.two_sided[1])
    close(row.method, lower.interval?.lower, interval.one_sided[0])
    close(row.method, upper.interval?.upper, interval.one_sided[1])
    if (row.method !== 'order-statistics') continue
    close('coverage', two.interval?.trueLevel, interval.two_sided_coverage!)
    close('coverage', lower.interval?.trueLevel, interval.one_sided_coverage!)
  }
})

test('nothing is tested: no hypotheses, no p-value, and no condition of a claimed value', () => {
  const answered = answer({
    estimate: { parameter: 'proportion', evidence: { kind: 'count', n: 40, successes: 31 } },
  })
  expect(answered).toMatchObject({ ok: true, estimate: { value: 0.775 } })
  expect(JSON.stringify(answered)).not.toMatch(/hypothes|pValue|expected-counts|holdsClaimedValue/)
})

test('a lot measured whole has its figure and no interval, unless its instrument is allowed for', () => {
  const of = (lotSize: number, allowed: object = {}) => {
    const measurement = { systematic: 0.1 }
    const evidence = { kind: 'readings', values: [14.8, 15.1, 15], lotSize, measurement }
    const { value, interval, standardError } = figuresOf<EstimateFigures>({
      estimate: { parameter: 'mean', evidence, test: allowed },
    })
    return [Number(value.toFixed(6)), interval !== undefined, standardError !== undefined]
  }
  expect(of(3)).toEqual([14.966667, false, false])
  expect(of(4)).toEqual([14.966667, true, true])
  expect(of(3, { allowForMeasurement: true, finiteLot: true })).toEqual([14.966667, true, true])
})

test('what is wrong is told by its place in the request', () => {
  const pathOf = (estimate: object) => {
    const answered = answer({ estimate })
    return answered.ok ? undefined : answered.error.path
  }
  expect(pathOf({ parameter: 'mean', evidence: { kind: 'count', n: 4, successes: 3 } })).toBe(
    'estimate.evidence.kind',
  )
  expect(pathOf({ parameter: 'mean', evidence: { kind: 'readings', values: [1] } })).toBe('estimate.evidence')
  expect(
    pathOf({
      parameter: 'mean',
      evidence: { kind: 'readings', values: [1, 2] },
      limit: { side: 'at-least', value: 1 },
    }),
  ).toBe('estimate.limit')
  expect(pathOf({ parameter: 'mean' })).toBe('estimate.evidence')
})
