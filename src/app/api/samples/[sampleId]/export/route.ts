import * as z from 'zod/mini'
import { readInput } from '@/server/input'
import { answerWith, download } from '@/server/programs/answer'
import { EXPORT_PARTS, exportSample } from '@/server/sample/exportSample'
import { exportWorkbook } from '@/server/sample/exportWorkbook'

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'

const askedSchema = z.strictObject({ part: z._default(z.enum([...EXPORT_PARTS, 'workbook']), 'sheet') })

/** A part of a sample as a CSV file: `?part=sheet`, `codes` or `set-aside`; or all of it as an XLSX file: `workbook`. */
export async function GET(request: Request, { params }: Readonly<{ params: Promise<{ sampleId: string }> }>) {
  const { sampleId } = await params
  const asked = readInput(askedSchema, Object.fromEntries(new URL(request.url).searchParams))
  if (!asked.ok) return answerWith(asked)
  const { part } = asked.value
  if (part === 'workbook') return workbookOf(sampleId)
  const made = await exportSample(sampleId, part)
  if (!made.ok) return answerWith(made)
  const { name, lines } = made.value
  return download({ name: `${name}.csv`, type: 'text/csv; charset=utf-8', body: bytesOf(lines) })
}

function* bytesOf(lines: Iterable<string>): Generator<Uint8Array> {
  const encoder = new TextEncoder()
  for (const line of lines) yield encoder.encode(line)
}

async function workbookOf(sampleId: string): Promise<Response> {
  const made = await exportWorkbook(sampleId)
  if (!made.ok) return answerWith(made)
  const { name, bytes } = made.value
  return download({ name, type: XLSX, body: [bytes] })
}
