import { isTested } from '@/claims/checkAnswer'
import { testedBy } from '@tests/reference/answers'
import { methodsFor } from '@/claims/all'
import { crossExamination } from '@/claims/crossexamination/crossExamination'
import type { Examination } from '@/claims/crossexamination/question'
import { PARAMETERS } from '@/claims/terms/names'
import { BURDENS, RELATIONS } from '@/claims/terms/relations'
import type { CheckDocument } from '@/claims/terms/request'
import { askedWords, remarkWords, standingWords } from '@/words/en/crossWords'
import { effectWords } from '@/words/en/findingWords'
import { displayOf, shownGap } from '@/words/display'
import { check } from './check'

// Every sentence that the core can make of a finding, and what none of them may say.

type Claim = CheckDocument['claim']
type Evidence = CheckDocument['evidence']

const some = Array.from({ length: 40 }, (_, at) => 15 + Math.sin(at * 12.9898) / 10)
const others = some.map((value, at) => value + Math.sin(at * 78.233) / 20)
const skewed = some.map((value) => Math.exp(4 * (value - 15)) + 14)
const stated = { drawn: 'random', independence: 'independent' } as const

const EVIDENCE: { readonly [Name in Claim['parameter']]: readonly Evidence[] } = {
  mean: [
    { kind: 'readings', values: some, ...stated },
    { kind: 'readings', values: skewed, setAside: [3], lotSize: 300, independence: 'not-independent' },
    { kind: 'summary', n: 40, mean: 15, standardDeviation: 0.07, ...stated },
  ],
  median: [{ kind: 'readings', values: skewed, ...stated }],
  'standard-deviation': [{ kind: 'readings', values: some, ...stated }],
  variance: [{ kind: 'readings', values: some }],
  proportion: [
    { kind: 'count', n: 200, successes: 186, ...stated },
    { kind: 'count', n: 60, successes: 40, lotSize: 400, drawn: 'not-random' },
  ],
  'variance-ratio': [{ kind: 'two-readings', first: some, second: others, ...stated }],
  rate: [
    { kind: 'events', events: 31, exposure: 12.4, ...stated },
    { kind: 'event-counts', values: [0, 1, 0, 9, 0, 0, 2], exposureEach: 2, independence: 'not-independent' },
  ],
}
/** Far below the sample, near it, and far above. */
const VALUES: { readonly [Name in Claim['parameter']]: readonly number[] } = {
  mean: [14, 15.0123, 16],
  median: [14, 15, 17],
  'standard-deviation': [0.01, 0.07, 0.5],
  variance: [0.0001, 0.005, 0.3],
  proportion: [0.2, 0.93, 0.995],
  'variance-ratio': [0.1, 0.9, 9],
  rate: [0.2, 2, 9],
}

function* documents(): Generator<CheckDocument> {
  for (const parameter of PARAMETERS)
    for (const relation of RELATIONS)
      for (const burden of BURDENS)
        for (const method of ['auto', ...methodsFor(parameter)] as const)
          for (const evidence of EVIDENCE[parameter])
            for (const value of VALUES[parameter]) {
              const tolerance = { below: value / 100, above: value / 100 }
              const test = { method, resamples: 99 }
              yield { claim: { parameter, relation, burden, value, tolerance }, evidence, test }
            }
}

/** Forms that state as a fact what a sample can't show, or a risk that was not kept. */
const FORBIDDEN: readonly (readonly [string, RegExp])[] = [
  ['a proof', /\bprove[sn]?\b|\bproof\b|\bguarantee|\bcertain(ly)?\b|\bdoubtless\b/i],
  [
    'a claim shown true or false',
    /\bshows? (that )?the claim (is|to be) (true|false)\b(?<!does not show the claim to be (true|false))/i,
  ],
  ['the chance of a claim', /(probability|chance) (that|of) the claim/i],
  ['that there is nothing', /\bno (drift|pattern|difference|effect)\b/i],
  ['a test that fits', /the one that fits/i],
  ['a figure of the population as a fact', /\b(mean|median|share|deviation|variance|variances) is \d/i],
  ['a gap of the population as a fact', /\bis [\d.]+[^.]* (below|above) the claimed value/i],
  ['a count of half a thing', /\d\.0 (successes|units|readings)/i],
]

test('no sentence says more than its figures, of whatever claim, burden, method and sample', () => {
  const outcomes = new Set<string>()
  let sentences = 0
  for (const document of documents()) {
    const result = check(document)
    if (!isTested(result)) continue
    const { finding, conditions, warnings, estimate, interval } = result
    const { outcome } = finding
    outcomes.add(`${document.claim.parameter} ${outcome}`)
    const effect = effectWords(
      { outcome, claim: document.claim, estimate, interval },
      displayOf(document.claim, result),
    )
    expect(effect).toContain('is estimated')
    const said = [
      finding.sentence,
      finding.limits,
      finding.beside ?? '',
      effect,
      ...conditions.map(({ sentence }) => sentence),
      ...warnings.map(({ message }) => message),
    ]
    sentences += said.length
    for (const sentence of said)
      for (const [what, form] of FORBIDDEN)
        expect({ what, sentence, is: form.test(sentence) }).toEqual({ what, sentence, is: false })
    if (finding.limits.includes('at most'))
      expect(new Set(conditions.filter(({ name }) => name !== 'outliers').map(({ state }) => state))).toEqual(
        new Set(['met']),
      )
    const open = conditions.some(
      ({ name, state }) =>
        !['outliers', 'share-of-lot'].includes(name) && !['met', 'no-sign'].includes(state),
    )
    if (outcome === 'contradicted' || outcome === 'supported')
      expect(finding.limits.includes('can’t be stated')).toBe(open)
  }
  expect(outcomes.size).toBe(4 * PARAMETERS.length)
  expect(sentences).toBeGreaterThan(10_000)
})

test('a cross-examination says no more either', () => {
  for (const parameter of PARAMETERS)
    for (const value of VALUES[parameter]) {
      const claim = { parameter, relation: 'at-least', value } as const
      const document: CheckDocument = {
        claim,
        evidence: EVIDENCE[parameter][0]!,
        test: { resamples: 99 },
      }
      const result = testedBy(document)
      const answers = crossExamination({ document, result } as unknown as Examination).map(({ ask }) => ask())
      const display = displayOf(claim, result)
      const headline = standingWords({
        answers,
        outcome: result.finding.outcome,
        gap: (size) => shownGap(size, display),
      })
      const isShown = result.finding.outcome === 'contradicted'
      expect(headline).toMatch(
        isShown ? /^Stands in \d+ of \d+\./ : /^(A sample of this size finds|What gap)/,
      )
      for (const { asked, note } of answers)
        for (const sentence of [headline, askedWords(asked), note ? remarkWords(note) : ''])
          for (const [what, form] of FORBIDDEN)
            expect({ what, sentence, is: form.test(sentence) }).toEqual({ what, sentence, is: false })
    }
})
