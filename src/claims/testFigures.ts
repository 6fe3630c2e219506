import type { Ends } from '@/statistics/inference/interval'
import type { PointTest, Procedure } from '@/statistics/inference/procedure'
import { withFiniteLog } from '@/statistics/inference/tailProbability'
import type { Method } from './terms/names'
import { type Decision, decide, waysToDecide } from './decision'
import { type Hypotheses, isRange } from './terms/hypotheses'
import type { TestFigures, TestPart } from './result'
import { testTolerance, type ToleranceTest } from './toleranceDecision'

export type Decided = Readonly<{
  test: PointTest | ToleranceTest
  decision: Decision
  statistics: readonly number[]
}>

/** Tests the hypotheses by the procedure. */
export function decideOn(procedure: Procedure, hypotheses: Hypotheses, significanceLevel: number): Decided {
  const test = isRange(hypotheses)
    ? testTolerance({ procedure, hypotheses, significanceLevel })
    : procedure.test({
        value: hypotheses.null.value,
        alternative: hypotheses.alternativeSide,
        significanceLevel,
      })
  const parts = 'parts' in test ? test.parts : [test]
  return {
    test,
    decision: decide(test, significanceLevel),
    statistics: parts.map(({ statistic }) => statistic),
  }
}

/** The figures of a test as a result carries them. */
export function testFigures(
  input: Readonly<{
    method: Method
    procedure: Procedure
    hypotheses: Hypotheses
    decided: Decided
    significanceLevel: number
  }>,
): TestFigures {
  const { method, significanceLevel, decided } = input
  const { test, decision } = decided
  const shared = { method, significanceLevel, decision, ways: waysToDecide({ ...input, test }) }
  if (!('parts' in test)) return { ...shared, ...partOf(test) } as TestFigures
  const parts = test.parts.map(partOf)
  const { distribution } = parts[0]!
  return {
    ...shared,
    ...withFiniteLog(test),
    ...(distribution ? { distribution } : {}),
    criticalValues: parts.flatMap((part) => part.criticalValues),
    criticalEstimates: parts.flatMap((part) => part.criticalEstimates),
    parts,
  } as TestFigures
}

function partOf(test: PointTest): TestPart {
  return {
    statistic: test.statistic,
    ...(test.distribution ? { distribution: test.distribution } : {}),
    ...withFiniteLog(test),
    criticalValues: listOf(test.limits),
    criticalEstimates: listOf(test.estimateLimits),
    figures: test.figures,
  } as TestPart
}

function listOf({ lower, upper }: Ends): readonly number[] {
  return [lower, upper].filter((limit) => limit !== undefined)
}
