import { figuresOf, testedBy } from '@tests/reference/answers'
import { check } from '@/answers/check'
import type { CheckDocument } from '../terms/request'
import { crossExamination } from './crossExamination'
import { examine } from '@tests/examined'

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
