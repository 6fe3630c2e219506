import 'server-only'
import { readCodes } from '@/desk/codes'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { findSample, type StoredSample } from '@/data/sampleRepository'
import { findColumnHeads, readColumn } from '@/data/sheetRepository'
import { columnOfBytes } from '@/intake/sheet/columnBytes'
import { cellWriter } from '@/intake/sheet/cellWriter'
import type { Column } from '@/intake/sheet/columns'
import { harmlessCell } from '@/intake/sheet/csvText'
import { typedCells } from '@/intake/sheet/typedSheet'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'
import { notFound } from '../problems'

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

/** A sheet by its rows, whose cells are as they are written. */
type Sheet = Readonly<{ rowCount: number; cellsAt: (row: number) => readonly string[] }>

function fileSheet(rowCount: number, columns: readonly Column[]): Sheet {
  const cells = columns.map((column) => cellWriter(column, harmlessCell))
  return { rowCount, cellsAt: (row) => cells.map((cellAt) => cellAt(row)) }
}

function typedSheet({ draft }: StoredSample): Sheet {
  const cells = draft.kind === 'typed' ? typedCells(draft) : []
  return { rowCount: cells.length, cellsAt: (row) => cells[row]!.map(harmlessCell) }
}

function namesOf({ draft }: StoredSample): readonly string[] {
  return draft.columns.length === 0 ? ['readings'] : draft.columns.map(({ name }) => name)
}

const joined = (written: readonly string[]) => `${written.join(',')}\r\n`
const line = (cells: readonly string[]) => joined(cells.map(harmlessCell))

function* sheetLines(sample: StoredSample, { rowCount, cellsAt }: Sheet): Generator<string> {
  yield line(namesOf(sample))
  for (let from = 0; from < rowCount; from += ROWS_AT_ONCE) {
    const rows = Array.from({ length: Math.min(ROWS_AT_ONCE, rowCount - from) }, (_, at) =>
      joined(cellsAt(from + at)),
    )
    yield rows.join('')
  }
}

function* codeLines(sample: StoredSample): Generator<string> {
  for (const cells of codeRows(sample)) yield line(cells)
}

function* asideLines(sample: StoredSample, { rowCount, cellsAt }: Sheet): Generator<string> {
  for (const [at, cells] of setAsideRows(sample).entries()) {
    const row = sample.draft.setAside[at - 1]?.row
    const own = row === undefined ? namesOf(sample).map(harmlessCell) : row < rowCount ? cellsAt(row) : []
    yield joined([...cells.map(harmlessCell), ...own])
  }
}

/** The columns of a sample, each with its label and unit and, a line each, what its codes mean. */
export function codeRows({ draft }: StoredSample): readonly (readonly string[])[] {
  return [
    ['column', 'label', 'unit', 'kind', 'code', 'meaning'],
    ...draft.columns.flatMap(({ name, label, unit, kind, codes }) => [
      [name, label, unit, kind, '', ''],
      ...readCodes(codes).map(({ code, meaning }) => [name, '', '', '', code, meaning]),
    ]),
  ]
}

/** What is set aside of a sample, with why and by whom. */
export function setAsideRows({ draft }: StoredSample): readonly (readonly string[])[] {
  return [
    ['row', 'reason', 'set aside by'],
    ...draft.setAside.map(({ row, reason, by }) => [String(row + 1), reason, by]),
  ]
}
