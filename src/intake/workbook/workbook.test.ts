import fc from 'fast-check'
import Papa from 'papaparse'
import { isWorkbook, readWorkbook, type WorkbookChoice } from './workbook'
import { xlsxOf, odsOf, row, cell, bareXlsx, type Cells } from '@tests/workbooks'

async function rowsOf(
  bytes: Uint8Array,
  sheet?: string,
  choice: WorkbookChoice = {},
): Promise<readonly (readonly string[])[]> {
  const read = readWorkbook(bytes, { sheet, ...choice })
  if (!read.ok || !read.value.csv.ok) throw new Error('a problem where rows were expected')
  return Papa.parse<string[]>(new TextDecoder().decode(read.value.csv.value), {
    delimiter: ',',
    skipEmptyLines: false,
  }).data.slice(0, -1)
}

test('numbers, texts, dates and truth values of an XLSX workbook are read as they stand', async () => {
  const bytes = await xlsxOf([
    { sheet: 'Cover', data: [['made by', 'somebody']] },
    {
      sheet: 'Weighings',
      data: [
        ['depot', 'mass', 'day', 'late'],
        ['North quay, “7”', 14.93, new Date(Date.UTC(2026, 0, 14)), true],
        ['a < b & c', -1.5e-7, new Date(Date.UTC(2026, 0, 15, 9, 30)), false],
        [null, 15, null, null],
      ],
    },
  ])
  expect(isWorkbook(bytes)).toBe(true)
  expect(await rowsOf(bytes)).toEqual([['made by', 'somebody']])
  const rows = await rowsOf(bytes, 'Weighings')
  expect(rows.map(([depot, mass, day, late]) => [depot, mass && Number(mass), day, late])).toEqual([
    ['depot', NaN, 'day', 'late'],
    ['North quay, “7”', 14.93, '2026-01-14', 'true'],
    ['a < b & c', -1.5e-7, '2026-01-15 09:30', 'false'],
    ['', 15, '', ''],
  ])
  const named = readWorkbook(bytes, { sheet: 'Weighings' })
  expect(named.ok && named.value.sheets).toEqual(['Cover', 'Weighings'])
})

test('what is written into an XLSX workbook is read back, every double to its last bit', async () => {
  const text = fc
    .string({ unit: 'grapheme-ascii', minLength: 1, maxLength: 12 })
    .map((one) => `x${one.trim()}`)
  const number = fc.double({ noNaN: true, noDefaultInfinity: true }).filter((one) => !Object.is(one, -0))
  const rows = fc.array(fc.tuple(text, number), { minLength: 1, maxLength: 6 })
  await fc.assert(
    fc.asyncProperty(rows, async (data) => {
      const read = await rowsOf(await xlsxOf([{ sheet: 'A', data }]))
      expect(read.map(([first, second]) => [first, Number(second)])).toEqual(data)
    }),
    { numRuns: 60 },
  )
})

test('an ODS workbook is read by what its cells hold, not by how they look', async () => {
  const bytes = odsOf(
    row(cell('office:value-type="string"', 'mass'), cell('office:value-type="string"', 'day'), cell('')) +
      row(
        cell('office:value-type="float" office:value="14.93"', '14,9'),
        cell('office:value-type="date" office:date-value="2026-01-14T00:00:00"', '14 Jan'),
      ) +
      `<table:table-row table:number-rows-repeated="2">${cell('office:value-type="percentage" office:value="0.45" table:number-columns-repeated="2"', '45 %')}</table:table-row>` +
      `<table:table-row table:number-rows-repeated="1048570">${cell('table:number-columns-repeated="16384"')}</table:table-row>`,
  )
  expect(await rowsOf(bytes, 'Log')).toEqual([
    ['mass', 'day'],
    ['14.93', '2026-01-14'],
    ['0.45', '0.45'],
    ['0.45', '0.45'],
  ])
})

test('a text of several lines and a note beside it', async () => {
  const noted = `<table:table-cell office:value-type="string"><office:annotation><text:p>by hand</text:p></office:annotation><text:p>one<text:s text:c="2"/>two</text:p><text:p>three</text:p></table:table-cell>`
  expect(await rowsOf(odsOf(row(noted)), 'Log')).toEqual([['one  two\nthree']])
})

test('rows and cells that are left out are empty', async () => {
  const bytes = bareXlsx(
    '<row r="2"><c r="B2"><v>1</v></c><c r="D2" t="inlineStr"><is><t>x</t></is></c></row>',
  )
  expect(await rowsOf(bytes)).toEqual([['', '1', '', 'x']])
  expect(await rowsOf(bytes, undefined, { firstRow: 1 })).toEqual([
    ['', '', '', ''],
    ['', '1', '', 'x'],
  ])
})

