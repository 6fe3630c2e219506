import { figuresOf, testedBy } from '@tests/reference/answers'
import { check } from '@/answers/check'
import { askedWords, remarkWords } from '@/words/en/crossWords'
import { checkDecision } from '../check'
import type { CheckDocument, Evidence } from '../terms/request'
import { crossExamination, inOrder } from './crossExamination'
import { type Examined, isScored, standing } from './question'

function examine(document: CheckDocument, withSetAside?: Evidence) {
  const result = testedBy(document)
  const answers = crossExamination({ document, result, withSetAside }).map(({ ask }) => ask())
  const answer = (key: string) => {
    const found = answers.find((one) => one.key === key)
    if (!found) throw new Error(`${key} was not asked: ${answers.map((one) => one.key).join(', ')}`)
    return worded(found)
  }
  return { result, answers, answer }
}

/** An answer with what is said of it. */
const worded = ({ note, asked, ...answer }: Examined) => ({
  ...answer,
  words: askedWords(asked),
  note: note && remarkWords(note),
})

const plain = (text: string | undefined) => text?.replaceAll('\u202f', ' ')

// 24 made-up readings of sacks; 14.52 stands apart.
const sacks = [
  14.93, 14.97, 15.02, 14.88, 15.06, 14.91, 14.95, 14.99, 14.86, 14.94, 15.01, 14.9, 14.96, 14.98, 14.89,
  15.03, 14.92, 14.52, 14.97, 14.85, 15, 14.93, 14.95, 14.87,
]
const atLeast15 = (evidence: Partial<Extract<Evidence, { kind: 'readings' }>> = {}): CheckDocument => ({
  claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
  evidence: { kind: 'readings', values: sacks, ...evidence },
})

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

test('many readings are left out by their mean and spread, which comes to the same', () => {
  const values = Array.from({ length: 400 }, (_, i) => 15 + Math.sin(i * 12.9898) / 10)
  const claim = { parameter: 'mean', relation: 'at-least' } as const
  const anywhere = testedBy({ ...atLeast15({ values }) })
  // A value that is only just contradicted.
  const value = 15 + (anywhere.sample as { mean: number }).mean - anywhere.test.criticalEstimates[0]! + 1e-5
  const document: CheckDocument = { claim: { ...claim, value }, evidence: { kind: 'readings', values } }
  const result = testedBy(document)
  const question = crossExamination({ document, result }).find(({ key }) => key === 'leave one out')!
  const { note } = worded(question.ask())
  const turning = values.filter((_, index) => {
    const own = checkDecision({ ...document, evidence: { kind: 'readings', values, setAside: [index] } })
    return own !== result.finding.outcome
  })
  expect(turning.length).toBeGreaterThan(0)
  expect(note).toContain(`It turns without any of ${turning.length};`)
})

test('a count loses a unit of either kind', () => {
  const { answer, answers } = examine({
    claim: { parameter: 'proportion', relation: 'at-least', value: 0.95 },
    evidence: { kind: 'count', n: 200, successes: 184 },
  })
  expect(answer('leave one out').note).toMatch(/200/)
  expect(answers.map(({ key }) => key)).toEqual(
    expect.arrayContaining(['method score-z', 'mid-p', 'turning value', 'sample size']),
  )
})

