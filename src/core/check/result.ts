import type { FindingOutcome } from '../claim/finding'
import type { Hypotheses } from '../claim/hypotheses'
import type { Condition } from '../conditions/meanConditions'
import type { Decision, WayToDecide } from '../inference/decision'
import type { EffectSize } from '../inference/effectSize'
import type { Ends, IntervalSides } from '../inference/interval'
import type { LocationTest, TailProbability } from '../inference/locationTest'
import type { Distribution } from '../inference/pivot'
import type { Problem } from '../outcome'

export type Warning = Readonly<{ code: string; message: string }>

export type TestFigures = TailProbability &
  Readonly<{
    method: 't' | 'z'
    significanceLevel: number
    /** Absent for a tolerance, whose two statistics are in `parts`. */
    statistic?: number
    distribution: Distribution
    criticalValues: readonly number[]
    criticalEstimates: readonly number[]
    decision: Decision
    parts?: readonly LocationTest[]
    /** The same decision reached by three ways. */
    ways: readonly WayToDecide[]
  }>

export type IntervalFigures = Ends &
  Readonly<{ level: number; sides: IntervalSides; method: 't' | 'z'; holdsClaimedValue: boolean }>

/** What one check came to: plain data, with every figure at full precision. */
export type CheckResult = Readonly<{
  id?: string
  ok: true
  coreVersion: string
  hypotheses: Hypotheses
  sample: Readonly<{
    n: number
    setAside: number
    mean: number
    standardDeviation?: number
    variance?: number
    standardError: number
  }>
  test: TestFigures
  estimate: Readonly<{ parameter: 'mean'; value: number; difference: number }>
  interval?: IntervalFigures
  effectSize?: EffectSize
  conditions: readonly Condition[]
  finding: Readonly<{ outcome: FindingOutcome; sentence: string; limits: string }>
  warnings: readonly Warning[]
}>

export type CheckError = Readonly<{ id?: string; ok: false; error: Problem }>

export type CheckAnswer = CheckResult | CheckError
