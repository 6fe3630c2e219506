export type ConditionState = 'met' | 'doubtful' | 'not-met' | 'unknown'

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

export type Condition = Readonly<{
  name: (typeof CONDITIONS)[number]
  /** Which of two samples it speaks of; absent where there is one, or where it speaks of both. */
  of?: 'first' | 'second'
  state: ConditionState
  figures: Readonly<Record<string, number>>
  /** The readings pointed out, by their place among all readings, from 0. */
  readings?: readonly number[]
  /** What was seen and what follows from it. */
  sentence: string
}>
