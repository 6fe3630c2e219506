import { isTested } from '@/claims/checkAnswer'
import { exampleCase, type Example } from '@tests/exampleCase'
import { check } from '@/answers/check'
import type { CheckDocument } from '@/claims/terms/request'
import type { Parameter } from '@/claims/terms/names'
import { RELATIONS, type Relation } from '@/claims/terms/relations'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { Method } from '@/claims/terms/names'
import { PARTS, USUAL_OPTIONS } from '@/desk/reportOptions'
import type { SampleDraft } from '@/desk/sampleDraft'
import { formatPValue, formatSure } from '@/words/figures'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { markdownOf } from './markdown'
import { reportOf } from './report'

type Evidence = Readonly<{
  name: string
  sample: Partial<SampleDraft>
  evidence: CheckDocument['evidence']
  second?: Partial<SampleDraft>
}>
type Kind = Readonly<{
  parameter: Parameter
  value: number
  /** A typed unit, none for what has none. */
  unit: string
  tolerance: number
  methods: readonly Method[]
  evidence: readonly Evidence[]
}>

const VALUES = [14.93, 15.02, 14.88, 15.11, 14.79, 14.97, 15.03, 14.9, 14.95, 15, 14.7, 15.31]
const OTHERS = [14.5, 15.4, 14.7, 15.2, 14.9, 15.6, 14.2, 15.05]
const readings: Evidence = {
  name: 'readings',
  sample: { readings: VALUES.join('\n') },
  evidence: { kind: 'readings', values: VALUES },
}
const summary: Evidence = {
  name: 'summary figures',
  sample: { kind: 'summary', sampleSize: '24', mean: '14.93', spread: '0.107' },
  evidence: { kind: 'summary', n: 24, mean: 14.93, standardDeviation: 0.107 },
}
/** What a rate is per. */
const PER = '1,000 deliveries'
const KINDS: readonly Kind[] = [
  {
    parameter: 'mean',
    value: 15,
    unit: 'kg',
    tolerance: 0.1,
    methods: ['t', 'bootstrap'],
    evidence: [readings],
  },
  { parameter: 'mean', value: 15, unit: 'kg', tolerance: 0.1, methods: ['t'], evidence: [summary] },
  {
    parameter: 'standard-deviation',
    value: 0.12,
    unit: 'kg',
    tolerance: 0.04,
    methods: ['chi-square', 'bonett'],
    evidence: [readings],
  },
  {
    parameter: 'variance',
    value: 0.01,
    unit: '°C',
    tolerance: 0.008,
    methods: ['chi-square'],
    evidence: [summary],
  },
  {
    parameter: 'median',
    value: 15,
    unit: 'kg',
    tolerance: 0.1,
    methods: ['signed-rank', 'sign', 'bootstrap'],
    evidence: [readings],
  },
  {
    parameter: 'proportion',
    value: 0.95,
    unit: '',
    tolerance: 0.02,
    methods: ['score-z', 'exact-binomial', 'hypergeometric'],
    evidence: [
      {
        name: 'a count of a lot',
        sample: { kind: 'count', count: '186 of 200', lotSize: '1500' },
        evidence: { kind: 'count', n: 200, successes: 186, lotSize: 1500 },
      },
    ],
  },
  {
    parameter: 'variance-ratio',
    value: 1,
    unit: 'kg',
    tolerance: 0.5,
    methods: ['f', 'levene', 'brown-forsythe'],
    evidence: [
      {
        name: 'readings of two sources',
        sample: readings.sample,
        evidence: { kind: 'two-readings', first: VALUES, second: OTHERS },
        second: { readings: OTHERS.join('\n') },
      },
    ],
  },
  {
    parameter: 'rate',
    value: 2,
    unit: '',
    tolerance: 0.5,
    methods: ['exact-poisson', 'score-poisson'],
    evidence: [
      {
        name: 'events over an exposure',
        sample: { kind: 'events', events: '41', exposure: '12400' },
        evidence: { kind: 'events', events: 41, exposure: 12.4 },
      },
      {
        name: 'counts of stretches',
        sample: { readings: '3 1 4 2 2', exposure: '2000' },
        evidence: { kind: 'event-counts', values: [3, 1, 4, 2, 2], exposureEach: 2 },
      },
    ],
  },
]

