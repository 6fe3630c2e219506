import { PARAMETERS } from './terms/names'
import { RELATIONS } from './terms/relations'
import { deriveHypotheses } from './terms/hypotheses'
import { check } from '@/answers/check'
import { methodChoices } from './methodChoices'
import type { CheckDocument, Evidence } from './terms/request'

const values = [14.93, 15.02, 14.88, 14.91, 14.97, 14.86, 15.04, 14.9, 14.95, 14.99]
const MEASURED: readonly Evidence[] = [
  { kind: 'readings', values },
  { kind: 'summary', n: 24, mean: 14.93, standardDeviation: 0.1 },
]
const COUNTED: readonly Evidence[] = [
  { kind: 'count', n: 40, successes: 31 },
  { kind: 'count', n: 40, successes: 31, lotSize: 500 },
]
const TWO: readonly Evidence[] = [
  { kind: 'two-readings', first: values, second: values.map((value) => value * 2) },
  { kind: 'two-summaries', first: { n: 9, variance: 2 }, second: { n: 12, variance: 3 } },
]

const EVENTS: readonly Evidence[] = [
  { kind: 'events', events: 31, exposure: 12.4 },
  { kind: 'event-counts', values: [3, 1, 4, 2, 2], exposureEach: 2 },
]

const evidenceFor = (parameter: CheckDocument['claim']['parameter']) =>
  (
    ({ proportion: COUNTED, 'variance-ratio': TWO, rate: EVENTS }) as Partial<
      Record<typeof parameter, readonly Evidence[]>
    >
  )[parameter] ?? MEASURED

/** A value that each parameter may have. */
const valueFor = (parameter: CheckDocument['claim']['parameter']) =>
  parameter === 'proportion' ? 0.8 : parameter === 'mean' || parameter === 'median' ? 15 : 0.5

const groups = values.map((_, at) => ['a', 'b', 'c'][at % 3]!)
const GROUPED: readonly Evidence[] = [
  { kind: 'readings', values, cluster: groups },
  { kind: 'readings', values, stratum: groups, strata: { a: 40, b: 30, c: 50 } },
]
/** Of other kinds than those of each parameter: items, groups and limits. */
const OTHERS: readonly CheckDocument[] = [
  ...GROUPED.flatMap((evidence) => [
    { claim: { parameter: 'mean', relation: 'at-least', value: 15 } as const, evidence },
    { claim: { parameter: 'median', relation: 'equal-to', value: 15 } as const, evidence },
  ]),
  ...[...GROUPED, ...MEASURED].map((evidence) => ({
    claim: {
      ...({ parameter: 'proportion', relation: 'at-least', value: 0.8 } as const),
      limit: { side: 'at-least', value: 14.9 } as const,
    },
    evidence,
  })),
  {
    claim: { parameter: 'median', relation: 'at-least', value: 14.9 },
    evidence: { kind: 'readings', values, censored: { below: [5] } },
  },
]

function documents(): readonly CheckDocument[] {
  return PARAMETERS.flatMap((parameter) =>
    RELATIONS.flatMap((relation) =>
      evidenceFor(parameter).flatMap((evidence) =>
        [undefined, 0.1].map((knownStandardDeviation): CheckDocument => ({
          claim: {
            parameter,
            relation,
            value: valueFor(parameter),
            tolerance: { below: 0.1, above: 0.1 },
          },
          evidence,
          test: knownStandardDeviation === undefined ? {} : { knownStandardDeviation },
        })),
      ),
    ),
  )
}

test('a method that is offered can be used, and one that is not is refused for want of what it needs', () => {
  let [offered, lacking] = [0, 0]
  for (const document of [...documents(), ...OTHERS]) {
    const hypotheses = deriveHypotheses(document.claim, 'auto')
    if (!hypotheses.ok) continue
    for (const { method, needs } of methodChoices(document, hypotheses.value.alternativeSide)) {
      const answer = check({ ...document, test: { ...document.test, method, resamples: 99 } })
      const { parameter, relation } = document.claim
      const seen = { parameter, relation, kind: document.evidence.kind, method, needs, isOk: answer.ok }
      // Readings of a summary are wanted by a median whatever the method.
      expect(seen).toEqual({ ...seen, isOk: needs === undefined })
      if (needs === undefined) offered += 1
      else lacking += 1
    }
  }
  expect(offered).toBeGreaterThan(100)
  expect(lacking).toBeGreaterThan(100)
})

test.each([
  ['median', 9, 'enough-readings'],
  ['median', 10, undefined],
  ['standard-deviation', 29, 'enough-readings'],
  ['standard-deviation', 30, undefined],
] as const)('a bootstrap of a %s of %i readings needs %p', (parameter, count, needs) => {
  const document: CheckDocument = {
    claim: { parameter, relation: 'at-least', value: 1 },
    // One of them is set aside.
    evidence: { kind: 'readings', values: Array.from({ length: count + 1 }, (_, at) => at), setAside: [0] },
  }
  const choice = methodChoices(document, 'less').find(({ method }) => method === 'bootstrap')
  expect(choice?.needs).toBe(needs)
})
