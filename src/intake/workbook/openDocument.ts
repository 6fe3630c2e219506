import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { workbookProblems } from './workbookProblems'
import { MAX_COLUMNS, NoteTaker, RowKeeper, type WorkbookRows } from './workbookRows'
import { countOf, readXml, type XmlTaker } from './xml'
import type { Zip } from './zip'

/** More than anybody puts into a cell in a row. */
const MAX_SPACES = 32_767

const COLUMNS_REPEATED = 'table:number-columns-repeated'

type Cell = { text: string; type: string; value: string; repeated: number; paragraphs: number }

/** Reads one sheet of an ODS workbook. A cell that stands for several is written out only where it holds something. */
export function readOpenDocument(zip: Zip, wanted: string | undefined): Outcome<WorkbookRows> {
  const sheets: string[] = []
  const keeper = new RowKeeper()
  let chosen: string | undefined
  let isWanted = false
  let [row, rowRepeated]: [string[], number] = [[], 1]
  let cell: Cell | undefined
  let isInText = 0
  let isNote = false
  const notes = new NoteTaker()
  const taker: XmlTaker = {
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
        notes.hide(countOf(attributes[COLUMNS_REPEATED], 'a number of columns'))
      if (name === 'table:table-row') {
        row = []
        rowRepeated = countOf(attributes['table:number-rows-repeated'], 'a number of rows')
        if (attributes['table:visibility'] === 'filter') notes.filter()
        if (isHidden)
          for (let at = 1; at <= Math.min(rowRepeated, 1000); at += 1) notes.hiddenRow(keeper.height + at)
      } else if (name === 'table:table-cell' || name === 'table:covered-table-cell') {
        cell = cellOf(attributes)
        const formula = attributes['table:formula']
        const place = placeOf(row.length, keeper.height)
        const isWide = [attributes['table:number-columns-spanned'], attributes['table:number-rows-spanned']]
        if (isWide.some((span) => Number(span ?? 1) > 1)) notes.merge()
        if (formula !== undefined) {
          notes.formula(place, formula.replace(/^[a-z]+:=/, ''))
          if (cell.type === '') keeper.fail(workbookProblems.formulaWithoutValue(place, chosen!, formula))
        }
      } else if (name === 'office:annotation') {
        isNote = true
      } else if (cell && name === 'text:p' && !isNote) {
        isInText += 1
        if (cell.paragraphs > 0) cell.text += '\n'
        cell.paragraphs += 1
      } else if (cell && name === 'text:s')
        cell.text += ' '.repeat(Math.min(MAX_SPACES, countOf(attributes['text:c'], 'a number of spaces')))
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
        const end = row.length + cell.repeated
        if (text !== '' && end > MAX_COLUMNS) keeper.fail(workbookProblems.tooManyColumns(MAX_COLUMNS))
        // Empty cells are counted, and made only where something follows them.
        if (text === '' || end > MAX_COLUMNS) row.length = Math.min(end, MAX_COLUMNS + 1)
        else while (row.length < end) row.push(text)
        cell = undefined
      } else if (name === 'table:table-row') keeper.add(row, rowRepeated)
    },
  }
  readXml(zip.text('content.xml'), taker)
  if (chosen === undefined) return failure(workbookProblems.noSuchSheet(wanted ?? '', sheets))
  return success({
    sheets,
    sheet: chosen,
    rows: keeper.rows,
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
    repeated: countOf(attributes[COLUMNS_REPEATED], 'a number of cells'),
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
