import { type Hypotheses, isRange, type PointHypotheses, type RangeHypotheses } from './terms/hypotheses'
import { type Interval, MIRRORED_SIDES } from '@/statistics/inference/interval'
import type { PointTest, Procedure } from '@/statistics/inference/procedure'
import { isWithin, type TailProbability, withFiniteLog } from '@/statistics/inference/tailProbability'
import type { ToleranceTest } from './toleranceDecision'
import type { WayToDecide } from './result'

export const DECISIONS = ['rejected', 'not-rejected'] as const
export type Decision = (typeof DECISIONS)[number]

/** Rejects where p ≤ α. A p-value below the range of a double is below every level. */
export function decide({ pValue }: TailProbability, significanceLevel: number): Decision {
  return pValue === undefined || isWithin(pValue, significanceLevel) ? 'rejected' : 'not-rejected'
}

/**
 * The ways by which people decide, each worked out by itself: p-value against level, statistic against critical
 * value, and the interval or bound that mirrors the test, where there is one, against the claimed value.
 */
export function waysToDecide(
  input: Readonly<{
    procedure: Procedure
    hypotheses: Hypotheses
    test: PointTest | ToleranceTest
    significanceLevel: number
  }>,
): readonly WayToDecide[] {
  const { test, significanceLevel, procedure } = input
  const parts = 'parts' in test ? test.parts : [test]
  return [
    {
      way: 'p-value',
      ...withFiniteLog(test),
      limit: significanceLevel,
      rejects: decide(test, significanceLevel) === 'rejected',
    },
    {
      way: 'statistic',
      statistics: parts.map((part) => part.statistic),
      limits: parts.map((part) => part.limits),
      rejects: test.isBeyond,
    },
    ...(procedure.mirror ? [mirrorWay(procedure.mirror, input)] : []),
  ]
}

function mirrorWay(
  mirror: Interval,
  { hypotheses, significanceLevel }: Readonly<{ hypotheses: Hypotheses; significanceLevel: number }>,
): WayToDecide {
  return isRange(hypotheses)
    ? toleranceWay(mirror, hypotheses, significanceLevel)
    : pointWay(mirror, hypotheses, significanceLevel)
}

function pointWay(
  mirror: Interval,
  { null: { value }, alternativeSide }: PointHypotheses,
  significanceLevel: number,
): WayToDecide {
  const sides = MIRRORED_SIDES[alternativeSide]
  const ends = mirror.endsAt({ beyond: significanceLevel, sides })
  return {
    way: 'interval',
    level: 1 - significanceLevel,
    sides,
    ...ends,
    against: [value],
    rejects: !mirror.holds(ends, value),
  }
}

function toleranceWay(
  mirror: Interval,
  { null: { lower: lowest, upper: highest }, alternativeSide }: RangeHypotheses,
  significanceLevel: number,
): WayToDecide {
  const isInside = alternativeSide === 'inside'
  const beyond = isInside ? 2 * significanceLevel : significanceLevel
  const { lower, upper } = mirror.endsAt({ beyond, sides: 'two-sided' })
  const isAbove = (value: number) => lower !== undefined && !mirror.holds({ lower }, value)
  const isBelow = (value: number) => upper !== undefined && !mirror.holds({ upper }, value)
  return {
    way: 'interval',
    level: 1 - beyond,
    sides: 'two-sided',
    ...(lower === undefined ? {} : { lower }),
    ...(upper === undefined ? {} : { upper }),
    against: [lowest, highest],
    rejects: isInside ? isAbove(lowest) && isBelow(highest) : isBelow(lowest) || isAbove(highest),
  }
}
