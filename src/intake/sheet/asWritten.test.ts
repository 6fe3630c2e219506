import fc from 'fast-check'
import Papa from 'papaparse'
import { cellText } from './columns'
import type { Sheet } from './readSheet'
import { read, textsOf } from '@tests/sheets'

const rowsOf = ({ columns, rowCount }: Sheet) =>
  Array.from({ length: rowCount }, (_, row) => columns.map((column) => cellText(column, row)))

const cell = fc.oneof(
  fc
    .string({ unit: 'grapheme', maxLength: 8 })
    .map((text) => text.replace(/[\u0000-\u001f\ufeff]/g, '').trim()),
  fc.constantFrom(
    '',
    '"',
    '""',
    'a"b',
    ',',
    ';',
    'a\nb',
    'a\r\nb',
    '1',
    '007',
    '-3.50',
    '1e5',
    'x y',
    'é',
    '😀',
  ),
)
const table = fc
  .integer({ min: 1, max: 4 })
  .chain((width) =>
    fc.array(fc.array(cell, { minLength: width, maxLength: width }), { minLength: 1, maxLength: 12 }),
  )

/** Written by papaparse, every cell in quotes where it needs them. */
const written = (rows: readonly (readonly string[])[], separator: string, newline: string) => {
  const header = rows[0]!.map((_, i) => `column ${i}`)
  return Papa.unparse([header, ...rows.map((row) => [...row])], { delimiter: separator, newline })
}

test('what papaparse writes is read back as it was, from pieces of any size', async () => {
  await fc.assert(
    fc.asyncProperty(
      table,
      fc.constantFrom(',', ';', '\t', '|'),
      fc.constantFrom('\n', '\r\n', '\r'),
      fc.integer({ min: 1, max: 40 }),
      async (rows, separator, newline, size) => {
        // Texts only, so that no number is read as one; a row that is empty altogether is passed over, as an empty line.
        const marked = rows.map((row) => ['#', ...row])
        const sheet = await read(written(marked, separator, newline), { separator: separator as ',' }, size)
        const texts = sheet.columns
          .slice(1)
          .map((column) => (column.kind === 'number' ? undefined : textsOf(column)))
        for (const [i, column] of texts.entries()) {
          if (column) expect(column).toEqual(rows.map((row) => row[i]!.trim()))
        }
        expect(sheet.rowCount).toBe(rows.length)
      },
    ),
    { numRuns: 300 },
  )
})

test('it takes files apart as papaparse does', async () => {
  await fc.assert(
    fc.asyncProperty(table, fc.integer({ min: 1, max: 9 }), async (rows, size) => {
      const text = written(
        rows.map((row) => ['#', ...row]),
        ',',
        '\n',
      )
      const { data } = Papa.parse<string[]>(text, { skipEmptyLines: true })
      const sheet = await read(text, { header: 'none' }, size)
      // Its first row is the header here, so that every column is one of texts.
      expect(rowsOf(sheet)).toEqual(data.map((row) => row.map((one) => one.trim())))
    }),
    { numRuns: 300 },
  )
})
