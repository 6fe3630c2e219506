import type { FindingOutcome } from './finding'
import type { Parameter } from './claim'
import type { Hypotheses } from './hypotheses'
import type { Condition } from './conditions/condition'
import type { NamedDistribution } from '@/statistics/distributions/named'
import type { Decision, WayToDecide } from './decision'
import type { EffectSize } from './effectSize'
import type { Ends, IntervalSides } from '@/statistics/inference/interval'
import type { Method } from '@/statistics/inference/procedure'
import type { Problem } from './outcome'
import type { Step } from '@/words/en/working/formula'

export type Warning = Readonly<{ code: string; message: string }>

/** A p-value and its log: the former absent where it lies below the range of a double, the latter where it is 0. */
export type Probability = Readonly<{ pValue?: number; logPValue?: number }>

export type TestPart = Probability &
  Readonly<{
    statistic: number
    distribution?: NamedDistribution
    /** On the statistic's scale, the lower first. */
    criticalValues: readonly number[]
    /** The same limits as values of the estimate. */
    criticalEstimates: readonly number[]
  }>

export type TestFigures = Probability &
  Readonly<{
    method: Method
    significanceLevel: number
    /** Absent for a tolerance, whose two statistics are in `parts`. */
    statistic?: number
    distribution?: NamedDistribution
    criticalValues: readonly number[]
    criticalEstimates: readonly number[]
    decision: Decision
    /** For a tolerance, the tests of its lower and of its upper limit. */
    parts?: readonly TestPart[]
    /** The same decision reached by each way that the method has. */
    ways: readonly WayToDecide[]
  }>

export type IntervalFigures = Ends &
  Readonly<{
    level: number
    sides: IntervalSides
    method: string
    holdsClaimedValue: boolean
    /** For a spread, the same ends as variances or as standard deviations. */
    alsoAs?: Ends & Readonly<{ parameter: Parameter }>
  }>

export type SpreadFigures = Readonly<{
  n: number
  mean?: number
  standardDeviation?: number
  variance?: number
}>

/** What the sample itself says; each kind of evidence has only the figures that mean something for it. */
export type SampleFigures = Readonly<{
  n: number
  setAside: number
  mean?: number
  median?: number
  standardDeviation?: number
  variance?: number
  standardError?: number
  successes?: number
  share?: number
  first?: SpreadFigures
  second?: SpreadFigures
}>

/** What one check came to: plain data, with every figure at full precision. */
export type CheckResult = Readonly<{
  id?: string
  ok: true
  coreVersion: string
  hypotheses: Hypotheses
  sample: SampleFigures
  test: TestFigures
  estimate: Readonly<{ parameter: Parameter; value: number; difference: number }>
  interval?: IntervalFigures
  effectSize?: EffectSize
  conditions: readonly Condition[]
  finding: Readonly<{ outcome: FindingOutcome; sentence: string; limits: string }>
  /** The formulas with the sample's numbers put in, step by step. */
  working: readonly Step[]
  warnings: readonly Warning[]
}>

export type CheckError = Readonly<{ id?: string; ok: false; error: Problem }>

export type CheckAnswer = CheckResult | CheckError
