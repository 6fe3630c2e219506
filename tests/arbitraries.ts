import fc from 'fast-check'
import type { CheckDocument } from '@/claims/terms/request'
import type { CheckResult } from '@/claims/result'

export type Evidence = CheckDocument['evidence']

export const reading = fc.integer({ min: 1, max: 4000 }).map((k) => k / 100)
export const readings = fc
  .array(reading, { minLength: 6, maxLength: 30 })
  .filter((values) => new Set(values).size > 2)
/** Enough of them to resample a mean or a median, and a spread. */
export const [tenAndMore, thirtyAndMore] = [10, 30].map((minLength) =>
  fc.array(reading, { minLength, maxLength: minLength + 20 }).filter((values) => new Set(values).size > 2),
)
export const resampled = (values: fc.Arbitrary<number[]>) =>
  values.map((list) => ({ kind: 'readings' as const, values: list }))
export const level = fc.double({ min: 0.001, max: 0.4, noNaN: true })
export const count = fc
  .tuple(fc.integer({ min: 1, max: 400 }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([n, share]) => ({ kind: 'count' as const, n, successes: Math.round(n * share) }))
export const share = fc.integer({ min: 1, max: 999 }).map((k) => k / 1000)
export const ofReadings = readings.map((values) => ({ kind: 'readings' as const, values }))
export const ofTwo = fc
  .tuple(readings, readings)
  .map(([first, second]) => ({ kind: 'two-readings' as const, first, second }))

/** So near to the edge a double cannot tell the sides apart. */
export const isOnTheEdge = ({ test }: CheckResult) =>
  Math.abs((test.pValue ?? 0) / test.significanceLevel - 1) < 1e-9
