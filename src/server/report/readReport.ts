import 'server-only'
import * as z from 'zod/mini'
import {
  FORMATS,
  optionsIn,
  type ReportFormat,
  type ReportOptions,
  reportOptionsSchema,
} from '@/desk/reportOptions'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { lackingInPdf, MEDIA_TYPES } from '@/report/files'
import { reportCss } from '@/report/document/fonts'
import { partHtml } from '@/report/html'
import { partMarkdown } from '@/report/markdown'
import { reportOf } from '@/report/report'
import { type CaseWithClaims, findCase } from '@/data/caseRepository'
import { computing } from '../compute/computing'
import { inThread, unlessGivenUp } from '../compute/pool'
import { database } from '../keeping/database'
import { registeredKeys } from '../keys/keys'
import { readInput } from '../input'
import { notFound } from '../problems'
import { readContentNow } from '../keeping/readContent'

/** A report as it is shown: each of its parts as HTML, and as the text that a copy of it gives. */
export type ShownReport = Readonly<{
  ownCase: CaseWithClaims
  /** What its PDF lacks, in words. */
  lacking: string
  /** How it looks, for a picture of a part. */
  css: string
  parts: readonly Readonly<{ id: string; title: string; level: number; html: string; text: string }>[]
}>

export async function readReport(caseId: string, options: ReportOptions): Promise<ShownReport | undefined> {
  const db = await database()
  const content = await readContentNow(db, caseId)
  const ownCase = content && (await findCase(db, caseId))
  if (!content || !ownCase) return undefined
  const report = await reportOf(content, options, {
    computing: computing(),
    keys: await registeredKeys(db),
  })
  const parts = report.parts.map((part) => ({
    id: part.id,
    title: part.title,
    level: part.level,
    html: partHtml(part),
    text: partMarkdown(part),
  }))
  const lacking = await lackingInPdf(parts.map(({ text }) => text).join('\n'), process.cwd())
  return { ownCase, parts, lacking, css: await reportCss(process.cwd()) }
}

/** The report of a case as a file. */
export async function makeReport(
  caseId: string,
  options: ReportOptions,
  format: ReportFormat,
  signal?: AbortSignal,
): Promise<Outcome<Readonly<{ name: string; type: string; bytes: Uint8Array }>>> {
  const db = await database()
  const content = await readContentNow(db, caseId)
  if (!content) return failure(notFound('case', caseId))
  const { reference, subject } = content.case
  return unlessGivenUp(async () => {
    const report = await reportOf(content, options, {
      computing: computing({ signal }),
      keys: await registeredKeys(db),
    })
    const bytes = await inThread('report', { report, format, root: process.cwd() }, { signal })
    const name = `${`${reference} ${subject}`.trim() || 'report'}.${format}`
    return success({ name, type: MEDIA_TYPES[format], bytes })
  })
}

const askedSchema = z.strictObject({
  format: z._default(z.enum(FORMATS), 'pdf'),
  parts: z.optional(
    z.pipe(
      z.pipe(
        z.string(),
        z.transform((text) => text.split(',').filter((part) => part !== '')),
      ),
      reportOptionsSchema.shape.parts.def.innerType,
    ),
  ),
  decimals: z.optional(
    z.pipe(
      z.pipe(z.string().check(z.regex(/^\d{1,2}$/, 'a whole number')), z.transform(Number)),
      reportOptionsSchema.shape.decimals.def.innerType,
    ),
  ),
  numbers: z.optional(reportOptionsSchema.shape.language.def.innerType),
})

/** What an address asks for; PDF where it names no format. What is no choice is refused. */
export function readReportQuestion(
  parameters: URLSearchParams,
): Outcome<Readonly<{ options: ReportOptions; format: ReportFormat }>> {
  const asked = readInput(askedSchema, Object.fromEntries(parameters))
  if (!asked.ok) return asked
  const { format } = asked.value
  return success({ options: optionsIn(Object.fromEntries(parameters)), format })
}

/** The options that the address of the report's page states; what is stated twice is not taken. */
export function optionsOf(
  parameters: Readonly<Record<string, string | readonly string[] | undefined>>,
): ReportOptions {
  const single = Object.entries(parameters).filter(([, value]) => typeof value === 'string')
  return optionsIn(Object.fromEntries(single) as Record<string, string>)
}
