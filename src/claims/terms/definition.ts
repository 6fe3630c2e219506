import type { z } from 'zod/mini'
import type { NamedDistribution } from '@/statistics/distributions/named'
import type { Reference } from '@/statistics/distributions/reference'
import type { Procedure } from '@/statistics/inference/procedure'
import type { Interval } from '@/statistics/inference/interval'
import type { RateInterval } from '@/statistics/inference/rateInterval'
import type { ShareInterval } from '@/statistics/inference/shareInterval'
import type { Method, Parameter } from './names'
import type { PopulationNeed } from './condition'
import type { Design } from './design'
import type { Hypotheses } from './hypotheses'
import type { Outcome } from './outcome'
import type { ClaimProblem } from './problems'
import type { Planning } from './planning'
import type { Evidence, TestOptions } from './request'
import type { Sample, SampleKind, SampleOf } from './sample'
import type { OfSample, SampleFiguresOf } from './sampleFigures'
import type { ClaimWarning } from './warnings'
import type { Step } from './formula'

/** What a method cannot do without, asked for in this order. */
export type MethodNeed =
  | 'known-standard-deviation'
  | 'readings'
  | 'enough-readings'
  | 'two-sided'
  | 'lot-size'
  | 'limit'
  | 'clusters'
  | 'strata'
  | 'values'

/** A choice of the test that not every method leaves. */
export type MethodOption = keyof Pick<
  TestOptions,
  | 'knownStandardDeviation'
  | 'continuityCorrection'
  | 'twoSidedRule'
  | 'midP'
  | 'finiteLot'
  | 'allowForMeasurement'
  | 'resamples'
>

/** What a method is made ready from. */
export type MethodQuestion<Kind extends SampleKind = SampleKind> = Readonly<{
  parameter: Parameter
  hypotheses: Hypotheses
  sample: SampleOf<Kind>
  options: TestOptions
}>

/** A procedure, and what its method says of the sample beside the usual figures. */
export type MadeProcedure<Own = unknown> = Procedure<Own> & Readonly<{ ofSample?: OfSample }>

/** One tested value as a result carries it: the statistic, its distribution and the method's own figures on the way. */
export type PartFigures<Own> = Readonly<{
  statistic: number
  distribution?: NamedDistribution | undefined
  figures: Own
}>

/** One value tested, and the figures of the sample that it was tested with. */
export type Worked<Own, Kind extends SampleKind = SampleKind> = Readonly<{
  parameter: Parameter
  sample: SampleFiguresOf<Kind>
  value: number
  part: PartFigures<Own>
}>

/** How the distribution of a test's statistic is drawn, where one of a known name stands behind it. */
export type PictureOf<Own, Kind extends SampleKind = SampleKind> = Readonly<{
  /** The estimate that belongs to a statistic, in the parameter's unit. */
  estimateAt?(worked: Worked<Own, Kind>, statistic: number): number
  /** Where the statistic has not the named distribution itself, the one that it has. */
  reference?(figures: Own): Reference | undefined
  /** Whether the p-value counts every outcome no likelier than the one seen, and not two tails. */
  countsByLikelihood?(figures: Own): boolean
}>

/** All that there is to say of a method, but its words: those stand in the catalogue under its name. */
export type MethodDefinition<
  Name extends Method = Method,
  Own = unknown,
  Kind extends SampleKind = SampleKind,
> = Readonly<{
  name: Name
  /** What it tests. */
  parameters: readonly Parameter[]
  needs: readonly MethodNeed[]
  /** The choices that it follows. */
  options: readonly MethodOption[]
  /** Of these, the ones that played no part in a test after all. */
  ignoredOptions?(figures: Own): readonly MethodOption[]
  /** What it asks of the population that the readings come from. */
  restsOn: PopulationNeed
  /** Whether a test by it, where it can, keeps its level exactly at any size of sample and of any shape it rests on. */
  isExact?(figures: Own): boolean
  /** What bears a population that it does not: stands beside it where its shape is not what it rests on. */
  robust?: Method
  /** It leaves out readings that equal the claimed value. */
  leavesOutEqual?: true
  /** It stands in for the distribution of a count, and so needs enough of both kinds. */
  needsExpectedCounts?: true
  /** It asks only on which side of a value a reading lies, which one that is a limit may tell. */
  takesCensored?: true
  /** It allows for a sample that is a large part of its lot. */
  allowsForLot?(question: Pick<MethodQuestion<Kind>, 'sample' | 'options'>): boolean
  /** What of the readings its figures depend on: mean and spread, the values, or the values in their places. */
  dependsOn: 'moments' | 'values' | 'places'
  /** What it costs: looks at each reading beside one of the t test, and whether that many times over for each resample. */
  work: Readonly<{ looks: number; isResampled?: true }>
  /** The intervals that it has: its own, the parameter's choice with its own as the usual one, the choice, or none. */
  interval: 'own' | 'own-or-chosen' | 'chosen' | 'none'
  /** Options that a cross-examination turns round. */
  turnedRound: readonly ('continuityCorrection' | 'midP')[]
  /** The statistic is a count of things, a figure, or the estimate itself. */
  statistic: 'count' | 'figure' | 'estimate'
  /** The statistic's letter. */
  symbol: string
  formula: string
  /** Where it is published; docs/METHODS.md says what of it is computed. */
  source: string
  /** Its own figures on the way, as a result carries them. */
  figures: z.ZodMiniType<Own>
  make(question: MethodQuestion<Kind>): Outcome<MadeProcedure<Own>, ClaimProblem>
  /** How the statistic comes from the sample: formulas with the numbers put in. */
  working(worked: Worked<Own, Kind>): readonly Step[]
  picture?: PictureOf<Own, Kind>
  /** What a reader should know of a test by this method alone. */
  warnings?(
    made: Readonly<{ options: TestOptions; sample: SampleOf<Kind>; parts: readonly TestedPart[] }>,
  ): readonly ClaimWarning[]
  planning?: Planning
}>

