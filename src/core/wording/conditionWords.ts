import type { Condition, ConditionState } from '../conditions/meanConditions'

export const CONDITION_NAMES: Readonly<Record<Condition['name'], string>> = {
  'random-sample': 'Random sample',
  independence: 'Independence',
  'sample-size': 'Sample size',
}

export const CONDITION_STATES: Readonly<Record<ConditionState, string>> = {
  met: 'Met',
  doubtful: 'In doubt',
  'not-met': 'Not met',
  unknown: 'Not known',
}
