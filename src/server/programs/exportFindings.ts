import 'server-only'
import writeXlsxFile from 'write-excel-file/node'
import * as z from 'zod/mini'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { type CaseWithClaims, type DocketQuestion, findCase, findCases } from '@/data/caseRepository'
import { harmlessCell } from '@/intake/sheet/csvText'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'
import { readInput } from '../input'
import { notFound } from '../problems'
import { casesQuerySchema } from './openApi'
import { FINDING_FIELDS, type FindingRow, findingRowsOf } from './findingRows'

export const FINDING_FORMATS = ['csv', 'xlsx'] as const
type Format = (typeof FINDING_FORMATS)[number]
/** More would take the server's memory; a CSV file holds any number. */
const MAX_IN_WORKBOOK = 20_000
const CASES_AT_ONCE = 50

type Made = Readonly<{ name: string; type: string; body: AsyncIterable<Uint8Array> }>

const TYPES: Readonly<Record<Format, string>> = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
}

/** The findings of a case as a file: CSV (RFC 4180, UTF-8) or a workbook, no cell of which a spreadsheet would run. */
export async function exportFindings(caseId: string, format: Format): Promise<Outcome<Made>> {
  const own = isIdentifier(caseId) ? await findCase(await database(), caseId) : undefined
  if (!own) return failure(notFound('case', caseId))
  const name = `${`${own.reference} ${own.subject}`.trim() || 'case'}, findings.${format}`
  return made(name, format, casesOf([own]))
}

const askedSchema = z.strictObject({
  ...z.omit(casesQuerySchema, { page: true, pageSize: true }).shape,
  format: z._default(z.enum(FINDING_FORMATS), 'csv'),
})

/** The findings of all cases on the docket that answer a query, as a file. */
export async function exportDocket(parameters: URLSearchParams): Promise<Outcome<Made>> {
  const asked = readInput(askedSchema, Object.fromEntries(parameters))
  if (!asked.ok) return asked
  const { format, text, outcome, ...rest } = asked.value
  const question = { ...rest, ...(text ? { text } : {}), ...(outcome ? { outcome } : {}) }
  return made(`findings.${format}`, format, allCases(question))
}

async function* casesOf(cases: readonly CaseWithClaims[]): AsyncGenerator<CaseWithClaims> {
  yield* cases
}

async function* allCases(
  question: Omit<DocketQuestion, 'page' | 'pageSize'>,
): AsyncGenerator<CaseWithClaims> {
  for (let page = 0; ; page += 1) {
    const { cases } = await findCases(await database(), { ...question, page, pageSize: CASES_AT_ONCE })
    yield* cases
    if (cases.length < CASES_AT_ONCE) return
  }
}

async function made(
  name: string,
  format: Format,
  cases: AsyncIterable<CaseWithClaims>,
): Promise<Outcome<Made>> {
  const file = { name, type: TYPES[format] }
  if (format === 'csv') return success({ ...file, body: csvOf(cases) })
  const rows: FindingRow[] = []
  for await (const row of rowsOf(cases)) {
    rows.push(row)
    if (rows.length > MAX_IN_WORKBOOK) return failure(tooMany())
  }
  const bytes = await workbookOf(rows)
  return success({
    ...file,
    body: (async function* () {
      yield bytes
    })(),
  })
}

async function* rowsOf(cases: AsyncIterable<CaseWithClaims>): AsyncGenerator<FindingRow> {
  for await (const own of cases) yield* await findingRowsOf(await database(), own)
}

async function* csvOf(cases: AsyncIterable<CaseWithClaims>): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder()
  const line = (cells: readonly string[]) => encoder.encode(`${cells.map(harmlessCell).join(',')}\r\n`)
  yield line(FINDING_FIELDS)
  for await (const row of rowsOf(cases)) yield line(FINDING_FIELDS.map((field) => String(row[field] ?? '')))
}

/** Texts are texts and figures figures: no cell is a formula. */
async function workbookOf(rows: readonly FindingRow[]): Promise<Uint8Array> {
  const text = (value: string) => ({
    value: value.replace(/[\0-\u0008\u000b\u000c\u000e-\u001f]/g, '\ufffd'),
    type: String,
  })
  const cells = rows.map((row) =>
    FINDING_FIELDS.map((field) => {
      const value = row[field]
      if (value === null || value === '') return null
      return typeof value === 'number' ? { value, type: Number } : text(value)
    }),
  )
  const heads = FINDING_FIELDS.map((field) => ({ ...text(field), fontWeight: 'bold' }))
  const book = [{ sheet: 'Findings', data: [heads, ...cells] }]
  return new Uint8Array(await writeXlsxFile(book as never).toBuffer())
}

function tooMany() {
  const message = `There are more than ${MAX_IN_WORKBOOK.toLocaleString('en')} claims; a workbook is made of at most so many. Take them as CSV, or by parts.`
  return { code: 'too-many', path: 'format', message }
}
