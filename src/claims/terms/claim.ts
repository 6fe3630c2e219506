import type { Limit } from './limit'
import type { Parameter } from './names'
import { type Burden, needsTolerance, type Relation, relationOf } from './relations'

/** How far below and above the claimed value still agrees with it; both ≥ 0, in the claim's unit. */
export type Tolerance = Readonly<{ below: number; above: number }>

export type Claim = Readonly<{
  parameter: Parameter
  relation: Relation
  value: number
  /** Of a share of items by their readings. */
  limit?: Limit | undefined
  tolerance?: Tolerance | undefined
  burden?: Burden | undefined
  unit?: string | undefined
  /** What a rate is per one of: "1,000 deliveries". */
  exposureUnit?: string | undefined
  /** What is measured, in a few words: "net mass". */
  quantity?: string | undefined
  /** The claim as it was found, verbatim. */
  wording?: string | undefined
}>

/** A difference from the claimed value that reading decimals into doubles explains is none. */
const ROUNDING = 1e-12

/**
 * Whether a claim is true of a figure that is known without a doubt.
 *
 * @example
 * isTrueOf({ parameter: 'mean', relation: 'at-least', value: 15 }, 14.93) // false
 */
export function isTrueOf(claim: Claim, figure: number): boolean {
  const { relation, burden, value, tolerance } = claim
  const slack = slackOf(value, figure)
  const gap = gapTo(claim, figure)
  const { side, includesValue } = relationOf(relation)
  if (tolerance && needsTolerance({ relation, burden }))
    return gap >= -tolerance.below - slack && gap <= tolerance.above + slack
  if (gap === 0) return includesValue
  if (side === 'two-sided') return !includesValue
  return side === 'greater' ? gap > 0 : gap < 0
}

/** From the claimed value to a figure; none where reading decimals into doubles explains it. */
export function gapTo({ value }: Pick<Claim, 'value'>, figure: number): number {
  return Math.abs(figure - value) <= slackOf(value, figure) ? 0 : figure - value
}

const slackOf = (value: number, figure: number) => ROUNDING * Math.max(Math.abs(value), Math.abs(figure))
