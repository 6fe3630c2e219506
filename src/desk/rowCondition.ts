import * as z from 'zod/mini'
import { storedText } from './typed'

export const CONDITION_RELATIONS = [
  'is',
  'is-not',
  'one-of',
  'above',
  'at-least',
  'below',
  'at-most',
  'between',
  'is-empty',
  'is-not-empty',
] as const
export type ConditionRelation = (typeof CONDITION_RELATIONS)[number]
/** Those that hold of numbers and dates only. */
export const ORDERED: readonly ConditionRelation[] = ['above', 'at-least', 'below', 'at-most', 'between']

const MAX_CONDITIONS = 50

/** A condition on the cells of one column, as typed. */
export const rowConditionSchema = z.strictObject({
  /** The column's short name. */
  column: storedText(500),
  relation: z.enum(CONDITION_RELATIONS),
  /** Not used by the two relations of emptiness; for "one of", values separated by commas or semicolons. */
  value: storedText(5000),
  /** The upper end of "between". */
  upTo: storedText(500),
})

/** Which rows are kept: those that meet every condition of one of the lists; all rows where there is no list. */
export const keptRowsSchema = z
  .array(z.array(rowConditionSchema).check(z.minLength(1), z.maxLength(MAX_CONDITIONS)))
  .check(z.maxLength(MAX_CONDITIONS))

export type RowCondition = Readonly<z.infer<typeof rowConditionSchema>>
export type KeptRows = readonly (readonly RowCondition[])[]
