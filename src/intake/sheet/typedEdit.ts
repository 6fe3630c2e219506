import { type ColumnWords, columnNamed, type SampleDraft, type SetAside } from '@/desk/sampleDraft'
import { daysMeant } from '../reading/date'
import { readNumber } from '../reading/number'
import { readReadings } from '../reading/readings'
import { trimmed } from '../reading/trimmed'
import { MAX_COLUMNS } from '@/desk/sampleDraft'
import { READINGS_COLUMN, readTypedSheet, typedCells, writingOf } from './typedSheet'

export type Cells = readonly (readonly string[])[]
type Typed = Pick<SampleDraft, 'readings' | 'decimalMark' | 'columns' | 'setAside'>
export type TypedChange = Pick<SampleDraft, 'readings' | 'columns' | 'setAside'>

/**
 * Puts a block of cells into a typed sheet, its first cell at a place; rows and columns are added where the block reaches
 * further. A block with names above its numbers, put into an empty sheet, names the columns.
 */
export function putBlock(
  sample: Typed,
  at: Readonly<{ row: number; column: number }>,
  block: Cells,
): TypedChange {
  const before = typedCells(sample)
  const known = sample.columns.length === 0 ? [READINGS_COLUMN] : sample.columns
  const width = block.reduce((most, row) => Math.max(most, row.length), 0)
  const isEmpty = before.every((row) => row.every((cell) => cell === ''))
  const [names, rows] =
    isEmpty && at.row === 0 && hasNames(sample, block) ? [block[0]!, block.slice(1)] : [[], block]
  const columns = withColumns({ sample, known, at, names, rows, width })
  const height = Math.max(before.length, at.row + rows.length)
  const cells = Array.from({ length: height }, (_, row) =>
    Array.from({ length: columns.length }, (_, column) => {
      const put = rows[row - at.row]?.[column - at.column]
      return plainCell(put ?? before[row]?.[column] ?? '')
    }),
  )
  return withCells(sample, columns, cells)
}

/**
 * A list as the sheet that its lines make: cells that tabs part, else the entries of each line where all lines have as many.
 *
 * @returns undefined where the lines make no sheet
 */
export function asSheet(sample: Typed): TypedChange | undefined {
  const text = sample.readings.trim()
  const lines = text.split(/\r\n|\r|\n/).filter((line) => line.trim() !== '')
  const block = text.includes('\t') ? cellsOfBlock(text) : lines.map((line) => entriesOfLine(line, sample))
  const width = block.reduce((most, row) => Math.max(most, row.length), 0)
  const isEven = text.includes('\t') || block.every((row) => row.length === width)
  if (width < 2 || width > MAX_COLUMNS || !isEven) return undefined
  const [column] = sample.columns
  const empty = { ...sample, readings: '', columns: column ? [{ ...column, readAs: [] }] : [], setAside: [] }
  return { ...putBlock(empty, { row: 0, column: 0 }, block), setAside: [] }
}

const entriesOfLine = (line: string, { decimalMark, columns }: Typed): readonly string[] =>
  readReadings(line, writingOf(decimalMark, columns[0])).entries

/**
 * What changes where the text of a list is typed or pasted: lines that tabs part into columns become a sheet at once, and the
 * first line names the column where it does.
 */
export function changeOfReadings(sample: Typed, readings: string): Partial<TypedChange> {
  const changed = { ...sample, readings }
  const wasSheet = sample.readings.includes('\t')
  const sheet = !wasSheet && hasTabsOnTwoLines(readings) ? asSheet(changed) : undefined
  if (sheet) return sheet
  const before = headerOf(sample) ?? READINGS_COLUMN.name
  const header = headerOf(changed)
  const [column = READINGS_COLUMN] = sample.columns
  const isNamed = header !== undefined && header !== column.name && column.name === before
  return isNamed ? { readings, columns: [{ ...column, name: header.slice(0, NAME_LENGTH) }] } : { readings }
}

const hasTabsOnTwoLines = (text: string): boolean =>
  /[\r\n]/.test(text.slice(text.indexOf('\t'), text.lastIndexOf('\t') + 1))

/** As long as the name of a column may be. */
const NAME_LENGTH = 500
/** So many characters of a list tell whether its first line names the column. */
const HEAD_LENGTH = 2000

const headerOf = (sample: Typed): string | undefined =>
  readTypedSheet({ ...sample, readings: sample.readings.slice(0, HEAD_LENGTH) }).header

/** Puts one text into one cell. */
export function putCell(
  sample: Typed,
  at: Readonly<{ row: number; column: number }>,
  text: string,
): TypedChange {
  return putBlock({ ...sample }, at, [[text]])
}

/** Takes rows out of a typed sheet. */
export function takeOutRows(sample: Typed, from: number, to: number): TypedChange {
  const cells = typedCells(sample).filter((_, row) => row < from || row > to)
  return withCells(sample, sample.columns, cells)
}

