import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { dateText } from '../reading/date'
import { workbookProblems } from './workbookProblems'
import { MAX_COLUMNS, NoteTaker, RowKeeper, type WorkbookRows } from './workbookRows'
import { countOf, localName, readXml } from './xml'
import type { Zip } from './zip'

/** Days from 1899-12-30, the day 0 of most workbooks, to 1970-01-01; and from 1904-01-01, that of some. */
const DAYS_1900 = 25_569
const DAYS_1904 = 24_107
/** Number formats that show dates, built in (ISO/IEC 29500-1, 18.8.30). */
const DATE_FORMATS = new Set([14, 15, 16, 17, 18, 19, 20, 21, 22, 45, 46, 47])

/** Reads one sheet of an XLSX workbook. */
export function readSpreadsheetMl(zip: Zip, wanted: string | undefined): Outcome<WorkbookRows> {
  const book = readBook(zip)
  const sheets = book.sheets.map(({ name }) => name)
  const chosen = wanted === undefined ? book.sheets[0] : book.sheets.find(({ name }) => name === wanted)
  if (!chosen) return failure(workbookProblems.noSuchSheet(wanted ?? '', sheets))
  const context: Context = {
    sheet: chosen.name,
    texts: zip.has('xl/sharedStrings.xml') ? sharedTexts(zip.text('xl/sharedStrings.xml')) : [],
    isDate: zip.has('xl/styles.xml') ? dateStyles(zip.text('xl/styles.xml')) : () => false,
    firstDay: book.firstDay,
    notes: new NoteTaker(),
  }
  const rows = readSheet(zip.text(chosen.part), context)
  return success({ sheets, sheet: chosen.name, rows, notes: context.notes.notes })
}

function readBook(zip: Zip) {
  const targets = new Map<string, string>()
  readXml(zip.text('xl/_rels/workbook.xml.rels'), {
    open: (_, { Id, Target }) => {
      if (Id !== undefined && Target !== undefined) targets.set(Id, Target.replace(/^\/?(xl\/)?/, 'xl/'))
    },
  })
  const sheets: { name: string; part: string }[] = []
  let firstDay = DAYS_1900
  readXml(zip.text('xl/workbook.xml'), {
    open: (tag, attributes) => {
      const name = localName(tag)
      if (name === 'workbookPr' && /^(1|true)$/.test(attributes.date1904 ?? '')) firstDay = DAYS_1904
      if (name === 'sheet')
        sheets.push({ name: attributes.name ?? '', part: targets.get(attributes['r:id'] ?? '') ?? '' })
    },
  })
  return { sheets, firstDay }
}

/** Texts that cells refer to by their number; how a word is pronounced is no part of it. */
function sharedTexts(xml: Iterable<string>): readonly string[] {
  const texts: string[] = []
  let [isText, isPhonetic] = [false, false]
  readXml(xml, {
    open: (tag) => {
      const name = localName(tag)
      if (name === 'si') texts.push('')
      if (name === 'rPh') isPhonetic = true
      isText = name === 't' && !isPhonetic
    },
    close: (tag) => {
      if (localName(tag) === 'rPh') isPhonetic = false
      isText = false
    },
    text: (text) => {
      if (isText) texts[texts.length - 1] += text
    },
  })
  return texts
}

/** Which cell styles show dates. */
function dateStyles(xml: Iterable<string>): (style: number) => boolean {
  const custom = new Set<number>()
  const styles: number[] = []
  let isCellStyle = false
  readXml(xml, {
    open: (tag, attributes) => {
      const name = localName(tag)
      if (name === 'numFmt' && isDateFormat(attributes.formatCode ?? ''))
        custom.add(Number(attributes.numFmtId))
      if (name === 'cellXfs') isCellStyle = true
      if (name === 'xf' && isCellStyle) styles.push(Number(attributes.numFmtId ?? 0))
    },
    close: (tag) => {
      if (localName(tag) === 'cellXfs') isCellStyle = false
    },
  })
  return (style) => {
    const format = styles[style] ?? 0
    return DATE_FORMATS.has(format) || custom.has(format)
  }
}

/** Twice what the standard (ECMA-376, 18.8.30) lets a format have; a longer one is no date’s. */
const LONGEST_FORMAT = 510

