import fc from 'fast-check'
import { critical, type CriticalFigures } from './critical'
import { reckon } from './reckon'

function valuesOf(distribution: object, ...levels: readonly number[]): readonly CriticalFigures[] {
  const answer = critical({ critical: { distribution, levels } })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.critical
}

function tailsAt(distribution: object, x: number) {
  const answer = reckon({ reckon: { distribution, x } })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.reckon
}

// Table values of any handbook, for instance NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7. From memory.
test('the table values of t with 23 degrees of freedom and of chi-square with 10', () => {
  const [tenth, twentieth, hundredth] = valuesOf({ name: 't', df: 23 }, 0.1, 0.05, 0.01)
  expect([tenth!.upper, twentieth!.upper, hundredth!.upper].map((end) => end!.x.toFixed(4))).toEqual([
    '1.3195',
    '1.7139',
    '2.4999',
  ])
  expect(twentieth!.both.upper!.x).toBeCloseTo(2.0687, 4)
  expect(twentieth!.lower!.x).toBe(-twentieth!.upper!.x)
  const [five] = valuesOf({ name: 'chi-square', df: 10 }, 0.05)
  expect([five!.lower!.x, five!.upper!.x].map((x) => x.toFixed(3))).toEqual(['3.940', '18.307'])
  expect([five!.both.lower!.x, five!.both.upper!.x].map((x) => x.toFixed(3))).toEqual(['3.247', '20.483'])
  expect(five!.upper!.probability).toBeCloseTo(0.05, 14)
})

test('of a binomial as many as the level holds, and no end where it holds none', () => {
  const [five, rare] = valuesOf({ name: 'binomial', n: 20, p: 0.5 }, 0.05, 1e-7)
  // P(X ≤ 5) = 21,700 / 2²⁰, P(X ≤ 6) = 60,460 / 2²⁰.
  expect(five!.lower).toEqual({ x: 5, probability: expect.closeTo(21_700 / 2 ** 20, 15) })
  expect(five!.upper).toEqual({ x: 15, probability: expect.closeTo(21_700 / 2 ** 20, 15) })
  expect(rare).toEqual({ level: 1e-7, both: {} })
})

test('a level that is met exactly is within it', () => {
  const [exactly] = valuesOf({ name: 'binomial', n: 3, p: 0.5 }, 0.125)
  expect(exactly).toMatchObject({ lower: { x: 0 }, upper: { x: 3 }, both: {} })
  expect(exactly!.both).toEqual({})
})

const whole = fc.integer({ min: 1, max: 300 })
const counted = fc.oneof(
  fc.record({ name: fc.constant('binomial'), n: whole, p: fc.double({ min: 0.01, max: 0.99, noNaN: true }) }),
  fc.record({ name: fc.constant('poisson'), mean: fc.double({ min: 0.01, max: 500, noNaN: true }) }),
  fc.record({ name: fc.constant('signed-rank'), n: fc.integer({ min: 1, max: 40 }) }),
  fc.record({
    name: fc.constant('hypergeometric'),
    lotSize: fc.constant(300),
    marked: fc.integer({ min: 0, max: 300 }),
    n: whole,
  }),
)

test('what is rejected is within the level, and one more value would not be', () => {
  const level = fc.double({ min: 1e-6, max: 0.9, noNaN: true })
  fc.assert(
    fc.property(counted, level, (distribution, alpha) => {
      const [{ lower, upper, both } = { both: {} }] = valuesOf(distribution, alpha)
      const slack = 1 + 1e-12
      for (const [end, share] of [[lower, alpha] as const, [both.lower, alpha / 2] as const]) {
        const least = end === undefined ? tailsAt(distribution, 0).x : end.x
        if (end) expect(end.probability).toBe(tailsAt(distribution, end.x).lower)
        if (end) expect(end.probability).toBeLessThanOrEqual(share * slack)
        if (end) expect(tailsAt(distribution, least + 1).lower!).toBeGreaterThan(share)
      }
      for (const [end, share] of [[upper, alpha] as const, [both.upper, alpha / 2] as const]) {
        if (!end) continue
        expect(end.probability).toBe(tailsAt(distribution, end.x).atLeast)
        expect(end.probability).toBeLessThanOrEqual(share * slack)
        expect(tailsAt(distribution, end.x - 1).atLeast!).toBeGreaterThan(share)
      }
    }),
    { numRuns: 400 },
  )
})

test.each([
  [{ distribution: { name: 'normal' }, levels: [] }, 'out-of-range', 'critical.levels'],
  [{ distribution: { name: 'normal' }, levels: [1] }, 'out-of-range', 'critical.levels[0]'],
  [{ distribution: { name: 'chi-square', df: 0.001 }, levels: [0.05] }, 'figures-out-of-range', 'critical'],
  [{ distribution: { name: 'normal' } }, 'missing', 'critical.levels'],
  [
    { distribution: { name: 'hypergeometric', lotSize: 10, marked: 11, n: 3 }, levels: [0.05] },
    'out-of-range',
    'critical.distribution.marked',
  ],
])('%j is refused', (request, code, path) => {
  expect(critical({ id: 'a', critical: request })).toMatchObject({
    id: 'a',
    ok: false,
    error: { code, path },
  })
})
