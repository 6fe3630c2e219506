export const CONDITION_STATES = ['met', 'no-sign', 'doubtful', 'not-met', 'unknown'] as const
export type ConditionState = (typeof CONDITION_STATES)[number]

export const CONDITIONS = [
  'random-sample',
  'independence',
  'share-of-lot',
  'order',
  'normality',
  'symmetry',
  'equal-readings',
  'outliers',
  'expected-counts',
  'dispersion',
  'resolution',
  'calibration',
] as const
export type ConditionName = (typeof CONDITIONS)[number]

/** What a method needs of the population: that a mean be near-normal, that readings be, that they be symmetric. */
export type PopulationNeed = 'mean' | 'readings' | 'symmetry' | 'none'

/** What was found of a condition, by a code of its own: `words` has a sentence for each. */
function found<Code extends string, Figures extends Readonly<Record<string, number>>>(
  code: Code,
  name: ConditionName,
  state: ConditionState,
  figures: Figures,
) {
  return { code, name, state, figures }
}

/** How many units were taken; not known of events of which only the total is. */
type Units = Readonly<{ n?: number }>
/** So many clusters, or layers of the lot, that `n` readings were taken in. */
type Grouped = Readonly<{ groups: number; n: number }>
type Lot = Readonly<{ n: number; lotSize: number; share: number }>
/** `bound`: what chance alone goes beyond in one of ten samples; `effectiveN` where the correlation is positive. */
type Order = Readonly<{
  n: number
  runs: number
  z: number
  p: number
  lag1: number
  bound: number
  effectiveN?: number
  level?: number
  stated?: number
}>
type Outliers = Readonly<{
  outliers: number
  beyondFences: number
  g?: number
  p?: number
  setAside?: number
}>
/** The true level as the readings' shape has it, and at the far end of what their number leaves open. */
export type ShapeFigures = Readonly<{
  n: number
  skewness?: number
  excessKurtosis?: number
  standardError: number
  level: number
  farLevel: number
  stated: number
  setAside?: number
}>
/** `dispersion` on `df` of chi-square, with the probability of at least as much. */
type Dispersion = Readonly<{ stretches: number; dispersion: number; df: number; p: number }>
type Resolution = Readonly<{ resolution: number; standardDeviation: number }>
/** From one day to the other. */
type Days = Readonly<{ days: number }>
type Events = Readonly<{ expected: number; needed: number }>
type Expected = Readonly<{ least: number; needed: number }>

