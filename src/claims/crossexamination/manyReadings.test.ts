import { testedBy } from '@tests/reference/answers'
import { checkDecision } from '../check'
import type { CheckDocument, Evidence } from '../terms/request'
import { crossExamination } from './crossExamination'
import { atLeast15, worded, wavy, examine } from '@tests/examined'

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
