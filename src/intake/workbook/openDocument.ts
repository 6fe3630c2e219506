import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { workbookProblems } from './workbookProblems'
import { NoteTaker, type WorkbookRows } from './workbookRows'
import { readXml } from './xml'
import type { Zip } from './zip'

const MAX_ROWS = 1_048_576
const MAX_COLUMNS = 16_384

type Cell = { text: string; type: string; value: string; repeated: number; paragraphs: number }

/** Reads one sheet of an ODS workbook. A cell that stands for several is written out only where it holds something. */
export function readOpenDocument(zip: Zip, wanted: string | undefined): Outcome<WorkbookRows> {
  const sheets: string[] = []
  const rows: string[][] = []
  let chosen: string | undefined
  let problem: Problem | undefined
  let isWanted = false
  let [row, rowRepeated]: [string[], number] = [[], 1]
  let cell: Cell | undefined
  let isInText = 0
  let isNote = false
  const notes = new NoteTaker()
  readXml(zip.text('content.xml'), {
    open: (name, attributes) => {
      if (name === 'table:table') {
        const title = attributes['table:name'] ?? ''
        sheets.push(title)
        isWanted = chosen === undefined && (wanted === undefined || title === wanted)
        if (isWanted) chosen = title
      }
      if (!isWanted) return
      const isHidden = /^(collapse|filter)$/.test(attributes['table:visibility'] ?? '')
      if (name === 'table:table-column' && isHidden)
        notes.hide(Number(attributes['table:number-columns-repeated'] ?? 1))
      if (name === 'table:table-row') {
        row = []
        rowRepeated = Number(attributes['table:number-rows-repeated'] ?? 1)
        if (attributes['table:visibility'] === 'filter') notes.filter()
        if (isHidden)
          for (let at = 1; at <= Math.min(rowRepeated, 1000); at += 1) notes.hiddenRow(rows.length + at)
      } else if (name === 'table:table-cell' || name === 'table:covered-table-cell') {
        cell = cellOf(attributes)
        const formula = attributes['table:formula']
        const place = placeOf(row.length, rows.length)
        const isWide = [attributes['table:number-columns-spanned'], attributes['table:number-rows-spanned']]
        if (isWide.some((span) => Number(span ?? 1) > 1)) notes.merge()
        if (formula !== undefined) {
          notes.formula(place, formula.replace(/^[a-z]+:=/, ''))
          if (cell.type === '') problem ??= workbookProblems.formulaWithoutValue(place, chosen!, formula)
        }
      } else if (name === 'office:annotation') {
        isNote = true
      } else if (cell && name === 'text:p' && !isNote) {
        isInText += 1
        if (cell.paragraphs > 0) cell.text += '\n'
        cell.paragraphs += 1
      } else if (cell && name === 'text:s') cell.text += ' '.repeat(Number(attributes['text:c'] ?? 1))
    },
    text: (text) => {
      if (cell && isInText > 0 && !isNote) cell.text += text
    },
    close: (name) => {
      if (name === 'office:annotation') isNote = false
      if (name === 'text:p') isInText = Math.max(0, isInText - 1)
      if (name === 'table:table') isWanted = false
      if (!isWanted) return
      if (cell && (name === 'table:table-cell' || name === 'table:covered-table-cell')) {
        const text = textOf(cell)
        const count = Math.min(cell.repeated, MAX_COLUMNS - row.length)
        if (text !== '' || cell.repeated < 1000) for (let i = 0; i < count; i += 1) row.push(text)
        cell = undefined
      } else if (name === 'table:table-row') {
        const isEmpty = row.every((text) => text === '')
        const count = isEmpty && rowRepeated > 1000 ? 0 : rowRepeated
        if (rows.length + count > MAX_ROWS) problem ??= workbookProblems.tooManyRows(MAX_ROWS)
        else for (let i = 0; i < count; i += 1) rows.push(row)
      }
    },
  })
  if (chosen === undefined) return failure(workbookProblems.noSuchSheet(wanted ?? '', sheets))
  return success({
    sheets,
    sheet: chosen,
    rows: problem ? failure(problem) : success(rows),
    notes: notes.notes,
  })
}

function cellOf(attributes: Readonly<Record<string, string>>): Cell {
  return {
    text: '',
    type: attributes['office:value-type'] ?? '',
    value:
      attributes['office:value'] ??
      attributes['office:date-value'] ??
      attributes['office:boolean-value'] ??
      '',
    repeated: Number(attributes['table:number-columns-repeated'] ?? 1),
    paragraphs: 0,
  }
}

function textOf({ type, value, text }: Cell): string {
  if (type === 'float' || type === 'percentage' || type === 'currency' || type === 'boolean') return value
  if (type === 'date') return value.replace('T', ' ').replace(/ 00:00:00(\.0+)?$/, '')
  return text
}

/** A cell as a person names it: "C5". */
function placeOf(column: number, row: number): string {
  let letters = ''
  for (let rest = column + 1; rest > 0; rest = Math.floor((rest - 1) / 26))
    letters = String.fromCharCode(65 + ((rest - 1) % 26)) + letters
  return `${letters}${row + 1}`
}
