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
