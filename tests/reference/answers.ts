import { check } from '@/answers/check'
import type { CheckDocument } from '@/claims/terms/request'
import { isTested } from '@/claims/checkAnswer'
import { type CheckResult, type TestPart } from '@/claims/result'
import type { SampleFiguresOf, SpreadFigures } from '@/claims/terms/sampleFigures'
import { answer } from '@/answers/answer'

/** A result of any kind, each figure of which may be asked for. */
export type AnyResult = CheckResult &
  Readonly<{
    sample: Partial<SampleFiguresOf<'measured'>> &
      Partial<SampleFiguresOf<'counted'>> &
      Readonly<{ n: number; setAside: number; first?: SpreadFigures; second?: SpreadFigures }>
    test: Readonly<{ statistic?: number; parts?: readonly TestPart[] }>
    effectSize?: Readonly<Record<string, number | undefined>>
  }>

/** The result of a check that has to come to a test. */
export function testedBy(document: unknown): CheckResult {
  const answered = check(document)
  if (!answered.ok) throw new Error(answered.error.message)
  if (!isTested(answered)) throw new Error(answered.finding.sentence)
  return answered
}

/**
 * The result of a check that has to be answered. Whatever it is of, its gap is the estimate less the claimed value, but for
 * what rounding the estimate takes.
 */
export function resultOf(document: CheckDocument): AnyResult {
  const answered = testedBy(document)
  const { value, difference } = answered.estimate
  const size = Math.max(Math.abs(value), Math.abs(document.claim.value))
  const gap = value - document.claim.value
  expect(Math.abs(difference - gap)).toBeLessThanOrEqual(4 * Number.EPSILON * size)
  return answered as unknown as AnyResult
}

/** The figures under a request's own key, which has to be answered. */
export function figuresOf<T>(document: Readonly<Record<string, unknown>>): T {
  const answered = answer(document)
  if (!answered.ok) throw new Error(answered.error.message)
  const key = Object.keys(document).find((name) => name !== 'id')!
  return (answered as unknown as Readonly<Record<string, T>>)[key]!
}
