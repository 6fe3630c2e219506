import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { csvBytes } from '../sheet/csvText'
import { readOpenDocument } from './openDocument'
import { readSpreadsheetMl } from './spreadsheetMl'
import { workbookProblems } from './workbookProblems'
import type { WorkbookNotes, WorkbookRows } from './workbookRows'
import { openZip, type Zip } from './zip'

/** Which part of a workbook is to be taken; what is absent is guessed, but for hidden rows. */
export type WorkbookChoice = Readonly<{
  /** The sheet's name; absent: the first. */
  sheet?: string | undefined
  /** The first row taken and the last, counted from 1. */
  firstRow?: number | undefined
  lastRow?: number | undefined
  hiddenRows?: 'taken' | 'left-out' | undefined
}>

/** The rows of a sheet that are taken, of how many that hold anything. */
export type WorkbookPart = Readonly<{ firstRow: number; lastRow: number; rowCount: number }>

/** One sheet of a workbook, with the names of all its sheets. */
export type WorkbookSheet = Readonly<{
  sheets: readonly string[]
  sheet: string
  part: WorkbookPart
  notes: WorkbookNotes
  /** Hidden rows among those that are taken, of which nobody has said what they are. */
  askedRows: number
  /** The part as the text of a CSV file in UTF-8, or why it can't be taken. */
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
 * Numbers are taken as they are stored, dates as ISO 8601 writes them, of formulas the values that they had when the workbook
 * was saved; how many there are is told.
 *
 * @returns the sheet, or why the file is no workbook that can be read
 */
export function readWorkbook(bytes: Uint8Array, choice: WorkbookChoice = {}): Outcome<WorkbookSheet> {
  const zip = openZip(bytes)
  if (!zip.ok) return zip
  const read = readRows(zip.value, choice.sheet)
  if (!read.ok) return read
  const { sheets, sheet, rows, notes } = read.value
  const all = rows.ok ? rows.value : []
  const part = partOf(all, choice)
  const isWithin = (number: number) => number >= part.firstRow && number <= part.lastRow
  const hidden = new Set(notes.hiddenRows.filter(isWithin))
  const isLeftOut = choice.hiddenRows === 'left-out'
  const taken = withoutEmptyEnd(all.filter((_, at) => isWithin(at + 1) && !(isLeftOut && hidden.has(at + 1))))
  const csv = !rows.ok
    ? rows
    : taken.length === 0
      ? failure(workbookProblems.emptySheet(sheet))
      : success(csvBytes(taken))
  const askedRows = choice.hiddenRows === undefined ? hidden.size : 0
  return success({ sheets, sheet, part, notes, askedRows, csv })
}

const filled = (row: readonly string[]) => row.filter((cell) => cell.trim() !== '').length
/** A row that says what those above it come to. */
const TOTAL = /^(grand total|total|sum|subtotal|mean|average|count|minimum|maximum|std\.? ?dev\.?)\b/i

/**
 * The part of a sheet that is a table: from the first row that has half of the cells of the fullest one, and two where there are
 * as many, to the last before those that begin as a total does.
 */
function partOf(rows: readonly (readonly string[])[], { firstRow, lastRow }: WorkbookChoice): WorkbookPart {
  const counts = rows.map(filled)
  const rowCount = counts.findLastIndex((count) => count > 0) + 1
  const widest = counts.reduce((most, count) => Math.max(most, count), 0)
  const needed = Math.max(widest / 2, Math.min(widest, 2))
  const isTotal = (row: readonly string[]) => TOTAL.test(row.find((cell) => cell.trim() !== '')?.trim() ?? '')
  const first = firstRow ?? counts.findIndex((count) => count > 0 && count >= needed) + 1
  const last = lastRow ?? rows.findLastIndex((row, at) => counts[at]! > 0 && !isTotal(row)) + 1
  return { firstRow: Math.max(1, first), lastRow: Math.min(Math.max(last, first), rowCount), rowCount }
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

/** Without the rows below the last that holds anything. */
function withoutEmptyEnd(rows: readonly (readonly string[])[]): readonly (readonly string[])[] {
  return rows.slice(0, rows.findLastIndex((row) => row.length > 0) + 1)
}
