import fc from 'fast-check'
import { CHUNK_LENGTH, type Column } from '@/intake/sheet/columns'
import { readCsv, writeCsv } from './sheetCsv'

const bytesOf = (columns: readonly Column[], rowCount: number) =>
  Buffer.concat([...writeCsv(columns, rowCount)])
const textOf = (columns: readonly Column[], rowCount: number) => bytesOf(columns, rowCount).toString('utf8')
const numbers = (name: string, ...values: readonly number[]): Column => ({
  kind: 'number',
  name,
  chunks: [Float64Array.from(values)],
  length: values.length,
  missing: values.filter(Number.isNaN).length,
})
const texts = (name: string, ...cells: readonly string[]): Column => {
  const dictionary = [...new Set(cells.filter((cell) => cell !== ''))]
  const codes = cells.map((cell) => dictionary.indexOf(cell) + 1)
  const missing = cells.filter((cell) => cell === '').length
  return {
    kind: 'category',
    name,
    chunks: [Uint16Array.from(codes)],
    dictionary,
    length: cells.length,
    missing,
  }
}

async function again(columns: readonly Column[], rowCount: number) {
  const read = await readCsv(
    bytesOf(columns, rowCount),
    columns.map(({ kind }) => kind),
  )
  if (!read.ok) throw new Error(read.problem.message)
  return read.value
}

test('writes numbers with every digit, and nothing that a spreadsheet runs', () => {
  const sheet = [numbers('mass', 0.1 + 0.2, -1e-300), texts('=name', '=1+1', "'quoted")]
  expect(textOf(sheet, 2)).toBe("mass,'=name\n0.30000000000000004,'=1+1\n-1e-300,''quoted\n")
})

test('dates come back as dates, and texts that look like numbers or dates as texts', async () => {
  const day: Column = {
    kind: 'date',
    name: 'day',
    chunks: [Float64Array.of(20_000, NaN)],
    length: 2,
    missing: 1,
  }
  const sheet = [day, texts('code', '007', '2026-11-03')]
  expect(await again(sheet, 2)).toEqual(sheet)
})

test('a lone column keeps its empty cells', async () => {
  const sheet = [numbers('mass', NaN, 1, NaN)]
  expect(await again(sheet, 3)).toEqual(sheet)
})

test('whatever a sheet holds comes back as it was', async () => {
  const cell = fc.oneof(
    fc.string({ unit: 'grapheme', maxLength: 8 }),
    fc.constantFrom('=A1', "'", '"', ',', '\n', ' x ', '-', '+1', '@', '\t', '1.5', 'NaN', 'a\r\nb'),
  )
  // A file of texts has no control characters but these.
  const text = cell.map((one) => one.replace(/[\0-\u0008\u000b\u000c\u000e-\u001f\ufeff]/g, ''))
  const row = fc.tuple(fc.double({ noDefaultInfinity: true }), text)
  await fc.assert(
    fc.asyncProperty(fc.array(row, { minLength: 1, maxLength: 30 }), async (rows) => {
      const sheet = [numbers('n', ...rows.map(([one]) => one)), texts('c', ...rows.map(([, one]) => one))]
      expect(await again(sheet, rows.length)).toEqual(sheet)
    }),
  )
})

test('a column longer than a chunk, with more texts than a category has codes, stays one of texts', async () => {
  const length = CHUNK_LENGTH + 3
  const cells = Array.from({ length }, (_, at) => `text ${at}`)
  const sheet: readonly Column[] = [{ kind: 'text', name: 'free', texts: cells, length, missing: 0 }]
  expect(await again(sheet, length)).toEqual(sheet)
})

test('columns of other kinds than were stated are refused', async () => {
  const read = await readCsv(bytesOf([texts('mass', 'heavy')], 1), ['number'])
  expect(read).toMatchObject({ ok: false, problem: { code: 'other-columns' } })
  const fewer = await readCsv(bytesOf([numbers('mass', 1)], 1), ['number', 'number'])
  expect(fewer).toMatchObject({ ok: false, problem: { message: 'The sheet has 1 columns in place of 2.' } })
})
