import { type Interval, mapEnds } from '@/statistics/inference/interval'
import type { Procedure } from '@/statistics/inference/procedure'
import { parameterOf } from './all'
import type { CheckRequest } from './terms/request'
import type { Parameter } from './terms/names'
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
  const reported = reportedInterval({ parameter, interval, level, intervalSides })
  if (!reported) return undefined
  return { ...reported, holdsClaimedValue: interval.holds(reported, value) }
}

/** An interval by itself, held against no value. */
export function reportedInterval(
  input: Readonly<{
    parameter: Parameter
    interval: Interval
    level: number
    intervalSides: CheckRequest['test']['intervalSides']
  }>,
): Omit<IntervalFigures, 'holdsClaimedValue'> | undefined {
  const { parameter, interval, level, intervalSides } = input
  const sides = intervalSides === 'auto' ? 'two-sided' : intervalSides
  const question = { beyond: 1 - level, sides }
  const ends = interval.endsAt(question)
  if (ends.lower === undefined && ends.upper === undefined) return undefined
  const trueLevel = interval.trueLevel?.(question)
  const { alsoAs } = parameterOf(parameter)
  return {
    level,
    sides,
    method: interval.method,
    ...ends,
    ...(trueLevel === undefined ? {} : { trueLevel }),
    ...(alsoAs ? { alsoAs: { parameter: alsoAs.parameter, ...mapEnds(ends, alsoAs.change) } } : {}),
  }
}