/** Every finding about a condition. */
export const conditions = {
  randomUnknown: () => found('random-unknown', 'random-sample', 'unknown', {}),
  randomStated: () => found('random-stated', 'random-sample', 'met', {}),
  notRandom: () => found('not-random', 'random-sample', 'not-met', {}),
  /** Of a test that takes each of the clusters as one. */
  clustersEnough: (figures: Grouped) => found('clusters-enough', 'independence', 'met', figures),
  clustersFew: (figures: Grouped & Readonly<{ needed: number }>) =>
    found('clusters-few', 'independence', 'doubtful', figures),
  clustersIgnored: (figures: Grouped) => found('clusters-ignored', 'independence', 'not-met', figures),
  strataIgnored: (figures: Grouped) => found('strata-ignored', 'random-sample', 'not-met', figures),
  notIndependent: (units: Units) => found('not-independent', 'independence', 'not-met', units),
  independentStated: (units: Units) => found('independent-stated', 'independence', 'met', units),
  independenceUnknown: (units: Units) => found('independence-unknown', 'independence', 'unknown', units),
  smallShare: (lot: Lot) => found('small-share', 'share-of-lot', 'met', lot),
  largeShare: (lot: Lot) => found('large-share', 'share-of-lot', 'doubtful', lot),
  orderUsual: (order: Order, state: 'met' | 'no-sign') => found('order-usual', 'order', state, order),
  orderUnusual: (order: Order, state: 'doubtful' | 'not-met') =>
    found('order-unusual', 'order', state, order),
  normalityUnknown: (n: number) => found('normality-unknown', 'normality', 'unknown', { n }),
  shapeOfMean: (figures: ShapeFigures, state: ConditionState) =>
    found('shape-of-mean', 'normality', state, figures),
  shapeOfSpread: (figures: ShapeFigures, state: ConditionState) =>
    found('shape-of-spread', 'normality', state, figures),
  /** Of the totals of clusters, or of readings weighed by their layers. */
  shapeOfGroups: (figures: ShapeFigures, state: ConditionState) =>
    found('shape-of-groups', 'normality', state, figures),
  symmetryUnknown: (n: number) => found('symmetry-unknown', 'symmetry', 'unknown', { n }),
  symmetric: (figures: Readonly<{ skewness: number; standardError: number }>) =>
    found('symmetric', 'symmetry', 'no-sign', figures),
  skewed: (figures: Readonly<{ skewness: number; standardError: number }>) =>
    found('skewed', 'symmetry', 'doubtful', figures),
  equalLeftOut: (figures: Readonly<{ equal: number; n: number }>) =>
    found('equal-left-out', 'equal-readings', 'not-met', figures),
  noOutliers: (figures: Outliers) => found('no-outliers', 'outliers', 'met', figures),
  outliers: (figures: Outliers) => found('outliers', 'outliers', 'doubtful', figures),
  countsEnough: (figures: Expected) => found('counts-enough', 'expected-counts', 'met', figures),
  countsFew: (figures: Expected) => found('counts-few', 'expected-counts', 'not-met', figures),
  /** Of an exact test, which needs no more. */
  countsFewButExact: (figures: Expected) => found('counts-few-but-exact', 'expected-counts', 'met', figures),
  eventsEnough: (figures: Events) => found('events-enough', 'expected-counts', 'met', figures),
  eventsFew: (figures: Events) => found('events-few', 'expected-counts', 'not-met', figures),
  eventsFewButExact: (figures: Events) => found('events-few-but-exact', 'expected-counts', 'met', figures),
  resolutionFine: (figures: Resolution) => found('resolution-fine', 'resolution', 'met', figures),
  resolutionCoarse: (figures: Resolution) => found('resolution-coarse', 'resolution', 'doubtful', figures),
  resolutionHides: (figures: Resolution) => found('resolution-hides', 'resolution', 'not-met', figures),
  calibrationUnknown: () => found('calibration-unknown', 'calibration', 'unknown', {}),
  calibrationInDate: (figures: Days) => found('calibration-in-date', 'calibration', 'met', figures),
  /** It is not stated until when it holds. */
  calibrationOpen: (figures: Days) => found('calibration-open', 'calibration', 'no-sign', figures),
  calibratedAfter: (figures: Days) => found('calibrated-after', 'calibration', 'doubtful', figures),
  calibrationOverdue: (figures: Days) => found('calibration-overdue', 'calibration', 'not-met', figures),
  dispersionUnknown: () => found('dispersion-unknown', 'dispersion', 'unknown', {}),
  dispersionUsual: (figures: Dispersion) => found('dispersion-usual', 'dispersion', 'no-sign', figures),
  overdispersed: (figures: Dispersion) => found('overdispersed', 'dispersion', 'not-met', figures),
} as const

export type FoundCondition = ReturnType<(typeof conditions)[keyof typeof conditions]>
export type ConditionCode = FoundCondition['code']
/** What was found of a condition: a code with figures, and no words. */
export type Condition = FoundCondition &
  Readonly<{
    /** Which of two samples it speaks of; absent where there is one, or where it speaks of both. */
    of?: 'first' | 'second'
    /** The readings pointed out, by their place among all readings, from 0. */
    readings?: readonly number[]
    /** What was found with the readings that were set aside first. */
    withSetAside?: Readonly<{ state: ConditionState; figures: Readonly<Record<string, number>> }>
  }>
