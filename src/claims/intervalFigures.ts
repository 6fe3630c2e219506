import { mapEnds } from '@/statistics/inference/interval'
import type { Procedure } from '@/statistics/inference/procedure'
import { parameterOf } from './all'
import type { CheckRequest } from './terms/request'
import type { IntervalFigures } from './result'

/**
 * The interval asked for; none where the method has none, or at a level that a double can't tell from 1, where it would
 * be infinitely wide.
 */
export function intervalFigures(
  input: Readonly<{ request: CheckRequest; procedure: Procedure; confidenceLevel: number }>,
): IntervalFigures | undefined {
  const { request, procedure, confidenceLevel: level } = input
  const { interval } = procedure
  if (level === 1 || !interval) return undefined
  const { intervalSides } = request.test
  const { parameter, value } = request.claim
  const sides = intervalSides === 'auto' ? 'two-sided' : intervalSides
  const ends = interval.endsAt({ beyond: 1 - level, sides })
  if (ends.lower === undefined && ends.upper === undefined) return undefined
  const { alsoAs } = parameterOf(parameter)
  return {
    level,
    sides,
    method: interval.method,
    ...ends,
    holdsClaimedValue: interval.holds(ends, value),
    ...(alsoAs ? { alsoAs: { parameter: alsoAs.parameter, ...mapEnds(ends, alsoAs.change) } } : {}),
  }
}
