import type { Alternative } from '../inference/alternative'

/** A planned test, and what is true when its power is asked for. */
export type PowerQuestion = Readonly<{
  n: number
  /** The value in the null hypothesis. */
  value: number
  /** The parameter's true value, on the same scale. */
  truth: number
  alternative: Alternative
  significanceLevel: number
}>
