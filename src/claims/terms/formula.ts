/** A piece of a formula: what it says, and no layout. `words` writes it as LaTeX and as plain text. */
export type Formula =
  | Readonly<{ is: 'symbol'; text: string; latex: string }>
  /** A figure of the sample or the claim, to the digits that moments are right in. */
  | Readonly<{ is: 'given'; value: number }>
  /** A computed figure. */
  | Readonly<{ is: 'computed'; value: number }>
  /** A p-value, which may be beyond the range of a double. */
  | Readonly<{ is: 'probability'; pValue?: number | undefined; logPValue?: number | undefined }>
  | Readonly<{ is: 'fraction'; above: Formula; below: Formula }>
  | Readonly<{ is: 'root'; inside: Formula }>
  | Readonly<{ is: 'squared'; base: Formula }>
  | Readonly<{ is: 'joined'; first: Formula; operator: Operator; second: Formula }>
type Operator = '+' | '−' | '·'

/** What each line of a working is, by a name that the catalogue of words has a heading for. */
export type StepName =
  | 'standard-error'
  | 'standard-error-of-readings'
  | 'standard-error-with-uncertainty'
  | 'cluster-squares'
  | 'standard-error-of-clusters'
  | 'weighted-mean'
  | 'standard-error-of-strata'
  | 'share-distance'
  | 'share-noncentrality'
  | 'share-statistic'
  | 'statistic'
  | 'standard-error-of-count'
  | 'units-counted'
  | 'events-counted'
  | 'expected-events'
  | 'readings-above'
  | 'count-probability'
  | 'count-probability-in-lot'
  | 'event-probability'
  | 'rank-sum'
  | 'rank-sum-mean'
  | 'rank-sum-deviation'
  | 'rank-sum-distance'
  | 'first-distance-from-mean'
  | 'first-distance-from-median'
  | 'second-distance-from-mean'
  | 'second-distance-from-median'
  | 'spread-between'
  | 'spread-within'
  | 'trimmed-kurtosis'
  | 'log-variance-error'
  | 'bonett-statistic'
  | 'estimate'
  | 'resamples-as-low'
  | 'resamples-as-high'

/** One line of the working: what it is, the figures that its heading names, and the sides of its equation. */
export type Step = Readonly<{
  name: StepName
  figures?: Readonly<Record<string, number>>
  sides: readonly Formula[]
}>

export const symbol = (text: string, latex = text): Formula => ({ is: 'symbol', text, latex })
export const given = (value: number): Formula => ({ is: 'given', value })
export const computed = (value: number): Formula => ({ is: 'computed', value })
export const fraction = (above: Formula, below: Formula): Formula => ({ is: 'fraction', above, below })
export const root = (inside: Formula): Formula => ({ is: 'root', inside })
export const squared = (base: Formula): Formula => ({ is: 'squared', base })
export const joined = (first: Formula, operator: Operator, second: Formula): Formula => ({
  is: 'joined',
  first,
  operator,
  second,
})
/** "t = (x̄ − μ₀) / (s / √n) = (14.9 − 15) / (0.1 / √12) = −3.46" */
export const step = (name: StepName, ...sides: readonly Formula[]): Step => ({ name, sides })