test('far empty rows and cells count only where something follows them', async () => {
  const far =
    '<table:table-row table:number-rows-repeated="1048000"><table:table-cell table:number-columns-repeated="16384"/></table:table-row>'
  const one =
    '<table:table-row><table:table-cell office:value-type="float" office:value="1"/><table:table-cell table:number-columns-repeated="16383"/></table:table-row>'
  const gap = '<table:table-row table:number-rows-repeated="2000"><table:table-cell/></table:table-row>'
  expect(await rowsOf(odsOf(`${one}${far}`), 'Log')).toEqual([['1']])
  const read = readWorkbook(odsOf(`${one}${gap}${one}${far}`), { sheet: 'Log' })
  expect(read.ok && read.value.part).toEqual({ firstRow: 1, lastRow: 2002, rowCount: 2002 })
})

const notesOf = async (bytes: Uint8Array, choice: WorkbookChoice = {}) => {
  const read = readWorkbook(bytes, { sheet: 'Log', ...choice })
  if (!read.ok) throw new Error('a problem where a sheet was expected')
  return read.value
}

test('of formulas the values are taken, and it is told how many there are and which', async () => {
  const cells = (at: number) =>
    `<c r="A${at}"><v>${at}</v></c><c r="B${at}"><f>A${at}*2</f><v>${2 * at}</v></c>`
  const bytes = bareXlsx([1, 2, 3, 4].map((at) => `<row r="${at}">${cells(at)}</row>`).join(''))
  expect(await rowsOf(bytes)).toEqual([1, 2, 3, 4].map((at) => [String(at), String(2 * at)]))
  expect((await notesOf(bytes)).notes.formulas).toEqual({
    count: 4,
    examples: ['B1: =A1*2', 'B2: =A2*2', 'B3: =A3*2'],
  })
  const ods = odsOf(
    row(cell(''), cell('office:value-type="float" office:value="3" table:formula="of:=[.A1]+1"', '3')),
  )
  expect((await notesOf(ods)).notes.formulas).toEqual({ count: 1, examples: ['B1: =[.A1]+1'] })
})

test('a title above the table and a total below it are left out, unless somebody says otherwise', async () => {
  const data = [['Weighings of line 2'], [], ['sack', 'mass'], ['a', 14.9], ['b', 15.1], ['Total', 30]]
  const bytes = await xlsxOf([{ sheet: 'Log', data: data as Cells }])
  expect(await rowsOf(bytes)).toEqual([
    ['sack', 'mass'],
    ['a', '14.9'],
    ['b', '15.1'],
  ])
  expect((await notesOf(bytes)).part).toEqual({ firstRow: 3, lastRow: 5, rowCount: 6 })
  expect(await rowsOf(bytes, 'Log', { firstRow: 4, lastRow: 6 })).toEqual([
    ['a', '14.9'],
    ['b', '15.1'],
    ['Total', '30'],
  ])
})

test('hidden rows and columns, merged cells and filters are told of, and hidden rows are asked about', async () => {
  const inside = (['mass', 14.9, 15.1, 15.2] as const)
    .map((value, at) => {
      const one = at === 0 ? `t="inlineStr"><is><t>${value}</t></is>` : `><v>${value}</v>`
      return `<row r="${at + 1}"${at === 2 ? ' hidden="1"' : ''}><c r="A${at + 1}" ${one}</c></row>`
    })
    .join('')
  const bytes = bareXlsx(
    `${inside}</sheetData><cols><col min="2" max="3" hidden="1"/></cols><autoFilter ref="A1"/><mergeCells><mergeCell ref="A1:B1"/></mergeCells><sheetData>`,
  )
  expect(await notesOf(bytes)).toMatchObject({
    notes: { hiddenRows: [3], hiddenColumns: 2, merged: 1, isFiltered: true },
    askedRows: 1,
  })
  expect(await rowsOf(bytes, 'Log', { hiddenRows: 'left-out' })).toEqual([['mass'], ['14.9'], ['15.2']])
  expect(await notesOf(bytes, { hiddenRows: 'taken' })).toMatchObject({ askedRows: 0 })
  const ods = odsOf(
    `<table:table-column table:visibility="collapse" table:number-columns-repeated="2"/>${row(cell('office:value-type="float" office:value="1"'))}<table:table-row table:visibility="filter">${cell('office:value-type="float" office:value="2" table:number-rows-spanned="2"')}</table:table-row>`,
  )
  expect((await notesOf(ods)).notes).toMatchObject({
    ...{ hiddenRows: [2], hiddenColumns: 2, merged: 1, isFiltered: true },
  })
})
