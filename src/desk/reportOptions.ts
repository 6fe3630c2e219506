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
/** Of more claims than these nobody reads every part unasked. */
const MANY_CLAIMS = 12
const PARTS_OF_MANY: readonly PartName[] = ['cover', 'summary', 'sources']

/** The parts of a report of so many claims of which nothing was chosen. */
export const usualParts = (claimCount: number): readonly PartName[] =>
  claimCount > MANY_CLAIMS ? PARTS_OF_MANY : USUAL_PARTS

const MAX_DECIMALS = 12

export const reportOptionsSchema = z.strictObject({
  /** Absent: the usual ones. */
  parts: z.optional(z.array(z.enum(PARTS))),
  /** Of every figure of a claim; absent: those chosen for each claim. */
  decimals: z.optional(z.int().check(z.minimum(0), z.maximum(MAX_DECIMALS))),
  language: z._default(z.enum(LANGUAGES), 'point'),
  /** Whether what is not stated of a case or a sample is said to be not stated. */
  unstated: z._default(z.enum(UNSTATED), 'left-out'),
})
/** What somebody stated of a report. */
export type StatedOptions = Readonly<Omit<z.infer<typeof reportOptionsSchema>, 'parts'>> &
  Readonly<{ parts?: readonly PartName[] | undefined }>
export type ReportOptions = StatedOptions & Readonly<{ parts: readonly PartName[] }>

/** With the usual parts, where none were chosen. */
export const optionsFor = (stated: StatedOptions, claimCount: number): ReportOptions => ({
  ...stated,
  parts: stated.parts ?? usualParts(claimCount),
})

const NOTHING_STATED: StatedOptions = reportOptionsSchema.parse({})
export const USUAL_OPTIONS: ReportOptions = optionsFor(NOTHING_STATED, 1)

/**
 * The options that an address states: `parts` with commas between, `decimals`, `numbers`, `unstated`.
 *
 * @returns the usual ones for whatever is not stated, or not one of the choices
 */
export function optionsIn(stated: Readonly<Record<string, string | undefined>>): StatedOptions {
  const { parts, decimals, numbers, unstated } = stated
  const read = reportOptionsSchema.safeParse({
    ...(parts === undefined ? {} : { parts: PARTS.filter((part) => parts.split(',').includes(part)) }),
    ...(decimals === undefined || decimals === '' ? {} : { decimals: Number(decimals) }),
    ...(numbers === undefined ? {} : { language: numbers }),
    ...(unstated === undefined ? {} : { unstated }),
  })
  return read.success ? read.data : NOTHING_STATED
}

/** The query of an address for options: only what is not usual of a report of so many claims. */
export function queryOf({ parts, decimals, language, unstated }: ReportOptions, claimCount = 1): string {
  const stated: readonly (readonly [string, string])[] = [
    ...(parts.join() === usualParts(claimCount).join() ? [] : [['parts', parts.join(',')] as const]),
    ...(decimals === undefined ? [] : [['decimals', String(decimals)] as const]),
    ...(language === 'point' ? [] : [['numbers', language] as const]),
    ...(unstated === 'left-out' ? [] : [['unstated', unstated] as const]),
  ]
  const query = stated.map(([name, value]) => `${name}=${encodeURIComponent(value)}`).join('&')
  return query === '' ? '' : `?${query}`
}
