import { testedBy } from '@tests/reference/answers'
import { check } from '@/answers/check'
import type { CheckDocument } from '../terms/request'
import { crossExamination, inOrder } from './crossExamination'
import { isScored, standing } from './question'
import { examine, atLeast15, sacks, wavy } from '@tests/examined'

const plain = (text: string | undefined) => text?.replaceAll('\u202f', ' ')

test('each question is a check of its own: p-value and outcome are those of the changed document', () => {
  const { answer } = examine(atLeast15())
  const { claim, evidence } = atLeast15()
  const changed = {
    'level 0.001': { claim, evidence, test: { significanceLevel: 0.001 } },
    burden: { claim: { ...claim, burden: 'substantiate' as const }, evidence },
    'method bootstrap': { claim, evidence, test: { method: 'bootstrap' as const } },
    median: { claim: { ...claim, parameter: 'median' as const }, evidence },
    'without test ': { claim, evidence: { kind: 'readings' as const, values: sacks, setAside: [17] } },
  } satisfies Record<string, CheckDocument>
  for (const [key, document] of Object.entries(changed)) {
    const own = testedBy(document)
    expect({ key, p: answer(key).pValue, outcome: answer(key).outcome }).toEqual({
      key,
      p: own.test.pValue,
      outcome: own.finding.outcome,
    })
  }
})

test('a finding stands where it speaks of the claim in the same way, whatever the burden', () => {
  const { result, answer, answers } = examine(atLeast15())
  expect(result.finding.outcome).toBe('contradicted')
  expect(answer('burden')).toMatchObject({ outcome: 'not-supported', stands: true })
  expect(answer('level 0.001')).toMatchObject({ outcome: 'not-contradicted', stands: false })
  const { stands, of } = standing(answers)
  expect(of - stands).toBe(answers.filter((one) => isScored(one) && one.stands === false).length)
  expect(of).toBe(answers.filter((one) => isScored(one) && one.stands !== undefined).length)
  // What is scored comes first, what turns it before the rest; what is not scored follows.
  const ranks = inOrder(answers)
    .filter((one) => one.stands !== undefined)
    .map((one) => (isScored(one) ? (one.stands ? 1 : 0) : 2))
  expect(ranks).toEqual(ranks.toSorted())
  expect(ranks).toContain(2)
})

test('what is suspicious is left out, and what is set aside put back, one by one and together', () => {
  expect(plain(examine(atLeast15()).answer('without test ').words)).toBe(
    'reading 18 (14.52 kg), by the test for outliers, were left out',
  )
  const { answer } = examine(atLeast15({ setAside: [4, 17] }))
  expect(plain(answer('back  17').words)).toBe('reading 18 (14.52 kg), which is set aside, were put back')
  expect(answer('all back').pValue).toBe(testedBy(atLeast15()).test.pValue)
})

test('each reading is left out in turn, and those without which the finding turns are named', () => {
  // Without 14.52 the rest is too even to contradict; without any other it does.
  const values = [14.9, 14.95, 15.02, 14.52, 15.01, 14.98, 15, 14.99, 14.97, 15.03]
  const document: CheckDocument = {
    claim: { parameter: 'mean', relation: 'at-least', value: 15.045, unit: 'kg' },
    evidence: { kind: 'readings', values },
    test: { significanceLevel: 0.025 },
  }
  const { result, answer } = examine(document)
  const turning = values.flatMap((_, index) => {
    const own = check({ ...document, evidence: { kind: 'readings', values, setAside: [index] } })
    return own.ok && own.finding.outcome !== result.finding.outcome ? [index + 1] : []
  })
  const { note, stands } = answer('leave one out')
  expect(stands).toBe(turning.length === 0)
  for (const number of turning) expect(note).toContain(`reading ${number} `)
})

test.each([
  ['mean', atLeast15()],
  ['two-sided mean', { ...atLeast15(), claim: { parameter: 'mean', relation: 'equal-to', value: 15 } }],
  [
    'share',
    {
      claim: { parameter: 'proportion', relation: 'at-most', value: 0.1 },
      evidence: { kind: 'count', n: 150, successes: 22 },
    },
  ],
  [
    'spread',
    {
      claim: { parameter: 'standard-deviation', relation: 'at-most', value: 0.09 },
      evidence: { kind: 'readings', values: sacks },
    },
  ],
  [
    'median',
    {
      claim: { parameter: 'median', relation: 'at-least', value: 14.9 },
      evidence: { kind: 'readings', values: sacks },
    },
  ],
] as const satisfies readonly (readonly [string, CheckDocument])[])(
  'the finding on a %s turns at the value named, and not just before it',
  (_, document) => {
    const { result, answer } = examine(document)
    const turning = answer('turning value').figure!.value
    const outcomeAt = (value: number) => {
      const own = check({ ...document, claim: { ...document.claim, value } })
      return own.ok ? own.finding.outcome : undefined
    }
    const step = Math.abs(turning) * 1e-9
    const before = turning + Math.sign(document.claim.value - turning) * step
    expect(outcomeAt(turning)).not.toBe(result.finding.outcome)
    expect(outcomeAt(before)).toBe(result.finding.outcome)
  },
)

test('two sources are asked about each, and a summary says what it cannot answer', () => {
  const first = sacks.slice(0, 12)
  const second = sacks.slice(12)
  const claim = { parameter: 'variance-ratio', relation: 'equal-to', value: 1 } as const
  const { answer, answers } = examine({
    claim,
    evidence: { kind: 'two-readings', first, second, secondSetAside: [5] },
  })
  expect(answer('back second 5').words).toContain('of the second source')
  expect(answers.map(({ key }) => key)).toEqual(
    expect.arrayContaining(['method brown-forsythe', 'method levene']),
  )
  const summary = examine({
    claim: { parameter: 'mean', relation: 'at-most', value: 8 },
    evidence: { kind: 'summary', n: 40, mean: 7.62, standardDeviation: 0.91 },
  })
  expect(summary.answer('leave one out').note).toBe('This needs the readings themselves.')
  expect(summary.answer('leave one out').stands).toBeUndefined()
})

