import fc from 'fast-check'
import { testedBy } from '@tests/reference/answers'
import { isAllFinite } from '@/claims/terms/isAllFinite'
import type { PointFigures } from '@/statistics/distributions/pointFigures'
import { reckon } from './reckon'

function figuresOf(request: unknown): PointFigures {
  const answer = reckon({ reckon: request })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.reckon
}

function errorOf(request: unknown) {
  const answer = reckon({ id: 'a', reckon: request })
  if (answer.ok) throw new Error('a result where an error was expected')
  return answer
}

// Table values of any handbook, for instance NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7. From memory.
test.each([
  [{ name: 'normal' }, { upper: 0.025 }, 1.96, 2],
  [{ name: 't', df: 11 }, { lower: 0.05 }, -1.796, 3],
  [{ name: 'chi-square', df: 10 }, { upper: 0.05 }, 18.307, 3],
  [{ name: 'f', df1: 5, df2: 10 }, { upper: 0.05 }, 3.326, 3],
  [{ name: 'binomial', n: 20, p: 0.5 }, { lower: 0.05 }, 6, 10],
])('%j at %j is the table value %p', (distribution, probability, x, digits) => {
  expect(figuresOf({ distribution, ...probability }).x).toBeCloseTo(x, digits)
})

test('the smallest probabilities have their points too', () => {
  for (const lower of [1e-300, 1e-320])
    expect(figuresOf({ distribution: { name: 'normal' }, lower }).logLower).toBeCloseTo(Math.log(lower), 2)
})

test('gives both tails at a point, with their logs', () => {
  const { lower, upper, logLower, logUpper } = figuresOf({ distribution: { name: 't', df: 11 }, x: -2.2 })
  expect(lower! + upper!).toBe(1)
  expect(Math.exp(logLower!)).toBeCloseTo(lower!, 14)
  expect(Math.exp(logUpper!)).toBeCloseTo(upper!, 14)
})

test('a tail below the range of a double has its log only, one that is 0 has none', () => {
  const far = figuresOf({ distribution: { name: 'normal' }, x: 50 })
  expect(far).not.toHaveProperty('upper')
  expect(far.logUpper).toBeLessThan(-1250)
  const end = figuresOf({ distribution: { name: 'binomial', n: 5, p: 0.5 }, x: 5 })
  expect(end.upper).toBe(0)
  expect(end).not.toHaveProperty('logUpper')
})

test('of whole numbers also what lies below one, at it and above, and twice the smaller tail with it', () => {
  const all = 2 ** 20
  const { lower, upper, density, below, atLeast, both } = figuresOf({
    distribution: { name: 'binomial', n: 20, p: 0.5 },
    x: 5,
  })
  const shown = [lower, upper, density, below, atLeast, both].map((share) => Math.round(share! * all))
  expect(shown).toEqual([21_700, all - 21_700, 15_504, 6196, all - 6196, 43_400])
  const between = figuresOf({ distribution: { name: 'binomial', n: 20, p: 0.5 }, x: 5.5 })
  expect([between.below, between.atLeast]).toEqual([lower, upper])
  const middle = figuresOf({ distribution: { name: 'binomial', n: 20, p: 0.5 }, x: 10 })
  expect(middle.both).toBe(1)
})

test('of a curve both tails are twice the smaller, and nothing is told of the point by itself', () => {
  const figures = figuresOf({ distribution: { name: 'normal' }, x: 1.959963984540054 })
  expect(figures.both).toBeCloseTo(0.05, 14)
  expect(figures).not.toHaveProperty('atLeast')
  expect(figuresOf({ distribution: { name: 'normal' }, x: 50 })).not.toHaveProperty('both')
})

test.each([
  { distribution: { name: 't', df: 0.001 }, lower: 0.05 },
  { distribution: { name: 'chi-square', df: 0.001 }, lower: 0.05 },
  { distribution: { name: 'f', df1: 0.001, df2: 0.001 }, upper: 0.05 },
])('%j has no point that a double has room for', (request) => {
  expect(errorOf(request).error.code).toBe('figures-out-of-range')
})