/** Adds an empty column behind the others. */
export function addColumn(sample: Typed): TypedChange {
  const known = sample.columns.length === 0 ? [READINGS_COLUMN] : sample.columns
  const columns = [...known, columnNamed(freeName(known), 'category')]
  const cells = typedCells(sample).map((row) => columns.map((_, at) => row[at] ?? ''))
  return withCells(sample, columns, cells)
}

/**
 * What stays set aside after a typed sheet has changed: rows before and behind the change move with their readings, and one
 * that was changed in its place stays; one that is gone is set aside no more.
 */
export function moveSetAside(setAside: readonly SetAside[], before: Cells, after: Cells): SetAside[] {
  const same = (a: readonly string[] | undefined, b: readonly string[] | undefined) =>
    a?.join('\t') === b?.join('\t')
  const shorter = Math.min(before.length, after.length)
  let head = 0
  while (head < shorter && same(before[head], after[head])) head += 1
  let tail = 0
  while (tail < shorter - head && same(before[before.length - 1 - tail], after[after.length - 1 - tail]))
    tail += 1
  const shift = after.length - before.length
  return setAside.flatMap((one) => {
    if (one.row < head) return [one]
    if (one.row >= before.length - tail) return [{ ...one, row: one.row + shift }]
    return shift === 0 ? [one] : []
  })
}

function withCells(sample: Typed, columns: readonly ColumnWords[], cells: Cells): TypedChange {
  const used = cells.findLastIndex((row) => row.some((cell) => cell !== '')) + 1
  const rows = cells.slice(0, used)
  const readings = rows.map((row) => row.join('\t')).join('\n')
  const followed =
    columns.length < 2 ? [...columns] : columns.map((column, at) => following(sample, column, rows, at))
  const changed = { ...sample, columns: followed, readings }
  return {
    readings,
    columns: followed,
    setAside: moveSetAside(sample.setAside, typedCells(sample), typedCells(changed)),
  }
}

function hasNames({ decimalMark }: Typed, [first, second]: Cells): boolean {
  const isNumber = (cell: string) => readNumber(trimmed(cell), decimalMark).ok
  return (
    !!first &&
    !!second &&
    !first.some(isNumber) &&
    second.some(isNumber) &&
    new Set(first).size === first.length
  )
}

function withColumns(
  input: Readonly<{
    sample: Typed
    known: readonly ColumnWords[]
    at: Readonly<{ column: number }>
    names: readonly string[]
    rows: Cells
    width: number
  }>,
): readonly ColumnWords[] {
  const { sample, known, at, names, rows, width } = input
  const columns = [...known]
  for (let place = 0; place < width; place += 1) {
    const column = at.column + place
    const kind = kindOf(
      rows.map((row) => row[place] ?? ''),
      sample,
    )
    const name = trimmed(names[place] ?? '')
    const isTaken = columns.some((one, other) => other !== column && one.name === name)
    const isNew = column >= columns.length
    if (isNew) columns.push(columnNamed(name && !isTaken ? name : freeName(columns), kind))
    else if (names.length > 0)
      columns[column] = { ...columns[column]!, kind, ...(name && !isTaken ? { name } : {}) }
  }
  return columns
}

/** A column whose kind follows its cells, until somebody says what it is. */
function following(sample: Typed, column: ColumnWords, rows: Cells, at: number): ColumnWords {
  const cells = rows.map((row) => row[at] ?? '')
  if (column.isKindSaid || cells.every((cell) => cell === '')) return column
  return { ...column, kind: kindOf(cells, sample) }
}

/** The kind that more than half of the cells fit, so that a slip in one of them is no text among numbers. */
function kindOf(cells: readonly string[], { decimalMark }: Typed): ColumnWords['kind'] {
  const texts = cells.map(trimmed).filter((cell) => cell !== '')
  const fitsMost = (fits: (cell: string) => boolean) => 2 * texts.filter(fits).length > texts.length
  if (fitsMost((cell) => readNumber(cell, decimalMark).ok)) return 'number'
  return fitsMost((cell) => daysMeant(cell).length > 0) ? 'date' : 'category'
}

function freeName(columns: readonly ColumnWords[]): string {
  let number = columns.length + 1
  while (columns.some(({ name }) => name === `column ${number}`)) number += 1
  return `column ${number}`
}

/** A cell without what would part it from itself. */
const plainCell = (text: string): string => text.replace(/[\t\r\n]+/g, ' ').trim()

/** The cells of a block as a spreadsheet puts it on the clipboard: tabs between cells, quotes round those with line ends. */
export function cellsOfBlock(text: string): Cells {
  const rows: string[][] = [[]]
  const cell = /"((?:[^"]|"")*)"(?=[\t\r\n]|$)|[^\t\r\n]*/y
  for (let at = 0; ;) {
    cell.lastIndex = at
    const [whole, quoted] = cell.exec(text)!
    rows.at(-1)!.push(quoted === undefined ? whole : quoted.replaceAll('""', '"'))
    at += whole.length
    if (at >= text.length) break
    if (text[at] === '\t') at += 1
    else {
      at += text.startsWith('\r\n', at) ? 2 : 1
      if (at >= text.length) break
      rows.push([])
    }
  }
  return rows
}
