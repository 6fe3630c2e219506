export const CONDITION_STATES = ['met', 'doubtful', 'not-met', 'unknown'] as const
export type ConditionState = (typeof CONDITION_STATES)[number]

export const CONDITIONS = [
  'random-sample',
  'independence',
  'order',
  'normality',
  'symmetry',
  'sample-size',
  'outliers',
  'expected-counts',
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

type Lot = Readonly<{ n: number; lotSize: number; share: number }>
type Order = Readonly<{ runs: number; z: number; p: number; lag1: number }>
type Outliers = Readonly<{ outliers: number; beyondFences: number; g?: number; p?: number }>
/** Shapiro and Wilk's W or Anderson and Darling's A²*, whichever was computed. */
export type Normality = Readonly<
  ({ w: number; p: number } | { a2Star: number; p: number }) & { skewness?: number; excessKurtosis?: number }
>
type Expected = Readonly<{ least: number; needed: number }>

/** Every finding about a condition. */
export const conditions = {
  randomUnknown: () => found('random-unknown', 'random-sample', 'unknown', {}),
  randomStated: () => found('random-stated', 'random-sample', 'met', {}),
  notRandom: () => found('not-random', 'random-sample', 'not-met', {}),
  notIndependent: (figures: Readonly<{ n: number; lotSize?: number; share?: number }>) =>
    found('not-independent', 'independence', 'not-met', figures),
  independentStated: (n: number) => found('independent-stated', 'independence', 'met', { n }),
  independenceUnknown: (n: number) => found('independence-unknown', 'independence', 'unknown', { n }),
  smallShareStated: (lot: Lot) => found('small-share-stated', 'independence', 'met', lot),
  smallShare: (lot: Lot) => found('small-share', 'independence', 'met', lot),
  largeShareStated: (lot: Lot) => found('large-share-stated', 'independence', 'doubtful', lot),
  largeShare: (lot: Lot) => found('large-share', 'independence', 'doubtful', lot),
  orderUsual: (order: Order) => found('order-usual', 'order', 'met', order),
  orderUnusual: (order: Order) => found('order-unusual', 'order', 'doubtful', order),
  sampleLarge: (figures: Readonly<{ n: number; largeFrom: number }>) =>
    found('sample-large', 'sample-size', 'met', figures),
  sampleSmall: (figures: Readonly<{ n: number; largeFrom: number }>) =>
    found('sample-small', 'sample-size', 'doubtful', figures),
  normalityUnknown: (n: number) => found('normality-unknown', 'normality', 'unknown', { n }),
  normal: (figures: Normality) => found('normal', 'normality', 'met', figures),
  normalAsFarAsTold: (figures: Normality, state: 'met' | 'doubtful') =>
    found('normal-as-far-as-told', 'normality', state, figures),
  notNormalButBorne: (figures: Normality) => found('not-normal-but-borne', 'normality', 'doubtful', figures),
  /** For a mean of few readings, or of very skewed ones. */
  notNormal: (figures: Normality) => found('not-normal', 'normality', 'not-met', figures),
  /** For a method that no size of sample helps. */
  notNormalAtAnySize: (figures: Normality) =>
    found('not-normal-at-any-size', 'normality', 'not-met', figures),
  symmetryUnknown: (n: number) => found('symmetry-unknown', 'symmetry', 'unknown', { n }),
  symmetric: (figures: Readonly<{ skewness: number; standardError: number }>) =>
    found('symmetric', 'symmetry', 'met', figures),
  skewed: (figures: Readonly<{ skewness: number; standardError: number }>) =>
    found('skewed', 'symmetry', 'doubtful', figures),
  noOutliers: (figures: Outliers) => found('no-outliers', 'outliers', 'met', figures),
  outliers: (figures: Outliers) => found('outliers', 'outliers', 'doubtful', figures),
  countsEnough: (figures: Expected) => found('counts-enough', 'expected-counts', 'met', figures),
  countsFew: (figures: Expected) => found('counts-few', 'expected-counts', 'not-met', figures),
  /** Of an exact test, which needs no more. */
  countsFewButExact: (figures: Expected) => found('counts-few-but-exact', 'expected-counts', 'met', figures),
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
  }>
