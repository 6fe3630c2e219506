import { holds, locationInterval } from '../inference/interval'
import type { Pivot } from '../inference/pivot'
import type { CheckRequest } from './request'
import type { CheckResult } from './result'

/** The interval asked for; none at a level that a double can't tell from 1, where it would be infinitely wide. */
export function intervalFigures(
  input: Readonly<{ request: CheckRequest; pivot: Pivot; confidenceLevel: number }>,
): Pick<CheckResult, 'interval'> {
  const { request, pivot, confidenceLevel: level } = input
  if (level === 1) return {}
  const { intervalSides } = request.test
  const sides = intervalSides === 'auto' ? 'two-sided' : intervalSides
  const ends = locationInterval({ pivot, beyond: 1 - level, sides })
  const holdsClaimedValue = holds(ends, request.claim.value)
  return { interval: { level, sides, method: pivot.method, ...ends, holdsClaimedValue } }
}
