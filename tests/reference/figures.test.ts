import { createHash } from 'node:crypto'
import { answer } from '@/answers/answer'
import { methodsFor } from '@/claims/all'
import { PARAMETERS, type Parameter } from '@/claims/terms/names'
import { readReference } from './reference'

// No figure changes by a bit: what is answered about the data of the reference set is held against its hash as recorded.
// Where figures are meant to change, `npm run unit:all -- tests/reference/figures -u` records them anew and the core's version rises.

type Row = Readonly<{ id: string; input: Readonly<Record<string, string> & { data?: readonly string[] }> }>
type Pair = Readonly<{
  id: string
  input: Readonly<
    Record<'n1' | 'sd1' | 'n2' | 'sd2', string> & { data1?: readonly string[]; data2?: readonly string[] }
  >
}>
type Share = Readonly<Record<'id' | 'x' | 'n' | 'p0', string>>
type Rate = Readonly<{ id: string; input: Readonly<Record<'events' | 'exposure' | 'rate0', string>> }>
type Grouped = Readonly<{
  id: string
  parameter: Parameter
  values: readonly string[]
  cluster?: readonly string[]
  stratum?: readonly string[]
  strata_sizes?: Readonly<Record<string, number>>
  claimed: string
}>

type Held = Readonly<{ id: string; parameter: Parameter; value: number; evidence: object }>

const shares = readReference<{ cases: Share[] }>('proportion_tests.json').cases
const rates = readReference<{ cases: Rate[] }>('rate_tests.json').cases
const grouped = readReference<{ cases: Grouped[] }>('clusters_strata.json').cases
const pairs = readReference<{ two_sample: Pair[] }>('variance_tests.json').two_sample
const readings = [
  ...readReference<{ cases: Row[] }>('mean_tests.json').cases,
  ...readReference<{ one_sample: Row[] }>('variance_tests.json').one_sample,
].flatMap(({ id, input: { data } }) => (data ? [{ id, values: data.map(Number) }] : []))

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

const HELD: readonly Held[] = [
  ...readings.flatMap(({ id, values }) =>
    (['mean', 'median', 'standard-deviation', 'variance'] as const).map((parameter) => ({
      ...{ id, parameter, value: parameter === 'mean' || parameter === 'median' ? mean(values) * 1.01 : 0.1 },
      evidence: { kind: 'readings', values },
    })),
  ),
  ...shares.map(({ id, x, n, p0 }) => ({
    ...{ id, parameter: 'proportion' as const, value: Number(p0) },
    evidence: { kind: 'count', n: Number(n), successes: Number(x), lotSize: 20 * Number(n) },
  })),
  ...rates.map(({ id, input: { events, exposure, rate0 } }) => ({
    ...{ id, parameter: 'rate' as const, value: Number(rate0) },
    evidence: { kind: 'events', events: Number(events), exposure: Number(exposure) },
  })),
  ...pairs.map(({ id, input: { data1, data2, n1, sd1, n2, sd2 } }) => ({
    ...{ id, parameter: 'variance-ratio' as const, value: 1 },
    evidence:
      data1 && data2
        ? { kind: 'two-readings', first: data1.map(Number), second: data2.map(Number) }
        : {
            kind: 'two-summaries',
            first: { n: Number(n1), standardDeviation: Number(sd1) },
            second: { n: Number(n2), standardDeviation: Number(sd2) },
          },
  })),
  ...grouped.map(({ id, parameter, values, cluster, stratum, strata_sizes: strata, claimed }) => ({
    ...{ id, parameter, value: Number(claimed) },
    evidence: {
      ...{ kind: 'readings', values: values.map(Number) },
      ...(cluster ? { cluster } : { stratum, strata, finiteFactor: true }),
    },
  })),
]

/** Each claim by each relation and by each of its methods. */
function documentsOf({ id, parameter, value, evidence }: Held) {
  return (['at-least', 'at-most', 'equal-to', 'within'] as const).flatMap((relation) =>
    (['auto', ...methodsFor(parameter)] as const).map((method) => ({
      name: `${id}, ${relation}, ${method}`,
      document: {
        claim: {
          ...{ parameter, relation, value },
          ...(relation === 'within' ? { tolerance: { below: value / 20, above: value / 10 } } : {}),
        },
        evidence,
        test: {
          ...{ method, resamples: 99 },
          ...(method === 'z' ? { knownStandardDeviation: Math.abs(value) / 30 } : {}),
        },
      },
    })),
  )
}

/** Words may change; numbers, and what they decide, may not. */
const DECIDED = ['outcome', 'method', 'name', 'state']
const figuresOf = (answered: unknown) =>
  JSON.stringify(answered, (key, value: unknown) =>
    typeof value === 'string' && !DECIDED.includes(key) ? undefined : value,
  )

test.each(PARAMETERS)('no figure of a %s changes by a bit', (parameter) => {
  const held = HELD.filter((one) => one.parameter === parameter).flatMap(documentsOf)
  const answers = held.map(({ name, document }) => ({ name, answered: answer(document) }))
  // Most are answered; the others are refused by name.
  expect(answers.filter(({ answered }) => answered.ok).length).toBeGreaterThan(answers.length / 4)
  const hashes = answers.map(({ name, answered }) => {
    const hash = createHash('sha256').update(figuresOf(answered)).digest('hex').slice(0, 12)
    return `${hash} ${name}`
  })
  expect(hashes).toMatchSnapshot()
})
