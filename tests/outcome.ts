import type { Outcome } from '@/claims/terms/outcome'

/** The value that has to be there. */
export function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(outcome.problem.message)
  return outcome.value
}

/** The code of the problem, or that there was none. */
export const codeOf = (outcome: Outcome<unknown>): string => (outcome.ok ? 'done' : outcome.problem.code)
