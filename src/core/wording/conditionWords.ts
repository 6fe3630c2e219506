import type { Condition, ConditionState } from '../conditions/condition'

export const CONDITION_NAMES: Readonly<Record<Condition['name'], string>> = {
  'random-sample': 'Random sample',
  independence: 'Independence',
  order: 'Order',
  normality: 'Normality',
  symmetry: 'Symmetry',
  'sample-size': 'Sample size',
  outliers: 'Outliers',
  'expected-counts': 'Expected counts',
}

export const CONDITION_STATES: Readonly<Record<ConditionState, string>> = {
  met: 'Met',
  doubtful: 'In doubt',
  'not-met': 'Not met',
  unknown: 'Not known',
}

/** What each figure of a condition is called. */
export const CONDITION_FIGURES: Readonly<Record<string, string>> = {
  n: 'units taken',
  lotSize: 'size of the lot',
  share: 'share of the lot',
  runs: 'runs',
  z: 'z',
  p: 'p-value',
  lag1: 'lag-1 autocorrelation',
  w: 'W',
  a2Star: 'A²*',
  skewness: 'skewness',
  excessKurtosis: 'excess kurtosis',
  standardError: 'its standard error',
  largeFrom: 'large from',
  outliers: 'outliers',
  beyondFences: 'beyond the fences',
  g: 'Grubbs’ G',
  least: 'least expected',
  needed: 'needed',
}

/** Of which of two samples a condition speaks. */
export const SOURCE_WORDS = { first: 'first source', second: 'second source' } as const
