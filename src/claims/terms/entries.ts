import * as z from 'zod/mini'

/**
 * How entries are read that can be read in several ways, or only with a sign taken off: somebody said so, and the text stays as
 * it was put in.
 *
 * `thousands`: the text stands between groups of three digits; `decimals`: it is a decimal mark beside the usual one; `unit`: it
 * is taken off; `missing`: it stands for nothing measured; `apart`: entries of one line are readings each; `entry`: the first
 * line is an entry and not the column's name; `dates`: days are written day-first or month-first, whichever the text says;
 * `limits`: "< 0.5" says only that what was measured lies below 0.5, "> 20" that it lies above 20.
 */
export const READ_RULES = [
  'thousands',
  'decimals',
  'unit',
  'missing',
  'apart',
  'entry',
  'dates',
  'limits',
] as const

const count = z.int().check(z.positive())

/** What became of the entries that the figures were taken from, where it is not nothing. */
export const entriesSchema = z.strictObject({
  header: z.optional(z.string()),
  unreadable: z.optional(
    z.strictObject({ count, texts: z.array(z.string()), couldBe: z.optional(z.array(z.number())) }),
  ),
  setAside: z.optional(count),
  blank: z.optional(count),
  readAs: z.optional(
    z.strictObject({
      rules: z.array(z.strictObject({ rule: z.enum(READ_RULES), text: z.string() })),
      count: z.optional(count),
      example: z.optional(z.string()),
      value: z.optional(z.number()),
    }),
  ),
  converted: z.optional(z.string()),
})

export type Entries = z.infer<typeof entriesSchema>
