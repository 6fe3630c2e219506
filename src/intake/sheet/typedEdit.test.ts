import fc from 'fast-check'
import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import {
  addColumn,
  asSheet,
  type Cells,
  cellsOfBlock,
  changeOfReadings,
  moveSetAside,
  putBlock,
  putCell,
  takeOutRows,
} from './typedEdit'
import { readTypedSheet, typedCells } from './typedSheet'

const sheet = (change: Partial<SampleDraft>): SampleDraft => ({ ...EMPTY_SAMPLE, ...change })
const TWO = [columnNamed('line', 'category'), columnNamed('mass', 'number')]
const asides = (...rows: number[]) => rows.map((row) => ({ row, reason: `r${row}`, by: '' }))

test('a cell is put into a list, and behind its end', () => {
  const list = sheet({ readings: '14.9 15.0\n15.1' })
  expect(putCell(list, { row: 1, column: 0 }, '14.8').readings).toBe('14.9\n14.8\n15.1')
  expect(putCell(list, { row: 3, column: 0 }, '15.2').readings).toBe('14.9\n15.0\n15.1\n15.2')
})

test('a block makes rows and columns where it reaches further, and names them where it has names', () => {
  const block = cellsOfBlock('line\tmass\tday\nA\t14.9\t2026-01-14\nB\t15.0\t2026-01-15\n')
  const put = putBlock(sheet({}), { row: 0, column: 0 }, block)
  expect(put.readings).toBe('A\t14.9\t2026-01-14\nB\t15.0\t2026-01-15')
  expect(put.columns.map(({ name, kind }) => [name, kind])).toEqual([
    ['line', 'category'],
    ['mass', 'number'],
    ['day', 'date'],
  ])
  const more = putBlock(sheet(put), { row: 2, column: 1 }, [['15.1']])
  expect(more.readings).toBe('A\t14.9\t2026-01-14\nB\t15.0\t2026-01-15\n\t15.1\t')
  expect(readTypedSheet(sheet(more)).columns.map(({ missing }) => missing)).toEqual([1, 0, 1])
})

test('a column is added, and rows are taken out', () => {
  const added = sheet(addColumn(sheet({ readings: '14.9\n15.0' })))
  expect(added.columns.map(({ name }) => name)).toEqual(['readings', 'column 2'])
  expect(typedCells(added)).toEqual([
    ['14.9', ''],
    ['15.0', ''],
  ])
  expect(takeOutRows(added, 0, 0).readings).toBe('15.0\t')
})

test('what is set aside stays with its reading', () => {
  const rows = (...texts: string[]) => texts.map((text) => [text])
  const before = rows('a', 'b', 'c', 'd')
  expect(moveSetAside(asides(0, 3), before, rows('a', 'x', 'b', 'c', 'd'))).toMatchObject([
    { row: 0 },
    { row: 4 },
  ])
  expect(moveSetAside(asides(1, 3), before, rows('a', 'c', 'd'))).toMatchObject([{ row: 2, reason: 'r3' }])
  expect(moveSetAside(asides(1), before, rows('a', 'B', 'c', 'd'))).toMatchObject([{ row: 1 }])
})

test('an entry that cannot be read is pointed at by its place in the text', () => {
  const readings = 'A\t14.9\nB\theavy\nC\t15.0'
  const { unread, columns } = readTypedSheet(sheet({ readings, columns: TWO }))
  expect(unread).toEqual([
    { line: 2, start: 9, row: 1, column: 'mass', text: 'heavy', reason: 'not-a-number' },
  ])
  expect(readings.slice(9, 14)).toBe('heavy')
  expect(columns[1]).toMatchObject({ missing: 1 })
})

test('a block with cells of several lines and quotes is read as it was copied', () => {
  expect(cellsOfBlock('a\t"b\nc"\t"say ""hi"""\r\nd\t\t5"\r\n')).toEqual([
    ['a', 'b\nc', 'say "hi"'],
    ['d', '', '5"'],
  ])
})

test('what is written into a sheet is read back', () => {
  const cell = fc.stringMatching(/^[a-z0-9.,;-]{0,6}$/)
  const block = fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 8 })
  fc.assert(
    fc.property(block, (rows: Cells) => {
      const columns = ['a', 'b', 'c'].map((name) => columnNamed(name, 'text'))
      // A sheet that holds something takes no names from what is put into it.
      const full = sheet({ columns, readings: 'x\tx\tx' })
      const put = sheet(putBlock(full, { row: 0, column: 0 }, rows))
      const used = rows.findLastIndex((row) => row.some((text) => text !== '')) + 1
      expect(typedCells(put)).toEqual(rows.slice(0, used))
    }),
  )
})

test('the kind of a column follows its cells until somebody says what it is', () => {
  const added = sheet(addColumn(sheet({ readings: '14.9\n15.0\n15.1' })))
  const put = (sample: SampleDraft, cells: string) =>
    sheet(putBlock(sample, { row: 0, column: 1 }, cellsOfBlock(cells)))
  const kinds = (sample: SampleDraft) => sample.columns.map(({ kind }) => kind)
  expect(kinds(put(added, '0.4\n0.5\nheavy'))).toEqual(['number', 'number'])
  expect(kinds(put(added, 'A\nB\n0.5'))).toEqual(['number', 'category'])
  expect(kinds(put(added, '2026-01-14\n2026-01-15'))).toEqual(['number', 'date'])
  const said = { ...added, columns: [added.columns[0]!, { ...added.columns[1]!, isKindSaid: true }] }
  expect(kinds(put(said, '7\n8\n7'))).toEqual(['number', 'category'])
})

test('lines of several entries make a sheet, where all have as many or tabs part them', () => {
  const made = (readings: string) => asSheet(sheet({ readings }))
  expect(made('1 12.5\n2 12.7')).toMatchObject({ readings: '1\t12.5\n2\t12.7' })
  expect(made('1;12.5\n2;12.7')?.columns.map(({ kind }) => kind)).toEqual(['number', 'number'])
  expect(made('no\tmass\n1\t12.5')).toMatchObject({
    readings: '1\t12.5',
    columns: [{ name: 'no' }, { name: 'mass' }],
  })
  expect(made('1 12.5\n2')).toBeUndefined()
  expect(made('12.5\n12.7')).toBeUndefined()
})

test('columns that are pasted into a list make a sheet at once, and a header names its column', () => {
  expect(changeOfReadings(sheet({}), 'a\tb\n1\t2')).toMatchObject({ columns: [{ name: 'a' }, { name: 'b' }] })
  expect(changeOfReadings(sheet({}), '1\t2\t3')).toEqual({ readings: '1\t2\t3' })
  expect(changeOfReadings(sheet({}), 'Net mass\n14.9')).toMatchObject({ columns: [{ name: 'Net mass' }] })
  const named = sheet({ readings: 'Net mass\n14.9', columns: [columnNamed('Net mass', 'number')] })
  expect(changeOfReadings(named, 'Gross mass\n14.9')).toMatchObject({ columns: [{ name: 'Gross mass' }] })
  const own = sheet({ columns: [columnNamed('weight', 'number')] })
  expect(changeOfReadings(own, 'Net mass\n14.9')).toEqual({ readings: 'Net mass\n14.9' })
})