test('the same question is asked only once', () => {
  const { answers } = examine(atLeast15({ setAside: [0, 4] }))
  expect(new Set(answers.map(({ key }) => key)).size).toBe(answers.length)
})

test('a size is named only where there is a gap to be found, and by a test that is planned', () => {
  const share = { parameter: 'proportion', relation: 'at-least', value: 0.95 } as const
  const lot = examine({
    claim: share,
    evidence: { kind: 'count', n: 20, successes: 18, lotSize: 400 },
    test: { method: 'hypergeometric' },
  }).answer('sample size')
  const exact = examine({
    claim: share,
    evidence: { kind: 'count', n: 20, successes: 18 },
    test: { method: 'exact-binomial' },
  }).answer('sample size')
  expect(lot.figure?.kind).toBe('sample-size')
  expect(lot.note).toBeUndefined()
  expect(exact.note).toBeUndefined()
  const above = examine({ claim: share, evidence: { kind: 'count', n: 200, successes: 196 } }).answer(
    'sample size',
  )
  expect(above).toMatchObject({ note: 'The sample shows no gap on the side that the test looks at.' })
  expect(above.figure).toBeUndefined()
})

test('another method is asked about without the choices of the one that was used', () => {
  const claim = { parameter: 'proportion', relation: 'at-least', value: 0.9 } as const
  const evidence = { kind: 'count', n: 120, successes: 101, lotSize: 700 } as const
  const plainly = (method: 'score-z' | 'exact-binomial' | 'hypergeometric') => {
    const own = testedBy({ claim, evidence, test: { method } })
    return own.test.pValue
  }
  const exact = examine({
    claim,
    evidence,
    test: { method: 'exact-binomial', midP: true, continuityCorrection: true },
  })
  expect(exact.answer('method score-z').pValue).toBe(plainly('score-z'))
  const score = examine({
    claim,
    evidence,
    test: { method: 'score-z', continuityCorrection: true, midP: true, interval: 'wald' },
  })
  expect(score.answer('method exact-binomial').pValue).toBe(plainly('exact-binomial'))
  expect(score.answer('method hypergeometric').pValue).toBe(plainly('hypergeometric'))
  expect(score.answer('method hypergeometric').interval!.method).toBe('hypergeometric')
  expect(score.answer('continuity')).toMatchObject({
    pValue: plainly('score-z'),
    words: 'the count were not corrected for continuity',
  })
  expect(exact.answer('mid-p')).toMatchObject({
    pValue: plainly('exact-binomial'),
    words: 'the mid-p rule were not used',
  })
  const two = { ...claim, relation: 'equal-to' } as const
  const doubled = examine({ claim: two, evidence, test: { method: 'score-z', twoSidedRule: 'doubled' } })
  const usual = testedBy({ claim: two, evidence, test: { method: 'exact-binomial' } })
  expect(doubled.answer('method exact-binomial').pValue).toBe(usual.test.pValue)
})

test('a known standard deviation goes to the methods that use it, and the t test is asked about by its own words', () => {
  const document: CheckDocument = { ...atLeast15(), test: { knownStandardDeviation: 0.1 } }
  const z = examine(document)
  expect(z.result.test.method).toBe('z')
  expect(z.answer('method t').words).toBe('the standard deviation were not taken as known (t test)')
  expect(z.answer('method bootstrap').words).toBe('the bootstrap test were used')
  const t = examine({ ...document, test: { method: 't', knownStandardDeviation: 0.1 } })
  expect(t.answer('method z').pValue).toBe(z.result.test.pValue)
})

test('a single reading set aside is asked about once, several one by one and together, very many together only', () => {
  const keysOf = (setAside: readonly number[]) =>
    examine(atLeast15({ setAside: [...setAside] }))
      .answers.map(({ key }) => key)
      .filter((key) => key.includes('back'))
  expect(keysOf([17])).toEqual(['back  17'])
  expect(keysOf([4, 17])).toEqual(['all back', 'back  4', 'back  17'])
  expect(keysOf([])).toEqual([])
  const values = wavy(60)
  const twenty = Array.from({ length: 20 }, (_, at) => at)
  const many = (setAside: readonly number[]) =>
    crossExamination({
      document: atLeast15({ values, setAside: [...setAside] }),
      result: examine(atLeast15({ values, setAside: [...setAside] })).result,
    }).filter(({ key }) => key.includes('back')).length
  expect(many(twenty)).toBe(21)
  expect(many([...twenty, 20])).toBe(1)
})

test.each([
  [
    'a median',
    { parameter: 'median', relation: 'at-least', value: 15.1 },
    { kind: 'readings', values: sacks },
  ],
  [
    'a ratio',
    { parameter: 'variance-ratio', relation: 'at-most', value: 1 },
    {
      kind: 'two-summaries',
      first: { n: 12, standardDeviation: 2 },
      second: { n: 15, standardDeviation: 1.9 },
    },
  ],
] as const)(
  'no plan stands beside %s, whose sample is another than one that is planned',
  (_, claim, evidence) => {
    const { answers } = examine({ claim, evidence } as unknown as CheckDocument)
    expect(answers.map(({ key }) => key)).not.toContain('sample size')
    expect(answers.map(({ key }) => key)).not.toContain('smallest gap')
  },
)
