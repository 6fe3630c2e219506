import { check } from '@/answers/check'
import { answer } from '@/answers/answer'

// What a reading given as "< 0.5" tells is told exactly, whatever it may be, and what it does not tell is refused.

const VALUES = [0.5, 0.8, 1.2, 0.5, 1.9, 2.4, 0.9, 1.4, 3.1, 20]
const CENSORED = { below: [0, 3], above: [9] }

type More = Readonly<{ claim?: object; evidence?: object; test?: object }>
const answerTo = ({ claim, evidence, test = {} }: More) =>
  check({
    claim: { parameter: 'median', relation: 'at-most', value: 1, ...claim },
    evidence: { kind: 'readings', values: VALUES, censored: CENSORED, ...evidence },
    test,
  })

function tested(more: More) {
  const answered = answerTo(more)
  if (!answered.ok || answered.kind === 'census') throw new Error(JSON.stringify(answered))
  return answered
}
const codeOf = (more: More) => {
  const answered = answerTo(more)
  return answered.ok ? undefined : `${answered.error.code} ${answered.error.path}`
}

/** The same readings with each limit as some value on its side. */
const asIf = (below: number, above: number) =>
  VALUES.map((value, at) => (at === 9 ? above : value === 0.5 ? below : value))

test.each(['sign', 'quantile'] as const)(
  'a median by the %s test is what it is whatever the readings are',
  (method) => {
    for (const relation of ['at-most', 'at-least', 'equal-to'] as const) {
      const own = tested({ claim: { relation }, test: { method } })
      for (const [below, above] of [
        [0.01, 21],
        [0.4999, 20.001],
        [-50, 1e9],
      ] as const) {
        const other = tested({
          claim: { relation },
          evidence: { values: asIf(below, above), censored: {} },
          test: { method },
        })
        expect(own.test.pValue).toBe(other.test.pValue)
        expect(own.estimate).toEqual(other.estimate)
      }
      expect(own.warnings.map(({ code }) => code)).toContain('censored-counted')
      expect(own.sample).not.toHaveProperty('mean')
    }
  },
)

test('a share of items counts those that are known to lie on one side, and a value on the limit is on it', () => {
  const countOf = (side: string, value: number) => {
    const { sample } = tested({ claim: { parameter: 'proportion', value: 0.5, limit: { side, value } } })
    return 'successes' in sample ? sample.successes : undefined
  }
  expect(countOf('at-least', 0.5)).toBe(8)
  expect(countOf('at-most', 0.5)).toBe(2)
  expect(countOf('at-least', 20)).toBe(1)
  expect(countOf('at-most', 20)).toBe(9)
  expect(countOf('at-least', 1.3)).toBe(5)
})

test('an end of an interval that lies where not all is known is left out', () => {
  const { interval } = tested({})
  expect(interval).toMatchObject({ upper: 3.1 })
  expect(interval).not.toHaveProperty('lower')
})

test('what is not told is refused, with what would serve', () => {
  expect(codeOf({ claim: { value: 0.4 } })).toBe('censored-beyond-claim claim.value')
  expect(codeOf({ claim: { value: 21 } })).toBe('censored-beyond-claim claim.value')
  expect(
    codeOf({ claim: { parameter: 'proportion', value: 0.5, limit: { side: 'at-least', value: 0.4 } } }),
  ).toBe('censored-beyond-claim claim.limit')
  expect(codeOf({ claim: { parameter: 'mean' } })).toBe('censored-readings evidence.censored')
  expect(codeOf({ claim: { parameter: 'standard-deviation' } })).toBe('censored-readings evidence.censored')
  for (const method of ['signed-rank', 'bootstrap'])
    expect(codeOf({ test: { method } })).toBe('censored-readings evidence.censored')
  expect(
    codeOf({
      claim: { parameter: 'proportion', value: 0.5, limit: { side: 'at-least', value: 1 } },
      test: { method: 'normal-share' },
    }),
  ).toBe('censored-readings evidence.censored')
  expect(
    codeOf({ claim: { value: 5 }, evidence: { values: [4, 4, 4, 9], censored: { below: [0, 1, 2] } } }),
  ).toBe('censored-middle evidence.censored')
  expect(codeOf({ evidence: { censored: { below: [0], above: [0] } } })).toBe(
    'censored-twice evidence.censored',
  )
  expect(codeOf({ evidence: { censored: { below: [10] } } })).toBe('out-of-range evidence.censored')
})

test('one set aside is no limit any more', () => {
  const own = tested({ claim: { parameter: 'mean' }, evidence: { setAside: [0, 3, 9] } })
  expect(own.sample).toMatchObject({ n: 7, setAside: 3 })
  expect(
    tested({ claim: { value: 0.6 }, evidence: { setAside: [9] } }).warnings.map(({ code }) => code),
  ).toContain('censored-counted')
})

test('a lot measured whole has its median, where the middle is known', () => {
  expect(answerTo({ evidence: { lotSize: 10 } })).toMatchObject({
    kind: 'census',
    estimate: { value: expect.closeTo(1.3, 12) as number },
  })
  expect(
    codeOf({
      claim: { value: 5 },
      evidence: { values: [4, 4, 4, 9], censored: { below: [0, 1, 2] }, lotSize: 4 },
    }),
  ).toBe('censored-middle evidence.censored')
})

test('an estimate of a median takes them too', () => {
  expect(
    answer({
      estimate: { parameter: 'median', evidence: { kind: 'readings', values: VALUES, censored: CENSORED } },
    }),
  ).toMatchObject({ ok: true, estimate: { value: expect.closeTo(1.3, 12) as number } })
})
