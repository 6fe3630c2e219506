import type { Alternative } from '@/statistics/inference/alternative'

/** Who has to show it: a claim that stands unless contradicted, or one that must be shown. */
export const BURDENS = ['challenge', 'substantiate'] as const
export type Burden = (typeof BURDENS)[number]

/** All that follows from the words by which a claim compares its parameter with a value. */
export type RelationDefinition = Readonly<{
  /** The side of the claimed value on which the claim itself lies. */
  side: Alternative
  /** Words that hold equality stand unless contradicted; the rest have to be shown. */
  burden: Burden
  /** Whether the claimed value itself agrees with the claim. */
  includesValue: boolean
  /** Which burdens take limits below and above the value in place of the value itself. */
  toleranceFor: readonly Burden[]
  /** It holds for every value but one, so no sample can contradict it. */
  isBeyondContradiction?: true
}>

const NEVER = [] as const

/** The one list of relations, each with what follows from it. */
export const RELATION_DEFINITIONS = {
  'at-least': { side: 'greater', burden: 'challenge', includesValue: true, toleranceFor: NEVER },
  'at-most': { side: 'less', burden: 'challenge', includesValue: true, toleranceFor: NEVER },
  'more-than': { side: 'greater', burden: 'substantiate', includesValue: false, toleranceFor: NEVER },
  'less-than': { side: 'less', burden: 'substantiate', includesValue: false, toleranceFor: NEVER },
  'equal-to': {
    side: 'two-sided',
    burden: 'challenge',
    includesValue: true,
    toleranceFor: ['substantiate'],
  },
  'different-from': {
    side: 'two-sided',
    burden: 'substantiate',
    includesValue: false,
    toleranceFor: NEVER,
    isBeyondContradiction: true,
  },
  within: {
    side: 'two-sided',
    burden: 'substantiate',
    includesValue: true,
    toleranceFor: ['challenge', 'substantiate'],
  },
} as const satisfies Readonly<Record<string, RelationDefinition>>

export type Relation = keyof typeof RELATION_DEFINITIONS
export const RELATIONS = Object.keys(RELATION_DEFINITIONS) as [Relation, ...Relation[]]

export const relationOf = (relation: Relation): RelationDefinition => RELATION_DEFINITIONS[relation]

/** Claims whose words hold equality stand unless contradicted; the rest have to be shown. */
export const defaultBurden = (relation: Relation): Burden => relationOf(relation).burden

/** The side of the claimed value on which the claim itself lies. */
export const claimSide = (relation: Relation): Alternative => relationOf(relation).side

/** Whether a claim is held to limits below and above its value, and not to the value itself. */
export function needsTolerance({
  relation,
  burden,
}: Readonly<{ relation: Relation; burden?: Burden | null | undefined }>): boolean {
  const { toleranceFor, burden: usual } = relationOf(relation)
  return toleranceFor.includes(burden ?? usual)
}