test.each([
  [{ distribution: { name: 'gauss' }, x: 1 }, 'not-in-list', 'reckon.distribution.name'],
  [{ distribution: { name: 't' }, x: 1 }, 'missing', 'reckon.distribution.df'],
  [{ distribution: { name: 't', df: 0 }, x: 1 }, 'out-of-range', 'reckon.distribution.df'],
  [{ distribution: { name: 'chi-square', df: 1e11 }, x: 1 }, 'out-of-range', 'reckon.distribution.df'],
  [
    { distribution: { name: 'noncentral-t', df: 9, ncp: 1e6 }, x: 1 },
    'out-of-range',
    'reckon.distribution.ncp',
  ],
  [{ distribution: { name: 'normal' } }, 'missing', 'reckon'],
  [{ distribution: { name: 'normal' }, x: 1, lower: 0.5 }, 'too-many-points', 'reckon'],
  [{ distribution: { name: 'normal' }, upper: 0 }, 'out-of-range', 'reckon.upper'],
  [{ distribution: { name: 'normal', mean: 3 }, x: 1 }, 'unknown-field', 'reckon.distribution.mean'],
  [
    { distribution: { name: 'hypergeometric', lotSize: 10, marked: 11, n: 3 }, x: 1 },
    'out-of-range',
    'reckon.distribution.marked',
  ],
  [
    { distribution: { name: 'hypergeometric', lotSize: 10, marked: 1, n: 30 }, x: 1 },
    'out-of-range',
    'reckon.distribution.n',
  ],
])('%j is refused', (request, code, path) => {
  const { id, error } = errorOf(request)
  expect(id).toBe('a')
  expect(error).toMatchObject({ code, path })
})

const size = fc.double({ min: 0.5, max: 1e5, noNaN: true })
const whole = fc.integer({ min: 1, max: 5000 })
const distribution = fc.oneof(
  fc.constant({ name: 'normal' }),
  fc.record({ name: fc.constantFrom('t', 'chi-square'), df: size }),
  fc.record({ name: fc.constant('f'), df1: size, df2: size }),
  fc.record({ name: fc.constant('binomial'), n: whole, p: fc.double({ min: 0, max: 1, noNaN: true }) }),
  fc
    .tuple(whole, fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0.001, max: 1, noNaN: true }))
    .map(([lotSize, marked, n]) => ({
      name: 'hypergeometric',
      lotSize,
      marked: Math.floor(marked * lotSize),
      n: Math.max(1, Math.floor(n * lotSize)),
    })),
)
const isDiscrete = (name: string) => name === 'binomial' || name === 'hypergeometric'

test('a quantile leaves its probability in its tail, from either side', () => {
  const probability = fc.double({ min: 1e-12, max: 1 - 1e-12, noNaN: true })
  fc.assert(
    fc.property(distribution, probability, fc.constantFrom('lower', 'upper'), (named, p, tail) => {
      const figures = figuresOf({ distribution: named, [tail]: p })
      expect(isAllFinite(figures)).toBe(true)
      if (isDiscrete(named.name)) {
        const before = figuresOf({ distribution: named, x: figures.x - 1 })
        if (tail === 'lower') expect(figures.lower! >= p * (1 - 1e-9) && before.lower! <= p).toBe(true)
        else expect(figures.upper! <= p * (1 + 1e-9) && (before.upper ?? 0) >= p * (1 - 1e-9)).toBe(true)
      } else {
        const reached = tail === 'lower' ? figures.lower : figures.upper
        expect(Math.abs(reached! / p - 1)).toBeLessThan(1e-6)
      }
    }),
    { numRuns: 400 },
  )
})

test('the tails add to 1 at every point', () => {
  fc.assert(
    fc.property(distribution, fc.double({ min: -10, max: 1e4, noNaN: true }), (named, x) => {
      const { lower, upper } = figuresOf({ distribution: named, x })
      expect((lower ?? 0) + (upper ?? 0)).toBeCloseTo(1, 12)
    }),
    { numRuns: 400 },
  )
})

test('the reckoner and a test agree on a critical value', () => {
  const { test: figures } = testedBy({
    claim: { parameter: 'standard-deviation', relation: 'at-most', value: 1 },
    evidence: { kind: 'summary', n: 20, standardDeviation: 1.3 },
  })
  expect(figures.criticalValues).toEqual([
    figuresOf({ distribution: { name: 'chi-square', df: 19 }, upper: 0.05 }).x,
  ])
})
