import { moments } from '@/statistics/describe/moments'
import { testedBy } from '@tests/reference/answers'
import { checkDecision, decisionOn } from '../check'
import { keptOf, readDocument, readOnce } from '../readEvidence'
import type { CheckDocument, CheckRequest, Evidence } from '../terms/request'
import { outcomesWithoutEach } from './byMoments'
import { crossExamination } from './crossExamination'

type Readings = Extract<Evidence, { kind: 'readings' }>

/** Made-up readings, a few of them far out, so that one of them can turn a finding. */
const values = Array.from(
  { length: 400 },
  (_, i) => 15 + Math.sin(i * 12.9898) / 10 + (i % 133 === 0 ? i / 300 : 0),
)
const evidence: Readings = { kind: 'readings', values, setAside: [7, 133] }
const kept = values.filter((_, index) => index !== 7 && index !== 133)
const { mean, standardDeviation = 0 } = moments(kept)
const error = standardDeviation / Math.sqrt(kept.length)

function requestOf(claim: CheckDocument['claim'], test: CheckDocument['test'] = {}): CheckRequest {
  const read = readDocument({ claim, evidence, test })
  if (!read.ok) throw new Error(read.problem.name)
  return read.value
}

const LESS = 1.6487
const EITHER = 1.9659

test.each([
  ['one side', { parameter: 'mean', relation: 'at-least', value: mean + LESS * error }, {}],
  ['the other side', { parameter: 'mean', relation: 'at-most', value: mean - LESS * error }, {}],
  ['both sides', { parameter: 'mean', relation: 'equal-to', value: mean + EITHER * error }, {}],
  [
    'a known spread',
    { parameter: 'mean', relation: 'equal-to', value: mean - 1.96 * error },
    { method: 'z', knownStandardDeviation: standardDeviation },
  ],
  [
    'a spread',
    { parameter: 'standard-deviation', relation: 'at-most', value: standardDeviation / 1.0605 },
    {},
  ],
  [
    'a spread, both sides',
    { parameter: 'variance', relation: 'equal-to', value: standardDeviation ** 2 / 1.1435 },
    {},
  ],
] as const)('corners of stretches come to what each value comes to: %s', (_, claim, test) => {
  const request = requestOf(claim, test)
  let looks = 0
  const decide = (other: Evidence) => {
    looks += 1
    return decisionOn(request, other)
  }
  const each = outcomesWithoutEach(evidence, { decide, isRange: true })
  const singly = kept.map(each)
  const all = looks
  looks = 0
  const blocks = outcomesWithoutEach(evidence, { decide, isRange: false })
  expect(kept.map(blocks)).toEqual(singly)
  expect(looks).toBeLessThan(all)
  // The claim lies where some of them turn it.
  expect(new Set(singly).size).toBe(2)
})

test('of two limits each value is decided by itself', () => {
  const tolerance = { below: 0.2, above: 0.2 }
  const request = requestOf({ parameter: 'mean', relation: 'within', value: 15, tolerance })
  let looks = 0
  const decide = (other: Evidence) => {
    looks += 1
    return decisionOn(request, other)
  }
  // Equal readings once.
  outcomesWithoutEach({ kind: 'readings', values: [...kept, ...kept] }, { decide, isRange: true })
  expect(looks).toBe(new Set(kept).size)
})

// A tolerance round the mean without one reading, only just wide enough for that one to be left out: without any other the mean lies
// beyond it, on either side. All means lie above the value claimed, so that the corners of every stretch that holds the reading
// agree, and would speak for it too.
test('a tolerance is not decided by corners', () => {
  const single = kept.toSorted((a, b) => a - b)[101]!
  const without = (index: number) => ({
    ...evidence,
    setAside: [7, 133, index].toSorted((a, b) => a - b),
  })
  const documentOf = (width: number): CheckDocument => ({
    claim: {
      ...{ parameter: 'mean', relation: 'within', burden: 'substantiate' },
      value: mean + (mean - single) / (kept.length - 1) - width / 2,
      tolerance: { below: width / 2, above: (width * 3) / 2 },
    },
    evidence,
  })
  const outcomeWithout = (index: number, width: number) =>
    checkDecision({ ...documentOf(width), evidence: without(index) })
  let [from, to] = [error, 4 * error]
  for (let step = 0; step < 40; step += 1) {
    const middle = (from + to) / 2
    if (outcomeWithout(values.indexOf(single), middle) === 'supported') to = middle
    else from = middle
  }
  const document = documentOf(to)
  const result = testedBy(document)
  const { note } = crossExamination({ document, result })
    .find(({ key }) => key === 'leave one out')!
    .ask()
  const indexes = [...values.keys()].filter((index) => index !== 7 && index !== 133)
  const supported = indexes.filter((index) => outcomeWithout(index, to) === 'supported')
  expect(supported).toEqual([values.indexOf(single)])
  const turning = result.finding.outcome === 'supported' ? kept.length - 1 : 1
  expect(note).toMatchObject({ remark: 'left-out', tried: kept.length, turning })
})

test('what no double holds is not decided', () => {
  const huge = { kind: 'readings', values: [1.7e308, -1.7e308, ...values.slice(0, 330)] } as const
  const request = requestOf({ parameter: 'mean', relation: 'at-least', value: 15 })
  const outcome = outcomesWithoutEach(
    { ...huge, values: [...huge.values] },
    { decide: (other) => decisionOn(request, other), isRange: false },
  )
  expect(outcome(values[0]!)).toBeUndefined()
})

test('evidence that was read once stands for itself, and what can’t be read is left to be refused', () => {
  const read = readOnce(evidence)
  expect(read).toEqual(evidence)
  expect(read).not.toBe(evidence)
  const document = { claim: { parameter: 'mean', relation: 'at-least', value: 15 }, evidence: read } as const
  const request = readDocument(document)
  expect(request).toMatchObject({ ok: true, value: { test: { method: 'auto' } } })
  expect(request.ok && request.value.evidence).toBe(read)
  expect(readDocument({ ...document, clame: 1 })).toMatchObject({
    ok: false,
    problem: { code: 'unknown-field' },
  })
  const wrong = { kind: 'readings', values: ['x'] } as unknown as Evidence
  expect(readOnce(wrong)).toBe(wrong)
  expect(readDocument({ ...document, evidence: wrong }).ok).toBe(false)
  expect(readDocument(null).ok).toBe(false)
  const make = jest.fn(() => 'made')
  expect([keptOf(read, make), keptOf(read, make)]).toEqual(['made', 'made'])
  expect(make).toHaveBeenCalledTimes(1)
  // Evidence that somebody else holds may change.
  keptOf(evidence, make)
  keptOf(evidence, make)
  expect(make).toHaveBeenCalledTimes(3)
})
