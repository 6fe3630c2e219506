import fc from 'fast-check'
import { isAllFinite } from '@/claims/terms/isAllFinite'
import { reckon } from './reckon'

test('no parameters, however extreme, make it hang or give a figure that is none', () => {
  const extreme = fc.oneof(
    fc.double({ noNaN: true, noDefaultInfinity: true }),
    fc.constantFrom(0, 1, 1e308, 1e-308, 5e-324, 1e15, -1e300, 0.5, 1e7, 1e4, -1e4, 1e3),
  )
  const positive = extreme.map(Math.abs)
  const anyDistribution = fc.oneof(
    fc.record({ name: fc.constantFrom('t', 'chi-square'), df: positive }),
    fc.record({ name: fc.constant('f'), df1: positive, df2: positive }),
    fc.record({ name: fc.constant('beta'), a: positive, b: positive }),
    fc.record({ name: fc.constant('noncentral-t'), df: positive, ncp: extreme }),
    fc.record({ name: fc.constant('binomial'), n: fc.constantFrom(1, 1e9), p: positive }),
  )
  const point = fc.oneof(
    fc.record({ x: extreme }),
    fc.record({ lower: fc.constantFrom(1e-300, 1e-10, 0.5, 1 - 1e-16) }),
    fc.record({ upper: fc.constantFrom(5e-324, 0.3) }),
  )
  fc.assert(
    fc.property(anyDistribution, point, (named, at) => {
      const answer = reckon({ reckon: { distribution: named, ...at } })
      expect(isAllFinite(answer)).toBe(true)
    }),
    { numRuns: 300 },
  )
})
