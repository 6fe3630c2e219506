import 'server-only'
import { readCodes } from '@/core/sample/codes'
import { failure, type Outcome, success } from '@/core/outcome'
import { findSample, type StoredSample } from '@/data/sampleRepository'
import { findColumnHeads, readColumn } from '@/data/sheetRepository'
import { columnOfBytes } from '@/intake/sheet/columnBytes'
import { cellText, type Column } from '@/intake/sheet/columns'
import { harmlessCell } from '@/intake/sheet/csvText'
import { typedCells } from '@/intake/sheet/typedSheet'
import { database } from './database'
import { isIdentifier } from './identifier'
import { notFound } from './problems'

export const EXPORT_PARTS = ['sheet', 'codes', 'set-aside'] as const
export type ExportPart = (typeof EXPORT_PARTS)[number]

const ROWS_AT_ONCE = 5000

/**
 * A part of a sample as lines of CSV (RFC 4180, UTF-8): its sheet; its columns with their labels, units and codes; or what is
 * set aside, with who and why. Cells that a spreadsheet would run as a formula are made harmless.
 */
export async function exportSample(
  sampleId: string,
  part: ExportPart,
): Promise<Outcome<Readonly<{ name: string; lines: Iterable<string> }>>> {
  const db = await database()
  const sample = isIdentifier(sampleId) ? await findSample(db, sampleId) : undefined
  if (!sample) return failure(notFound('sample', sampleId))
  const name = sample.draft.name || 'sample'
  if (part === 'codes') return success({ name: `${name}, columns`, lines: codeLines(sample) })
  const columns: Column[] = []
  for (const head of sample.file ? await findColumnHeads(db, sampleId) : [])
    columns.push(columnOfBytes(await readColumn(db, sampleId, head)))
  const sheet = sample.file ? fileSheet(sample.file.rowCount, columns) : typedSheet(sample)
  if (part === 'set-aside') return success({ name: `${name}, set aside`, lines: asideLines(sample, sheet) })
  return success({ name, lines: sheetLines(sample, sheet) })
}

type Sheet = Readonly<{ rowCount: number; cellsAt: (row: number) => readonly string[] }>

function fileSheet(rowCount: number, columns: readonly Column[]): Sheet {
  return { rowCount, cellsAt: (row) => columns.map((column) => cellText(column, row)) }
}

function typedSheet({ draft }: StoredSample): Sheet {
  const cells = draft.kind === 'typed' ? typedCells(draft) : []
  return { rowCount: cells.length, cellsAt: (row) => cells[row]! }
}

function namesOf({ draft }: StoredSample): readonly string[] {
  return draft.columns.length === 0 ? ['readings'] : draft.columns.map(({ name }) => name)
}

const line = (cells: readonly string[]) => `${cells.map(harmlessCell).join(',')}\r\n`

function* sheetLines(sample: StoredSample, { rowCount, cellsAt }: Sheet): Generator<string> {
  yield line(namesOf(sample))
  for (let from = 0; from < rowCount; from += ROWS_AT_ONCE) {
    const rows = Array.from({ length: Math.min(ROWS_AT_ONCE, rowCount - from) }, (_, at) =>
      line(cellsAt(from + at)),
    )
    yield rows.join('')
  }
}

function* codeLines({ draft }: StoredSample): Generator<string> {
  yield line(['column', 'label', 'unit', 'kind', 'code', 'meaning'])
  for (const { name, label, unit, kind, codes } of draft.columns) {
    yield line([name, label, unit, kind, '', ''])
    for (const { code, meaning } of readCodes(codes)) yield line([name, '', '', '', code, meaning])
  }
}

function* asideLines(sample: StoredSample, { rowCount, cellsAt }: Sheet): Generator<string> {
  yield line(['row', 'reason', 'set aside by', ...namesOf(sample)])
  for (const { row, reason, by } of sample.draft.setAside)
    yield line([String(row + 1), reason, by, ...(row < rowCount ? cellsAt(row) : [])])
}
