import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { csvBytes } from '../sheet/csvText'
import { readOpenDocument } from './openDocument'
import { readSpreadsheetMl } from './spreadsheetMl'
import { workbookProblems } from './workbookProblems'
import type { WorkbookRows } from './workbookRows'
import { openZip, type Zip } from './zip'

/** One sheet of a workbook, with the names of all its sheets. */
export type WorkbookSheet = Readonly<{
  sheets: readonly string[]
  sheet: string
  /** The sheet as the text of a CSV file in UTF-8, or why it can't be taken. */
  csv: Outcome<Uint8Array>
}>

const ZIP_MARK = [0x50, 0x4b, 0x03, 0x04]

/** Whether a file begins as workbooks do, which are ZIP archives. */
export function isWorkbook(beginning: Uint8Array): boolean {
  return ZIP_MARK.every((byte, at) => beginning[at] === byte)
}

/**
 * Reads one sheet of a workbook: XLSX (ISO/IEC 29500-1, SpreadsheetML) or ODS (ISO/IEC 26300, OpenDocument).
 *
 * Numbers are taken as they are stored, dates as ISO 8601 writes them. Formulas are refused: what stands in such a cell
 * was computed by somebody and measured by nobody.
 *
 * @param wanted - the sheet's name; absent: the first
 * @returns the sheet, or why the file is no workbook that can be read
 */
export async function readWorkbook(
  bytes: Uint8Array,
  wanted: string | undefined,
): Promise<Outcome<WorkbookSheet>> {
  const zip = openZip(bytes)
  if (!zip.ok) return zip
  const read = readRows(zip.value, wanted)
  if (!read.ok) return read
  const { sheets, sheet, rows } = read.value
  const squared = rows.ok ? square(rows.value) : []
  const csv = !rows.ok
    ? rows
    : squared.length === 0
      ? failure(workbookProblems.emptySheet(sheet))
      : success(csvBytes(squared))
  return success({ sheets, sheet, csv })
}

function readRows(zip: Zip, wanted: string | undefined): Outcome<WorkbookRows> {
  try {
    if (zip.has('xl/workbook.xml')) return readSpreadsheetMl(zip, wanted)
    if (zip.has('content.xml')) return readOpenDocument(zip, wanted)
  } catch (error) {
    return failure(workbookProblems.damaged(error instanceof Error ? error.message : String(error)))
  }
  return failure(workbookProblems.notWorkbook())
}

/** Every row as long as the longest, without what is empty at the end and below. */
function square(rows: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const used = rows.map((row) => row.findLastIndex((cell) => cell !== '') + 1)
  const width = used.reduce((max, one) => Math.max(max, one), 0)
  const height = used.findLastIndex((one) => one > 0) + 1
  return rows.slice(0, height).map((row) => Array.from({ length: width }, (_, at) => row[at] ?? ''))
}
