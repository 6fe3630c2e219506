import { strToU8, zipSync } from 'fflate'
import { readWorkbook, type WorkbookChoice } from './workbook'
import { bareXlsx, odsOf, row, cell, xlsxOf } from '@tests/workbooks'

async function problemOf(bytes: Uint8Array, sheet?: string, choice: WorkbookChoice = {}) {
  const read = readWorkbook(bytes, { sheet, ...choice })
  if (!read.ok) return read.problem
  if (read.value.csv.ok) throw new Error('a sheet where a problem was expected')
  return read.value.csv.problem
}

/** The sheet in question, where there is one of that name. */
async function sheetIn(bytes: Uint8Array): Promise<string | undefined> {
  const read = readWorkbook(bytes)
  return read.ok && read.value.sheets.includes('Log') ? 'Log' : undefined
}

test.each([
  [
    'a formula that was never computed',
    bareXlsx('<row r="1"><c r="A1"><v>1</v></c><c r="B1"><f>A1*2</f></c></row>'),
    'workbook-formula',
    /B1 of the sheet “Log” holds a formula \(A1\*2\) that was never computed/,
  ],
  [
    'an error',
    bareXlsx('<row r="1"><c r="A1" t="e"><v>#DIV/0!</v></c></row>'),
    'workbook-error',
    /A1.*#DIV\/0!/,
  ],
  [
    'an ODS formula that was never computed',
    odsOf(row(cell(''), cell('table:formula="of:=[.A1]+1"'))),
    'workbook-formula',
    /B1/,
  ],
  ['no cells', bareXlsx(''), 'file-empty', /empty/],
  [
    'rows without end',
    bareXlsx('<row r="99999999"><c><v>1</v></c></row>'),
    'workbook-too-large',
    /1048576 rows/,
  ],
  [
    'one cell far to the right and one far down',
    bareXlsx('<row r="1"><c r="NH1"><v>1</v></c></row><row r="1048576"><c r="A1048576"><v>2</v></c></row>'),
    'workbook-too-large',
    /372 columns wide and at least 1048576 rows long, which makes 390070272 cells; at most 30000000 are read. Often one cell stands far out/,
  ],
  [
    'cells that stand for more than a table holds',
    odsOf(
      `<table:table-row table:number-rows-repeated="1048576"><table:table-cell office:value-type="float" office:value="1" table:number-columns-repeated="16384"/></table:table-row>`,
    ),
    'workbook-too-large',
    /16384 columns wide and at least 1048576 rows long/,
  ],
  [
    'texts that come to more than a file may have',
    odsOf(
      `<table:table-row table:number-rows-repeated="1000000"><table:table-cell office:value-type="string"><text:p>${'x'.repeat(300)}</text:p></table:table-cell></table:table-row>`,
    ),
    'workbook-too-large',
    /has 300 MB; at most 269 MB/,
  ],
  [
    'a cell beyond the last column',
    bareXlsx('<row r="1"><c r="A1"><v>1</v></c><c r="XFE1"><v>2</v></c></row>'),
    'workbook-too-large',
    /beyond its column 16384/,
  ],
  [
    'an ODS cell beyond the last column',
    odsOf(
      row(
        '<table:table-cell table:number-columns-repeated="16384"/><table:table-cell office:value-type="float" office:value="1"/>',
      ),
    ),
    'workbook-too-large',
    /beyond its column 16384/,
  ],
  [
    'a row that stands in it twice',
    bareXlsx('<row r="2"><c r="A2"><v>1</v></c></row><row r="2"><c r="A2"><v>2</v></c></row>'),
    'workbook-damaged',
    /row 2 stands in it twice/,
  ],
  [
    'a row out of its order',
    bareXlsx('<row r="5"><c r="A5"><v>1</v></c></row><row r="2"><c r="A2"><v>2</v></c></row>'),
    'workbook-damaged',
    /row 2 stands in it twice, or out of its order/,
  ],
  [
    'a cell that stands in it twice',
    bareXlsx('<row r="1"><c r="A1"><v>1</v></c><c r="A1"><v>2</v></c></row>'),
    'workbook-damaged',
    /cell A1 stands in it twice/,
  ],
  ['a row without a number', bareXlsx('<row r="x"><c><v>1</v></c></row>'), 'workbook-damaged', /“x”/],
  ['a cell without a place', bareXlsx('<row r="1"><c r="1"><v>1</v></c></row>'), 'workbook-damaged', /“1”/],
  [
    'rows that are repeated less than not at all',
    odsOf('<table:table-row table:number-rows-repeated="-1"><table:table-cell/></table:table-row>'),
    'workbook-damaged',
    /“-1”/,
  ],
  ['no sheet', zipSync({ 'readme.txt': strToU8('hello') }), 'file-not-workbook', /no XLSX or ODS/],
  ['broken XML', bareXlsx('<row><c></row>'), 'workbook-damaged', /damaged/],
  ['half an archive', bareXlsx('').slice(0, 60), 'workbook-damaged', /damaged/],
])('a workbook with %s is refused with the place', async (_, bytes, code, message) => {
  const problem = await problemOf(bytes, await sheetIn(bytes))
  expect(problem.code).toBe(code)
  expect(problem.message).toMatch(message)
})

test('a workbook that unpacks to more than a memory holds is refused before it is unpacked', async () => {
  const bytes = bareXlsx('')
  // The central directory states the size of each part: the last one is made to state 4 GB.
  const view = new DataView(bytes.buffer)
  let at = bytes.length - 22
  at = view.getUint32(at + 16, true)
  view.setUint32(at + 24, 4_000_000_000, true)
  expect((await problemOf(bytes)).code).toBe('workbook-too-large')
})

test('an entity that would unfold without end is not unfolded', async () => {
  const bomb = zipSync({
    'content.xml': strToU8(
      '<!DOCTYPE a [<!ENTITY x "aaaaaaaaaa"><!ENTITY y "&x;&x;&x;&x;&x;&x;&x;&x;&x;&x;">]><office:document-content>&y;</office:document-content>',
    ),
  })
  expect((await problemOf(bomb)).code).toBe('workbook-damaged')
})

test('a sheet that is not there is named, with those that are', async () => {
  expect((await problemOf(await xlsxOf([{ sheet: 'A', data: [['x']] }]), 'B')).message).toContain(
    'It has: A.',
  )
})