export type TestedPart = Readonly<{ criticalValues: readonly number[]; criticalEstimates: readonly number[] }>

/** What the usual method depends on; how many were sampled of how many is not known while a sample is being planned. */
export type UsualQuestion = Readonly<{
  knownStandardDeviation?: number | undefined
  sampleSize?: number | undefined
  lotSize?: number | undefined
  design?: Design['kind'] | undefined
  /** Whether readings equal the claimed value. */
  hasEqual?: () => boolean
}>

/** An interval that is chosen apart from the test. */
export type IntervalName = ShareInterval | RateInterval

/** Between which values a parameter lies. */
export type Domain = Readonly<{
  min: number
  max: number
  /** Whether the ends belong to it. */
  ends: 'in' | 'out'
  /** The problem's code for a value above it; out of range where absent. */
  codeAbove?: string
}>

/** What an effect size is computed from. */
export type EffectQuestion = Readonly<{
  value: number
  procedure: MadeProcedure
  sample: Sample
  confidenceLevel: number
}>

/** All that there is to say of a parameter, but its words: those stand in the catalogue under its name. */
export type ParameterDefinition<
  Name extends Parameter = Parameter,
  Kind extends SampleKind = SampleKind,
  Effect extends z.core.$ZodShape = z.core.$ZodShape,
> = Readonly<{
  name: Name
  symbol: string
  domain: Domain
  /** Its values are shown as they are, or in percent. */
  scale: 1 | 100
  /** The unit of its values, from that of the readings; absent where they have none. */
  unitOf: (unit: string) => string | undefined
  /** Its values lie on the scale of the readings, among them. */
  liesAmongReadings: boolean
  /** What it is told from. */
  sample: Kind
  evidence: readonly Evidence['kind'][]
  /** What of summary figures it is told from; absent where those do not tell it. */
  summary?: readonly ('mean' | 'spread')[]
  /** A standard deviation may be stated as known. */
  takesKnownSpread: boolean
  /** The intervals that may be chosen, the usual one first. */
  intervals: readonly IntervalName[]
  /** The interval of one of these names; absent where there is none to choose. */
  intervalOf?(sample: SampleOf<Kind>, name: IntervalName): Interval
  /** The method where none is stated. */
  usualMethod: (question: UsualQuestion) => Method
  /** Figures of the sample that are shown for it alone. */
  shows: readonly ('median' | 'variance')[]
  /** How large the gap is on a scale without a unit; absent where there is no such figure. */
  effectSize?: Readonly<{ shape: Effect; of: (question: EffectQuestion) => EffectSizeFigures | undefined }>
  /** The same value as another parameter: a standard deviation as a variance. */
  alsoAs?: Readonly<{ parameter: Parameter; change: (value: number) => number }>
  /** Held beside it in a cross-examination: what a few readings do not pull along. */
  beside?: Parameter
  plan: PlanOfParameter
  /** The parameter of a lot all of whose units were measured; absent where two sources are compared. */
  ofWholeLot?(sample: SampleOf<Kind>): number | undefined
}>

/** Ends, and the figures of the parameter's own shape. */
export type EffectSizeFigures = Readonly<Record<string, number | undefined>>

/** What a plan of a parameter assumes, and how it is tested. */
export type PlanOfParameter = Readonly<{
  /** The truth that is assumed: a value of the parameter, or the standard deviation itself. */
  truth: 'value' | 'standardDeviation'
  needsSpread: boolean
  plansTolerance: boolean
  /** Values of the parameter on the scale that its methods are planned on. */
  toPlanned: (value: number) => number
  /** What is planned is an exposure, which need not be whole. */
  isFractional?: true
}>
