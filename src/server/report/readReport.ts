import 'server-only'
import * as z from 'zod/mini'
import {
  FORMATS,
  optionsFor,
  optionsIn,
  type ReportFormat,
  type ReportOptions,
  reportOptionsSchema,
  type StatedOptions,
} from '@/desk/reportOptions'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { lackingInPdf, MEDIA_TYPES } from '@/report/files'
import { reportCss } from '@/report/document/fonts'
import { markHtml, partHtml } from '@/report/html'
import { partMarkdown } from '@/report/markdown'
import type { Report } from '@/report/document/document'
import { type ReportMeans, reportOf } from '@/report/report'
import { signedReportOf } from '@/report/signedReport'
import { type CaseWithClaims, findCase } from '@/data/caseRepository'
import { findClaim } from '@/data/claimRepository'
import { computing } from '../compute/computing'
import { inThread, unlessGivenUp } from '../compute/pool'
import { readSigned } from '../finding/readFinding'
import { database } from '../keeping/database'
import { markNow, templateNow } from '../office/officeNow'
import { registeredKeys } from '../keys/keys'
import { readInput } from '../input'
import { notFound } from '../problems'
import { readContentNow } from '../keeping/readContent'

/** A report as it is shown: each of its parts as HTML, and as the text that a copy of it gives. */
export type ShownReport = Readonly<{
  ownCase: CaseWithClaims
  options: ReportOptions
  claimCount: number
  /** What its PDF lacks, in words. */
  lacking: string
  /** How it looks, for a picture of a part. */
  css: string
  /** The mark of the office, as HTML; empty where it has none. */
  mark: string
  parts: readonly Readonly<{ id: string; title: string; level: number; html: string; text: string }>[]
}>

export async function readReport(caseId: string, stated: StatedOptions): Promise<ShownReport | undefined> {
  const db = await database()
  const content = await readContentNow(db, caseId)
  const ownCase = content && (await findCase(db, caseId))
  if (!content || !ownCase) return undefined
  const claimCount = content.claims.filter(({ draft }) => !draft.isDiscarded).length
  const options = optionsFor(stated, claimCount)
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
  prepareFiles(report)
  const lacking = await lackingInPdf(parts.map(({ text }) => text).join('\n'), process.cwd())
  const [mark, css] = [await markNow(db), await reportCss(process.cwd())]
  return { ownCase, options, claimCount, parts, lacking, css, mark: mark ? markHtml(mark) : '' }
}

let isPrepared = false

/**
 * Makes the first report that is looked at a PDF that nobody gets, while it is read: to shape words for the first time takes
 * four times as long as the rest of a PDF. What fails here is told to whoever asks for the file.
 */
function prepareFiles(report: Report): void {
  if (isPrepared) return
  isPrepared = true
  inThread('report', { report, format: 'pdf', root: process.cwd() }).catch(() => {})
}

type ReportFile = Readonly<{ name: string; type: string; bytes: Uint8Array }>
type Asked = Readonly<{ options: StatedOptions; format: ReportFormat }>

/** The report of a case as a file. */
export async function makeReport(
  caseId: string,
  asked: Asked,
  signal?: AbortSignal,
): Promise<Outcome<ReportFile>> {
  const db = await database()
  const content = await readContentNow(db, caseId)
  if (!content) return failure(notFound('case', caseId))
  const { reference, subject } = content.case
  const name = `${reference} ${subject}`.trim() || 'report'
  return fileOf(name, asked, signal, (means) => reportOf(content, asked.options, means))
}

/** The report of one signed finding as a file. */
export async function makeSignedReport(
  { claimId, number }: Readonly<{ claimId: string; number: string }>,
  asked: Asked,
  signal?: AbortSignal,
): Promise<Outcome<ReportFile>> {
  const db = await database()
  const row = await readSigned(claimId, number)
  const claim = row && (await findClaim(db, claimId))
  const content = claim && (await readContentNow(db, claim.caseId))
  const finding = content?.findings.find(({ id }) => id === row?.id)
  if (!content || !finding) return failure(notFound('finding', `${claimId}/${number}`))
  const name = `${content.case.reference} signed finding ${number}`.trim()
  return fileOf(name, asked, signal, (means) => signedReportOf(content, finding, asked.options, means))
}

async function fileOf(
  name: string,
  { format }: Asked,
  signal: AbortSignal | undefined,
  make: (means: ReportMeans) => Promise<Report>,
): Promise<Outcome<ReportFile>> {
  return unlessGivenUp(async () => {
    const db = await database()
    const keys = await registeredKeys(db)
    const made = await make({ computing: computing({ signal }), keys })
    const [template, mark] = await Promise.all([format === 'docx' ? templateNow(db) : undefined, markNow(db)])
    const report = { ...made, mark }
    const how = { format, root: process.cwd(), template }
    const bytes = await inThread('report', { report, ...how }, { signal })
    return success({ name: `${name}.${format}`, type: MEDIA_TYPES[format], bytes })
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
  unstated: z.optional(reportOptionsSchema.shape.unstated.def.innerType),
})

/** What an address asks for; PDF where it names no format. What is no choice is refused. */
export function readReportQuestion(parameters: URLSearchParams): Outcome<Asked> {
  const asked = readInput(askedSchema, Object.fromEntries(parameters))
  if (!asked.ok) return asked
  const { format } = asked.value
  return success({ options: optionsIn(Object.fromEntries(parameters)), format })
}

/** The options that the address of the report's page states; what is stated twice is not taken. */
export function optionsOf(
  parameters: Readonly<Record<string, string | readonly string[] | undefined>>,
): StatedOptions {
  const single = Object.entries(parameters).filter(([, value]) => typeof value === 'string')
  return optionsIn(Object.fromEntries(single) as Record<string, string>)
}
