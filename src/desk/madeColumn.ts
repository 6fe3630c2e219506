import * as z from 'zod/mini'
import { storedText } from './typed'

/** How a column is made of others, row by row. */
export const MADE_KINDS = [
  'difference',
  'sum',
  'ratio',
  'percent-change',
  'percent-cut',
  'scaled',
  'density',
  'days',
  'working-days',
] as const
export type MadeKind = (typeof MADE_KINDS)[number]

/** Of these kinds a figure is stated, and no second column. */
export const isOfOne = (kind: MadeKind): boolean => kind === 'scaled' || kind === 'density'

const words = storedText(500)

/** A column made of columns, as it is typed: its values follow theirs, and are stored nowhere. */
export const madeColumnSchema = z.strictObject({
  name: words,
  kind: z.enum(MADE_KINDS),
  /** Columns by their names. */
  first: words,
  second: words,
  /** Times the factor and plus the offset; of a mass, over its density. */
  factor: words,
  offset: words,
  /** Where it does not follow from the columns. */
  unit: words,
  /** Days on which nobody works beside Saturdays and Sundays, one a line. */
  holidays: storedText(20_000),
})
export type MadeColumn = Readonly<z.infer<typeof madeColumnSchema>>

export const EMPTY_MADE: MadeColumn = {
  ...{ name: '', kind: 'difference', first: '', second: '' },
  ...{ factor: '', offset: '', unit: '', holidays: '' },
}
