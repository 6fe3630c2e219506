import type { Hypotheses, RangeHypotheses } from '../claim/hypotheses'
import { isRange } from '../claim/hypotheses'
import { type Ends, holds, type IntervalSides, locationInterval } from './interval'
import type { LocationTest, TailProbability } from './locationTest'
import type { Pivot } from './pivot'
import type { ToleranceTest } from './toleranceTest'

export type Decision = 'rejected' | 'not-rejected'

/** One way of deciding: what is compared with what, and what that says of the null hypothesis. */
export type WayToDecide =
  | (TailProbability & Readonly<{ way: 'p-value'; limit: number; rejects: boolean }>)
  | Readonly<{ way: 'statistic'; statistics: readonly number[]; limits: readonly number[]; rejects: boolean }>
  | (Ends &
      Readonly<{
        way: 'interval'
        level: number
        sides: IntervalSides
        against: readonly number[]
        rejects: boolean
      }>)

/** Rejects where p ≤ α. A p-value below the range of a double is below every level. */
export function decide({ pValue }: TailProbability, significanceLevel: number): Decision {
  return pValue === undefined || pValue <= significanceLevel ? 'rejected' : 'not-rejected'
}

/**
 * The three ways by which people decide, each worked out by itself: p-value against level, statistic against critical
 * value, and the interval or bound that mirrors the test against the claimed value.
 */
export function waysToDecide(
  input: Readonly<{
    pivot: Pivot
    hypotheses: Hypotheses
    test: LocationTest | ToleranceTest
    significanceLevel: number
  }>,
): readonly WayToDecide[] {
  const { test, significanceLevel, hypotheses, pivot } = input
  const parts = 'parts' in test ? test.parts : [test]
  const { pValue, logPValue } = test
  return [
    {
      way: 'p-value',
      ...(pValue === undefined ? {} : { pValue }),
      logPValue,
      limit: significanceLevel,
      rejects: decide(test, significanceLevel) === 'rejected',
    },
    {
      way: 'statistic',
      statistics: parts.map((part) => part.statistic),
      limits: test.criticalValues,
      rejects: isStatisticBeyond(hypotheses, parts, test.criticalValues),
    },
    isRange(hypotheses)
      ? toleranceWay(pivot, hypotheses, significanceLevel)
      : pointWay(pivot, hypotheses.null.value, hypotheses.alternativeSide, significanceLevel),
  ]
}

function isStatisticBeyond(
  hypotheses: Hypotheses,
  parts: readonly LocationTest[],
  limits: readonly number[],
): boolean {
  const [first, last] = [parts[0]!.statistic, parts.at(-1)!.statistic]
  const [lower, upper] = [limits[0]!, limits.at(-1)!]
  switch (hypotheses.alternativeSide) {
    case 'less':
      return first <= lower
    case 'greater':
      return first >= upper
    case 'two-sided':
    case 'outside':
      return first <= lower || last >= upper
    case 'inside':
      return first >= lower && last <= upper
    default:
      return hypotheses satisfies never
  }
}

const MIRROR = { less: 'upper', greater: 'lower', 'two-sided': 'two-sided' } as const

function pointWay(
  pivot: Pivot,
  value: number,
  side: keyof typeof MIRROR,
  significanceLevel: number,
): WayToDecide {
  const sides = MIRROR[side]
  const ends = locationInterval({ pivot, beyond: significanceLevel, sides })
  return {
    way: 'interval',
    level: 1 - significanceLevel,
    sides,
    ...ends,
    against: [value],
    rejects: !holds(ends, value),
  }
}

function toleranceWay(pivot: Pivot, hypotheses: RangeHypotheses, significanceLevel: number): WayToDecide {
  const { lower: lowest, upper: highest } = hypotheses.null
  const isInside = hypotheses.alternativeSide === 'inside'
  const beyond = isInside ? 2 * significanceLevel : significanceLevel
  const ends = locationInterval({ pivot, beyond, sides: 'two-sided' })
  const [lower, upper] = [ends.lower!, ends.upper!]
  return {
    way: 'interval',
    level: 1 - beyond,
    sides: 'two-sided',
    ...ends,
    against: [lowest, highest],
    rejects: isInside ? lower >= lowest && upper <= highest : upper <= lowest || lower >= highest,
  }
}
