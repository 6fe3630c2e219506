import 'server-only'
import { parseJson } from '@/desk/parseJson'
import * as z from 'zod'
import { failure, type Outcome } from '@/claims/terms/outcome'
import { DECIMAL_MARKS } from '@/desk/typed'
import { DATE_ORDERS } from '@/intake/reading/date'
import { ENCODINGS, SEPARATORS } from '@/intake/sheet/format'
import { THOUSANDS } from '@/intake/reading/thousands'
import { MAX_COLUMNS } from '@/desk/sampleDraft'
import type { SheetImport } from './importSheet'
import { readInput } from '../input'

const formatSchema = z.strictObject({
  separator: z.enum(SEPARATORS),
  encoding: z.enum(ENCODINGS),
  decimalMark: z.enum(DECIMAL_MARKS),
  thousands: z.enum(THOUSANDS),
  dateOrder: z.enum(DATE_ORDERS),
  header: z.enum(['first-row', 'none']),
})
const row = z.int().min(1).max(1_048_576)
const workbookSchema = z.strictObject({
  sheet: z.string().max(500).optional(),
  firstRow: row.optional(),
  lastRow: row.optional(),
  hiddenRows: z.enum(['taken', 'left-out']).optional(),
})
const questionSchema = z.strictObject({
  fileName: z.string().min(1).max(500),
  by: z.string().max(500),
  /** By which it can be cancelled. */
  importId: z.uuid().optional(),
  format: formatSchema.optional(),
  workbook: workbookSchema.optional(),
  isKept: z.boolean().optional(),
  /** Names of the columns that are taken; absent: all. */
  columns: z.array(z.string().max(500)).min(1).max(MAX_COLUMNS).optional(),
  missingWords: z.array(z.string().max(500)).max(1000).optional(),
})

/** Reads what a request says of the file that it brings: its parameter `question`, as JSON. */
export function readImportQuestion(
  parameters: URLSearchParams,
): Outcome<Omit<SheetImport, 'caseId' | 'body'> & Readonly<{ importId?: string | undefined }>> {
  try {
    return readInput(questionSchema, parseJson(parameters.get('question') ?? ''))
  } catch {
    const message = 'The parameter “question” is no JSON. Say which file it is: {"fileName": "…", "by": "…"}.'
    return failure({ code: 'not-json', path: 'question', message })
  }
}
