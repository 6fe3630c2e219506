import { check } from '@/claims/check'
import type { CheckDocument } from '@/claims/request'
import type { CheckResult } from '@/claims/result'
import { answer } from '@/answers/answer'

/** The result of a check that has to be answered. */
export function resultOf(document: CheckDocument): CheckResult {
  const answered = check(document)
  if (!answered.ok) throw new Error(answered.error.message)
  return answered
}

/** The figures under a request's own key, which has to be answered. */
export function figuresOf<T>(document: Readonly<Record<string, unknown>>): T {
  const answered = answer(document)
  if (!answered.ok) throw new Error(answered.error.message)
  const key = Object.keys(document).find((name) => name !== 'id')!
  return (answered as unknown as Readonly<Record<string, T>>)[key]!
}
