import { testedBy } from '@tests/reference/answers'
import fc from 'fast-check'
import type { CheckResult } from '../result'
import type { CheckDocument } from '../terms/request'

type OfCount = Exclude<CheckResult['test'], { parts: unknown }>
type Relation = CheckDocument['claim']['relation']

function resultOf(values: number[], relation: Relation, value: number, method?: 'sign' | 'quantile') {
  const answer = testedBy({
    claim: { parameter: 'median', relation, value },
    evidence: { kind: 'readings', values, drawn: 'random', independence: 'independent' },
    test: method ? { method } : {},
  })
  return answer
}

const ties = (equal: number, above: number, below = 0) => [
  ...Array<number>(equal).fill(6.5),
  ...Array<number>(above).fill(7),
  ...Array<number>(below).fill(6),
]

test('a single reading at the claimed value is enough for the test that counts it', () => {
  const methodFor = (equal: number) => resultOf(ties(equal, 9, 5), 'at-most', 6.5).test.method
  expect([methodFor(0), methodFor(1), methodFor(2)]).toEqual(['sign', 'quantile', 'quantile'])
})

test('ninety of a hundred readings at the claimed value are not left out', () => {
  const usual = resultOf(ties(90, 10), 'at-most', 6.5)
  expect([usual.test.method, usual.finding.outcome]).toEqual(['quantile', 'not-contradicted'])
  expect(usual.test.pValue).toBeCloseTo(1, 12)
  expect(usual.interval).toMatchObject({ lower: 6.5, upper: 6.5, holdsClaimedValue: true })
  const stated = resultOf(ties(90, 10), 'at-most', 6.5, 'sign')
  expect(stated.test.pValue).toBeCloseTo(2 ** -10, 14)
  expect(stated.conditions.find(({ name }) => name === 'equal-readings')).toMatchObject({
    state: 'not-met',
    figures: { equal: 90, n: 100 },
  })
  expect(stated.finding.limits).toContain('can’t be stated')
  expect(stated.finding.beside).toMatch(/By the quantile test, which does not rest on it: not contradicted/)
})

test.each([
  // Binomial(9, ½) by hand: P(X ≥ 7) = (36 + 9 + 1) / 512; what is equal counts against it in either direction.
  ['at-most', ties(2, 7), 46 / 512],
  ['at-least', ties(2, 0, 7), 46 / 512],
  ['equal-to', ties(2, 7), 92 / 512],
  ['equal-to', ties(2, 0, 7), 92 / 512],
  ['equal-to', ties(5, 2, 2), 1],
  ['at-most', ties(5, 2, 2), 1 - 10 / 512],
] as const)('%s: those equal to the value speak for it', (relation, values, p) => {
  const { test: figures } = resultOf(values, relation, 6.5)
  expect(figures.method).toBe('quantile')
  expect(figures.pValue).toBeCloseTo(p, 12)
  expect(new Set(figures.ways.map(({ rejects }) => rejects)).size).toBe(1)
})

test('where none is equal it is the sign test', () => {
  const values = [6.1, 6.2, 6.9, 7.3, 7.4, 7.8, 8.1, 8.8]
  for (const relation of ['at-most', 'at-least', 'equal-to'] as const) {
    expect(resultOf(values, relation, 6.5).test.method).toBe('sign')
    const [sign, quantile] = (['sign', 'quantile'] as const).map((method) => {
      const { distribution, pValue, statistic, criticalValues, criticalEstimates, ways } = resultOf(
        values,
        relation,
        6.5,
        method,
      ).test as OfCount
      return { distribution, pValue, statistic, criticalValues, criticalEstimates, ways }
    })
    expect(quantile).toEqual(sign)
  }
})

test('every way to decide agrees, whatever the ties', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 4, max: 8 }), { minLength: 2, maxLength: 60 }),
      fc.constantFrom<Relation>('at-most', 'at-least', 'equal-to', 'more-than', 'less-than'),
      (values, relation) => {
        const { test: figures, interval } = resultOf(values, relation, 6)
        expect(new Set(figures.ways.map(({ rejects }) => rejects)).size).toBe(1)
        expect(interval === undefined || (interval.lower ?? 0) <= (interval.upper ?? 9)).toBe(true)
      },
    ),
  )
})

test('a claim that just holds for discrete readings is contradicted no more often than the level says', () => {
  // Of readings that are 6 with probability 0.4, 7 with 0.2 and 8 with 0.4, the median is 7: by every sample of five.
  const chances = [0.4, 0.2, 0.4]
  let rate = 0
  const walk = (values: number[], probability: number) => {
    if (values.length < 5) {
      chances.forEach((chance, at) => walk([...values, 6 + at], probability * chance))
      return
    }
    if (resultOf(values, 'at-most', 7, 'quantile').finding.outcome === 'contradicted') rate += probability
  }
  walk([], 1)
  expect(rate).toBeCloseTo(0.4 ** 5, 12)
})