function claimOf(kind: Kind, relation: Relation, method: Method, given: Evidence) {
  const { parameter, value, unit, tolerance } = kind
  const isWithin = relation === 'within'
  const limits = isWithin ? { toleranceBelow: String(tolerance), toleranceAbove: String(tolerance) } : {}
  const draft: Partial<ClaimDraft> = {
    parameter,
    relation,
    method,
    claimedValue: String(value),
    unit,
    ...(parameter === 'rate' ? { exposureUnit: PER } : {}),
    quantity: 'what is measured',
    ...limits,
  }
  const document: CheckDocument = {
    claim: {
      parameter,
      relation,
      value,
      ...(unit ? { unit } : {}),
      ...(parameter === 'rate' ? { exposureUnit: PER } : {}),
      ...(isWithin ? { tolerance: { below: tolerance, above: tolerance } } : {}),
    },
    evidence: given.evidence,
    test: { method },
  }
  const first: Example = { sample: given.sample, claim: draft }
  const examples = given.second ? [first, { sample: given.second, claim: {} }] : [first]
  const content = exampleCase(examples)
  const [claim, ...others] = content.claims
  const secondSampleId = given.second ? content.samples[1]!.id : null
  const whole = { ...claim!, draft: { ...claim!.draft, secondSampleId } }
  return { document, content: { ...content, claims: [whole, ...others] } }
}

const CASES = KINDS.flatMap((kind) =>
  kind.evidence.flatMap((given) =>
    kind.methods.flatMap((method) => RELATIONS.map((relation) => ({ kind, given, method, relation }))),
  ),
).map((one) => [`${one.kind.parameter} ${one.relation} by ${one.method}, ${one.given.name}`, one] as const)

/** What a table gives beside a name, cell by cell. */
function cellsBeside(text: string, name: string): readonly string[] | undefined {
  const row = text.split('\n').find((line) => line.startsWith(`| ${name} |`))
  return row
    ?.split('|')
    .slice(2, -1)
    .map((cell) => cell.trim())
}

test.each(CASES)('the report says what the check says: %s', async (_, { kind, given, method, relation }) => {
  const { document, content } = claimOf(kind, relation, method, given)
  const result = check(document)
  const options = { ...USUAL_OPTIONS, parts: PARTS.filter((part) => part !== 'cross-examination') }
  const text = markdownOf(await reportOf(content, options))
  // What a slip in the code would print.
  expect(text).not.toMatch(/undefined|NaN|Infinity|\[object|\bnull\b(?! hypothesis)/)
  if (!isTested(result)) {
    expect(text).toContain('There is no finding yet:')
    return
  }
  const { finding, test: tested, interval } = result
  expect(text).toContain(`**${OUTCOME_WORDS[finding.outcome]}**`)
  expect(text).toContain(
    `Decision: the null hypothesis is ${tested.decision === 'rejected' ? '' : 'not '}rejected.`,
  )
  const withMinus = (value: number) => formatSure(String(value).replaceAll('-', '−'))
  expect(cellsBeside(text, 'p-value')).toEqual([
    formatPValue(tested.pValue, tested.significanceLevel),
    withMinus(tested.pValue!),
  ])
  for (const end of ['lower', 'upper'] as const) {
    const value = interval?.[end]
    const cells =
      interval && cellsBeside(text, `${Math.round(interval.level * 100)}\u202f% interval, ${end} end`)
    expect(cells?.[1]).toBe(value === undefined ? undefined : withMinus(value))
  }
})

test('the matrix holds findings of every kind, and claims that cannot be tested', () => {
  const outcomes = CASES.map(([, { kind, given, method, relation }]) => {
    const result = check(claimOf(kind, relation, method, given).document)
    return result.ok ? result.finding.outcome : 'refused'
  })
  expect(new Set(outcomes)).toEqual(
    new Set(['contradicted', 'not-contradicted', 'supported', 'not-supported', 'refused']),
  )
})