test('a share counted from rows has what is set aside put back as the count that it then is', () => {
  const claim = { parameter: 'proportion', relation: 'at-least', value: 0.9 } as const
  const { answer } = examine(
    { claim, evidence: { kind: 'count', n: 50, successes: 47 } },
    { kind: 'count', n: 60, successes: 47 },
  )
  const back = check({ claim, evidence: { kind: 'count', n: 60, successes: 47 } })
  expect(answer('all back').outcome).toBe(back.ok ? back.finding.outcome : undefined)
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

const wavy = (count: number) => Array.from({ length: count }, (_, i) => 15 + Math.sin(i * 12.9898) / 10)

// The shortcut by moments serves from 301 readings on: it must tell what testing each from the readings tells.
test.each([
  ['a mean by t', { parameter: 'mean' as const, relation: 'at-least' as const }, {}],
  [
    'a mean by z',
    { parameter: 'mean' as const, relation: 'at-least' as const },
    { method: 'z', knownStandardDeviation: 0.07 },
  ],
  ['a standard deviation', { parameter: 'standard-deviation' as const, relation: 'at-most' as const }, {}],
  ['a variance', { parameter: 'variance' as const, relation: 'at-most' as const }, {}],
] as const)(
  'the shortcut of leaving each out comes to what the readings come to, for %s',
  (_, claim, test) => {
    const values = wavy(330)
    const evidence: Evidence = { kind: 'readings', values, setAside: [3, 200], lotSize: 900 }
    const anywhere = testedBy({
      claim: { ...claim, value: claim.parameter === 'mean' ? 15 : 0.07 },
      evidence,
      test,
    })
    const isMean = claim.parameter === 'mean'
    const { value: estimate, difference } = anywhere.estimate
    // The claimed value at which the decision only just turns, found by halving.
    let [held, turned] = isMean ? [estimate, estimate + 1] : [estimate * 2, estimate / 2]
    const outcomeAt = (value: number) => checkDecision({ claim: { ...claim, value }, evidence, test })
    for (let step = 0; step < 60; step += 1) {
      const middle = (held + turned) / 2
      if (outcomeAt(middle) === 'contradicted') turned = middle
      else held = middle
    }
    expect(Number.isFinite(difference)).toBe(true)
    const document: CheckDocument = { claim: { ...claim, value: turned }, evidence, test }
    const result = testedBy(document)
    const question = crossExamination({ document, result }).find(({ key }) => key === 'leave one out')!
    const { note } = question.ask()
    const left = new Set(evidence.setAside)
    const turning = values.filter((__, index) => {
      if (left.has(index)) return false
      const without = { ...evidence, setAside: [3, 200, index].toSorted((a, b) => a - b) }
      return checkDecision({ ...document, evidence: without }) !== 'contradicted'
    })
    expect(turning.length).toBeGreaterThan(0)
    expect(turning.length).toBeLessThan(values.length - 2)
    expect(note).toMatchObject({
      remark: 'left-out',
      tried: values.length - 2,
      turning: turning.length,
      untried: 0,
    })
  },
)

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

test('of very many resampled readings only as many are left out as there is time for', () => {
  const values = Array.from({ length: 20_000 }, (_, i) => 15 + Math.sin(i) / 10 + i / 1e6)
  const { answers } = examine({
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: { kind: 'readings', values },
    test: { method: 'bootstrap', resamples: 99 },
  })
  // 5,000,000 looks, of which one reading left out takes 20,000 and 99 fiftieths of that again.
  const tried = Math.floor(5_000_000 / (20_000 * (1 + 99 / 50)))
  const { note } = answers.find(({ key }) => key === 'leave one out')!
  expect(note).toMatchObject({ remark: 'left-out', untried: 20_000 - 2 * Math.floor(tried / 2) })
})

// P(X ≥ 15) of 20 at one half is 0.0207; 14 of 19: 0.0318, 13 of 19: 0.0835; 15 of 19: 0.0096, by Python's math.comb.
test('of a count one with the property is left out, or one without, and no more', () => {
  const leftOut = (successes: number) => {
    const { answers } = examine({
      claim: { parameter: 'proportion', relation: 'at-most', value: 0.5 },
      evidence: { kind: 'count', n: 20, successes },
      test: { method: 'exact-binomial' },
    })
    return answers.find(({ key }) => key === 'leave one out')!
  }
  expect(leftOut(15).note).toMatchObject({ remark: 'left-out', tried: 20, turning: 0, untried: 0 })
  // Of 14 the finding turns where one of the six others is left out: 14 of 19 contradicts, 14 of 20 does not.
  expect(leftOut(14).note).toMatchObject({ remark: 'left-out', tried: 20, turning: 6 })
})

test('what is in groups is asked about as what it is', () => {
  const keysOf = (document: CheckDocument) =>
    crossExamination({ document, result: testedBy(document) }).map(({ key }) => key)
  const cluster = Array.from({ length: 12 }, (_, at) => `pallet ${at % 4}`)
  const entries = [{ unreadable: { count: 1, texts: ['15 1'], couldBe: [15.1] } }]
  const mean = keysOf({
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: {
      kind: 'readings',
      values: [15.1, 14.9, 15, 15.2, 14.8, 15, 14.7, 15.1, 15, 14.9, 14.6, 12],
      cluster,
      entries,
    },
  })
  expect(mean).toContain('method t')
  expect(mean).toContain('leave one out')
  // No plan is one of clusters, and nobody has said of which one an entry that was not read would be.
  for (const none of ['sample size', 'smallest gap', 'unreadable ']) expect(mean).not.toContain(none)
  const share = keysOf({
    claim: { parameter: 'proportion', relation: 'at-least', value: 0.9 },
    evidence: { kind: 'readings', values: [1, 1, 1, 0, 1, 1, 1, 1, 1, 1, 1, 1], cluster },
  })
  expect(share.filter((key) => key.startsWith('without'))).toEqual([])
})

test('what a sample of a lot could have found is planned for the lot', () => {
  const claim = { parameter: 'proportion', relation: 'at-least', value: 0.95 } as const
  const { answer } = examine({ claim, evidence: { kind: 'count', n: 60, successes: 58, lotSize: 300 } })
  const plan = {
    claim,
    test: { method: 'hypergeometric' },
    assume: { lotSize: 300 },
    find: 'difference',
    n: 60,
    power: 0.9,
  }
  const { difference } = figuresOf<{ difference: number }>({ plan })
  expect(answer('smallest gap').figure).toEqual({ kind: 'smallest-gap', value: difference })
  // A whole number of units of the lot.
  expect((0.95 - difference) * 300).toBeCloseTo(Math.round((0.95 - difference) * 300), 9)
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
