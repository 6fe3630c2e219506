import * as z from 'zod/mini'

/** How numbers are written: 1,234.5 or 1 234,5. */
export const LANGUAGES = ['point', 'comma'] as const
export type Language = (typeof LANGUAGES)[number]

/** What becomes of what is not stated. */
export const UNSTATED = ['left-out', 'named'] as const
export type Unstated = (typeof UNSTATED)[number]

export const FORMATS = ['pdf', 'docx', 'html', 'md'] as const
export type ReportFormat = (typeof FORMATS)[number]

/** The parts that can be chosen; the findings themselves are in every report. */
export const PARTS = [
  'cover',
  'summary',
  'hypotheses',
  'sample',
  'conditions',
  'pictures',
  'test',
  'cross-examination',
  'groups',
  'readings',
  'working',
  'sources',
  'simultaneous-intervals',
] as const
export type PartName = (typeof PARTS)[number]

/** Those of a report of which nothing was chosen: the others are there on request. */
const USUAL_PARTS: readonly PartName[] = PARTS.filter((part) => part !== 'simultaneous-intervals')

const MAX_DECIMALS = 12

export const reportOptionsSchema = z.strictObject({
  parts: z._default(z.array(z.enum(PARTS)), [...USUAL_PARTS]),
  /** Of every figure of a claim; absent: those chosen for each claim. */
  decimals: z.optional(z.int().check(z.minimum(0), z.maximum(MAX_DECIMALS))),
  language: z._default(z.enum(LANGUAGES), 'point'),
  /** Whether what is not stated of a case or a sample is said to be not stated. */
  unstated: z._default(z.enum(UNSTATED), 'left-out'),
})
export type ReportOptions = Readonly<z.infer<typeof reportOptionsSchema>>

export const USUAL_OPTIONS: ReportOptions = reportOptionsSchema.parse({})

/**
 * The options that an address states: `parts` with commas between, `decimals`, `numbers`, `unstated`.
 *
 * @returns the usual ones for whatever is not stated, or not one of the choices
 */
export function optionsIn(stated: Readonly<Record<string, string | undefined>>): ReportOptions {
  const { parts, decimals, numbers, unstated } = stated
  const read = reportOptionsSchema.safeParse({
    ...(parts === undefined ? {} : { parts: PARTS.filter((part) => parts.split(',').includes(part)) }),
    ...(decimals === undefined || decimals === '' ? {} : { decimals: Number(decimals) }),
    ...(numbers === undefined ? {} : { language: numbers }),
    ...(unstated === undefined ? {} : { unstated }),
  })
  return read.success ? read.data : USUAL_OPTIONS
}

/** The query of an address for options: only what is not usual. */
export function queryOf({ parts, decimals, language, unstated }: ReportOptions): string {
  const stated: readonly (readonly [string, string])[] = [
    ...(parts.join() === USUAL_PARTS.join() ? [] : [['parts', parts.join(',')] as const]),
    ...(decimals === undefined ? [] : [['decimals', String(decimals)] as const]),
    ...(language === 'point' ? [] : [['numbers', language] as const]),
    ...(unstated === 'left-out' ? [] : [['unstated', unstated] as const]),
  ]
  const query = stated.map(([name, value]) => `${name}=${encodeURIComponent(value)}`).join('&')
  return query === '' ? '' : `?${query}`
}