/** A format with a day, a month, a year or an hour in it, outside of quoted texts, colours and currencies. */
function isDateFormat(code: string): boolean {
  return (
    code.length <= LONGEST_FORMAT &&
    /[dmyhs]/i.test(code.replace(/"[^"]*"|\\.|\[(?!(h+|m+|s+)\])[^\]]*\]|general/gi, ''))
  )
}

type Context = Readonly<{
  sheet: string
  texts: readonly string[]
  isDate: (style: number) => boolean
  firstDay: number
  notes: NoteTaker
}>

type Cell = Readonly<{ at: string; type: string; style: number }>

function readSheet(xml: Iterable<string>, context: Context): WorkbookRows['rows'] {
  const keeper = new RowKeeper()
  let row: string[] = []
  let cell: Cell = { at: '', type: 'n', style: 0 }
  let [value, column, part] = ['', 0, '']
  let [formula, isPhonetic]: [string | undefined, boolean] = [undefined, false]
  readXml(xml, {
    open: (tag, attributes) => {
      const name = localName(tag)
      if (name === 'row') {
        const number =
          attributes.r === undefined ? keeper.height + 1 : countOf(attributes.r, 'a row’s number')
        if (number <= keeper.height) keeper.fail(workbookProblems.twice(`row ${number}`))
        keeper.skipTo(number)
        ;[row, column] = [[], 0]
        if (isOn(attributes.hidden)) context.notes.hiddenRow(number)
      } else if (name === 'c') {
        column = attributes.r === undefined ? column : columnOf(attributes.r)
        cell = { at: attributes.r ?? '', type: attributes.t ?? 'n', style: Number(attributes.s ?? 0) }
        ;[value, formula] = ['', undefined]
      } else if (name === 'rPh') isPhonetic = true
      else noteOf(name, attributes, context.notes)
      if (name === 'f') formula = ''
      part = name
    },
    text: (text) => {
      if (part === 'f') formula += text
      else if (part === 'v' || (part === 't' && !isPhonetic)) value += text
    },
    close: (tag) => {
      const name = localName(tag)
      part = ''
      if (name === 'rPh') isPhonetic = false
      if (name === 'row') keeper.add(row)
      if (name !== 'c') return
      if (formula !== undefined) context.notes.formula(cell.at, formula)
      if (formula !== undefined && value === '' && cell.type !== 'str')
        keeper.fail(workbookProblems.formulaWithoutValue(cell.at, context.sheet, formula))
      if (cell.type === 'e') keeper.fail(workbookProblems.errorCell(cell.at, context.sheet, value))
      if (row[column] !== undefined) keeper.fail(workbookProblems.twice(`cell ${cell.at}`))
      if (column >= MAX_COLUMNS) keeper.fail(workbookProblems.tooManyColumns(MAX_COLUMNS))
      else row[column] = cellText(value, cell, context)
      column += 1
    },
  })
  return keeper.rows
}

const isOn = (attribute: string | undefined) => /^(1|true)$/.test(attribute ?? '')

function noteOf(name: string, attributes: Readonly<Record<string, string>>, notes: NoteTaker): void {
  if (name === 'mergeCell') notes.merge()
  if (name === 'autoFilter') notes.filter()
  if (name === 'col' && isOn(attributes.hidden))
    notes.hide(Number(attributes.max ?? 1) - Number(attributes.min ?? 1) + 1)
}

function columnOf(reference: string): number {
  const letters = /^([A-Z]{1,3})\d{1,7}$/i.exec(reference)?.[1]
  if (letters === undefined) throw new Error(`a cell’s place is “${reference.slice(0, 40)}”`)
  let column = 0
  for (const letter of letters.toUpperCase()) column = column * 26 + letter.charCodeAt(0) - 64
  return column - 1
}

function cellText(value: string, { type, style }: Cell, { texts, isDate, firstDay }: Context): string {
  if (value === '') return ''
  switch (type) {
    case 's':
      return texts[Number(value)] ?? ''
    case 'b':
      return value === '1' ? 'true' : 'false'
    case 'n':
      return isDate(style) ? dateOf(Number(value), firstDay) : value
    default:
      return value
  }
}

function dateOf(serial: number, firstDay: number): string {
  if (!Number.isFinite(serial) || Math.abs(serial) > 3_000_000) return String(serial)
  // A time of day without a date.
  if (serial >= 0 && serial < 1) return dateText(serial).split(' ')[1] ?? '00:00'
  return dateText(serial - firstDay)
}
