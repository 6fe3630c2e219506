import { readWhole } from './openInput'
import { writeFile } from 'node:fs/promises'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import type { CaseContent, ContentFinding } from '@/casefile/content'
import { readCaseFile } from '@/casefile/read'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { FORMATS, PARTS, type ReportFormat, reportOptionsSchema } from '@/desk/reportOptions'
import { readTemplate } from '@/report/docxTemplate'
import { lackingInPdf, reportFile } from '@/report/files'
import { readMark } from '@/report/readMark'
import { markdownOf } from '@/report/markdown'
import { reportOf } from '@/report/report'
import { signedReportOf } from '@/report/signedReport'

/** What was stated on the command line, as texts. */
export type ReportStated = Readonly<{
  finding?: string | undefined
  format?: string | undefined
  output?: string | undefined
  parts?: string | undefined
  decimals?: string | undefined
  numbers?: string | undefined
  unstated?: string | undefined
  template?: string | undefined
  mark?: string | undefined
}>

/** The bundle lies in a folder of the checkout, beside which its packages are. */
const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..')
const LANGUAGES: Readonly<Record<string, string>> = { '1,234.5': 'point', '1 234,5': 'comma' }

/**
 * Writes the report of a case file: the same that the application gives.
 *
 * @returns where it was written, and what it lacks, in words
 */
export async function writeReport(
  file: string,
  stated: ReportStated,
): Promise<Outcome<Readonly<{ output: string; lacking: string }>>> {
  const format = formatOf(stated)
  if (!format.ok) return format
  const { parts, decimals, numbers, unstated } = stated
  const asked = { stated, format: format.value }
  const template = await takenOf('template', { ...asked, formats: ['docx'] }, readTemplate)
  if (!template.ok) return template
  const mark = await takenOf('mark', { ...asked, formats: ['pdf', 'docx', 'html'] }, readMark)
  if (!mark.ok) return mark
  const options = reportOptionsSchema.safeParse({
    ...(parts === undefined ? {} : { parts: parts.split(',').map((part) => part.trim()) }),
    ...(decimals === undefined ? {} : { decimals: Number(decimals) }),
    ...(numbers === undefined ? {} : { language: LANGUAGES[numbers] ?? numbers }),
    ...(unstated === undefined ? {} : { unstated }),
  })
  if (!options.success) return failure(wrongOption(options.error.issues[0]?.path[0]))
  const read = await readCaseFile(await readWhole(file))
  if (!read.ok) return read
  const { content } = read.value
  const finding = findingOf(content, stated)
  if (!finding.ok) return finding
  const part = finding.value ? `-finding-${finding.value.fingerprint.slice(0, 8)}` : ''
  const output = stated.output ?? `${file.replace(/\.zip$/i, '')}${part}.${format.value}`
  const made = finding.value
    ? await signedReportOf(content, finding.value, options.data)
    : await reportOf(content, options.data)
  const report = { ...made, mark: mark.value }
  await writeFile(
    output,
    await reportFile(report, { format: format.value, root: ROOT, template: template.value }),
  )
  return success({
    output,
    lacking: format.value === 'pdf' ? await lackingInPdf(markdownOf(report), ROOT) : '',
  })
}

/** The signed finding that is asked for; undefined where it is the case. */
function findingOf(
  { findings }: CaseContent,
  { finding: asked }: ReportStated,
): Outcome<ContentFinding | undefined> {
  if (asked === undefined) return success(undefined)
  const found = findings.filter(({ fingerprint }) => fingerprint.startsWith(asked.toLowerCase()))
  if (found.length === 1) return success(found[0])
  const there = findings.map(({ fingerprint }) => fingerprint.slice(0, 12)).join(', ')
  const message = `“${asked}” begins the fingerprint of ${found.length} signed findings. ${there === '' ? 'Nothing is signed in this file.' : `There are: ${there}.`}`
  return failure({ code: 'unknown-finding', path: '--finding', message })
}

/** A file that reports of some formats take something of; the other formats have none of it. */
async function takenOf<T>(
  name: 'template' | 'mark',
  {
    stated,
    format,
    formats,
  }: Readonly<{ stated: ReportStated; format: ReportFormat; formats: readonly ReportFormat[] }>,
  read: (bytes: Uint8Array) => Outcome<T>,
): Promise<Outcome<T | undefined>> {
  const file = stated[name]
  if (file === undefined) return success(undefined)
  if (formats.includes(format)) return read(await readWhole(file))
  const message = `A report as ${format} has no ${name}. Say --format ${formats.join(' or ')}, or leave --${name} out.`
  return failure({ code: 'unknown-option', path: `--${name}`, message })
}

/** Stated, or that of the file that is written, or PDF. */
function formatOf({ format, output }: ReportStated): Outcome<ReportFormat> {
  const wanted = format ?? (output ? path.extname(output).slice(1).toLowerCase() : 'pdf')
  const known = FORMATS.find((one) => one === wanted)
  if (known) return success(known)
  const message = `There is no report in the format “${wanted}”. Say --format with one of: ${FORMATS.join(', ')}.`
  return failure({ code: 'unknown-format', path: '--format', message })
}

function wrongOption(name: PropertyKey | undefined) {
  const needed: Readonly<Record<string, string>> = {
    parts: `--parts takes some of these, with commas between: ${PARTS.join(', ')}.`,
    decimals: '--decimals takes a whole number from 0 to 12.',
    unstated: '--unstated takes named, or left-out.',
    language: '--numbers takes "1,234.5" (or point) or "1 234,5" (or comma).',
  }
  const message = needed[String(name)] ?? 'The options of the report could not be read.'
  return { code: 'unknown-option', path: String(name), message }
}
