import 'server-only'
import writeXlsxFile from 'write-excel-file/node'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { formatCount } from '@/words/figures'
import { cellText, type Column, numberAt } from '@/intake/sheet/columns'
import { readTypedSheet } from '@/intake/sheet/typedSheet'
import { findSample } from '@/data/sampleRepository'
import { database } from '../keeping/database'
import { sourceOf } from '../check/documentOf'
import { codeRows, setAsideRows } from './exportSample'
import { isIdentifier } from '../identifier'
import { notFound } from '../problems'

/** More would take the server's memory; a CSV file holds any number. */
const MAX_CELLS = 2_000_000
const MS_PER_DAY = 86_400_000
const HEAD_STYLE = { fontWeight: 'bold' } as const

type Cell = Readonly<{
  value: string | number | Date
  type: StringConstructor | NumberConstructor | DateConstructor
  format?: string
  fontWeight?: 'bold'
}> | null

/** A sample as a workbook (XLSX): its sheet, its columns and codes, and what is set aside. No cell is a formula. */
export async function exportWorkbook(
  sampleId: string,
): Promise<Outcome<Readonly<{ name: string; bytes: Uint8Array }>>> {
  const db = await database()
  const sample = isIdentifier(sampleId) ? await findSample(db, sampleId) : undefined
  if (!sample) return failure(notFound('sample', sampleId))
  const { sheet } = sourceOf(db, sample)
  const { columns, rowCount } = sheet
    ? { columns: await sheet.columns(), rowCount: sheet.rowCount }
    : readTypedSheet(sample.draft)
  if (columns.length * rowCount > MAX_CELLS) return failure(tooMany(columns.length * rowCount))
  const rows = Array.from({ length: rowCount }, (_, row) => columns.map((column) => cellOf(column, row)))
  const texts = (all: readonly (readonly string[])[]) => all.map((row) => row.map(textCell))
  const book = [
    { sheet: 'Sheet', data: [columns.map(({ name }) => ({ ...textCell(name)!, ...HEAD_STYLE })), ...rows] },
    { sheet: 'Columns', data: texts(codeRows(sample)) },
    { sheet: 'Set aside', data: texts(setAsideRows(sample)) },
  ]
  const bytes = new Uint8Array(await writeXlsxFile(book as never).toBuffer())
  return success({ name: `${sample.draft.name || 'sample'}.xlsx`, bytes })
}

function tooMany(seen: number) {
  const message = `The sheet has ${formatCount(seen)} cells; a workbook is made of at most ${formatCount(MAX_CELLS)}. Take it as CSV.`
  return { code: 'too-many-cells', path: 'part', message }
}

function cellOf(column: Column, row: number): Cell {
  if (column.kind === 'category' || column.kind === 'text') return textCell(cellText(column, row))
  const value = numberAt(column, row)
  if (Number.isNaN(value)) return null
  return column.kind === 'number'
    ? { value, type: Number }
    : { value: new Date(value * MS_PER_DAY), type: Date, format: 'yyyy-mm-dd' }
}

/** A workbook has room for no other control characters than these. */
function textCell(text: string): Cell {
  const value = text.replace(/[\0-\u0008\u000b\u000c\u000e-\u001f]/g, '\ufffd')
  return value === '' ? null : { value, type: String }
}
