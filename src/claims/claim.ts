export const RELATIONS = [
  'at-least',
  'at-most',
  'more-than',
  'less-than',
  'equal-to',
  'different-from',
  'within',
] as const
export type Relation = (typeof RELATIONS)[number]

/** Who has to show it: a claim that stands unless contradicted, or one that must be shown. */
export const BURDENS = ['challenge', 'substantiate'] as const
export type Burden = (typeof BURDENS)[number]

export const ALTERNATIVES = ['less', 'greater', 'two-sided'] as const
export type Alternative = (typeof ALTERNATIVES)[number]

/** How far below and above the claimed value still agrees with it; both ≥ 0, in the claim's unit. */
export type Tolerance = Readonly<{ below: number; above: number }>

export const PARAMETERS = [
  'mean',
  'standard-deviation',
  'variance',
  'proportion',
  'variance-ratio',
  'median',
] as const
export type Parameter = (typeof PARAMETERS)[number]

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

/** Claims whose words hold equality stand unless contradicted; the rest have to be shown. */
export function defaultBurden(relation: Relation): Burden {
  switch (relation) {
    case 'at-least':
    case 'at-most':
    case 'equal-to':
      return 'challenge'
    case 'more-than':
    case 'less-than':
    case 'different-from':
    case 'within':
      return 'substantiate'
    default:
      return relation satisfies never
  }
}
