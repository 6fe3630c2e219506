import fc from 'fast-check'
import Papa from 'papaparse'
import { csvBytes, csvCell, harmlessCell } from './csvText'

test.each([
  ['plain', 'plain'],
  ['a, b', '"a, b"'],
  ['say "hi"', '"say ""hi"""'],
  ['two\nlines', '"two\nlines"'],
  [' kept ', '" kept "'],
  ['', ''],
])('the cell %j is written as %s', (text, written) => {
  expect(csvCell(text)).toBe(written)
})

test.each([
  ['=1+1', "'=1+1"],
  ['+cmd', "'+cmd"],
  ['@sum(a1)', "'@sum(a1)"],
  ['-2+3', "'-2+3"],
  ['\t=1', "'\t=1"],
  ['=HYPERLINK("x", "y")', `"'=HYPERLINK(""x"", ""y"")"`],
])('the cell %j is made harmless', (text, written) => {
  expect(harmlessCell(text)).toBe(written)
})

test.each(['-1.5', '+2', '-1e-7', '14,93', '−5 is a text'])('%s stays as it is', (text) => {
  expect(Papa.parse<string[]>(harmlessCell(text), { delimiter: ';' }).data[0]).toEqual([text])
})

test('a formula and the text of one stay apart', () => {
  expect(['=1', "'=1", "''=1", "'1", '-1', '+-1'].map(harmlessCell)).toEqual([
    "'=1",
    "''=1",
    "'''=1",
    "'1",
    '-1',
    "'+-1",
  ])
})

test('rows are written as long as the longest, also with an empty one', () => {
  const rows = [[], ['a'], ['b', '', 'c']]
  const bytes = csvBytes(rows)
  expect(new TextDecoder().decode(bytes)).toBe(',,\na,,\nb,,c\n')
})

test('what is written is read back by another reader', () => {
  const cell = fc.string({ unit: 'grapheme', maxLength: 8 })
  const rows = fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 12 })
  fc.assert(
    fc.property(rows, (cells) => {
      const bytes = csvBytes(cells)
      const text = new TextDecoder('utf-8', { ignoreBOM: true }).decode(bytes)
      const read = Papa.parse<string[]>(text, { delimiter: ',', newline: '\n' }).data
      expect(read.slice(0, -1)).toEqual(cells)
    }),
  )
})
