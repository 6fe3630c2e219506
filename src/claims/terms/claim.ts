import type { Parameter } from './names'
import type { Burden, Relation } from './relations'

/** How far below and above the claimed value still agrees with it; both ≥ 0, in the claim's unit. */
export type Tolerance = Readonly<{ below: number; above: number }>

export type Claim = Readonly<{
  parameter: Parameter
  relation: Relation
  value: number
  tolerance?: Tolerance | undefined
  burden?: Burden | undefined
  unit?: string | undefined
  /** What is measured, in a few words: "net mass". */
  quantity?: string | undefined
  /** The claim as it was found, verbatim. */
  wording?: string | undefined
}>
