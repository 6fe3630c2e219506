import 'server-only'
import { parseJson } from '@/desk/parseJson'
import * as z from 'zod/mini'
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
const row = z.int().check(z.minimum(1), z.maximum(1_048_576))
const workbookSchema = z.strictObject({
  sheet: z.optional(z.string().check(z.maxLength(500))),
  firstRow: z.optional(row),
  lastRow: z.optional(row),
  hiddenRows: z.optional(z.enum(['taken', 'left-out'])),
})
const questionSchema = z.strictObject({
  fileName: z.string().check(z.minLength(1), z.maxLength(500)),
  by: z.string().check(z.maxLength(500)),
  /** By which it can be cancelled. */
  importId: z.optional(z.uuid()),
  format: z.optional(formatSchema),
  workbook: z.optional(workbookSchema),
  isKept: z.optional(z.boolean()),
  /** Names of the columns that are taken; absent: all. */
  columns: z.optional(
    z.array(z.string().check(z.maxLength(500))).check(z.minLength(1), z.maxLength(MAX_COLUMNS)),
  ),
  missingWords: z.optional(z.array(z.string().check(z.maxLength(500))).check(z.maxLength(1000))),
})

/** Reads what a request says of the file that it brings: its parameter `question`, as JSON. */
export function readImportQuestion(
  parameters: URLSearchParams,
): Outcome<Omit<SheetImport, 'caseId' | 'body'> & Readonly<{ importId?: string | undefined }>> {
  try {
    return readInput(questionSchema, parseJson(parameters.get('question') ?? ''))
  } catch {
    const message = `The parameter “question” can't be read as JSON. Say which file it is: {"fileName": "…", "by": "…"}.`
    return failure({ code: 'not-json', path: 'question', message })
  }
}
