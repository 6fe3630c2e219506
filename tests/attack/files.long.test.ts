import { Readable } from 'node:stream'
import { buffer } from 'node:stream/consumers'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import Papa from 'papaparse'
import writeXlsxFile from 'write-excel-file/node'
import { readSheet } from '@/intake/sheet/readSheet'
import { guessFormat } from '@/intake/sheet/format'
import { asUtf8 } from '@/intake/sheet/utf16'
import { isWorkbook, readWorkbook } from '@/intake/workbook/workbook'
import { cellText, type Column } from '@/intake/sheet/columns'
import { mangled } from './mutate'
import { randomFrom, times } from './writing'

// Files that are not as they have to be: each is read or refused in words, and what is read is what stands in it.

const FILES = times(1000, 200)
const random = randomFrom(77)

const ROWS = Array.from({ length: 60 }, (_, at) => [
  `depot ${at % 7}`,
  (14 + (at % 13) / 7).toFixed(3),
  `2026-01-${String((at % 28) + 1).padStart(2, '0')}`,
  at % 9 === 0 ? '' : `"torn", sack ${at}`,
])
const HEAD = ['depot', 'mass', 'day', 'note']
const csv = (delimiter: string) =>
  strToU8(Papa.unparse([HEAD, ...ROWS], { delimiter, newline: random() < 0.5 ? '\n' : '\r\n' }))

const ods = () => {
  const cell = (text: string) =>
    `<table:table-cell office:value-type="string"><text:p>${text.replace(/"/g, '&quot;')}</text:p></table:table-cell>`
  const rows = [HEAD, ...ROWS].map((row) => `<table:table-row>${row.map(cell).join('')}</table:table-row>`)
  return zipSync({
    'content.xml': strToU8(
      `<office:document-content xmlns:office="o" xmlns:table="t" xmlns:text="x"><table:table table:name="A">${rows.join('')}</table:table></office:document-content>`,
    ),
  })
}
const xlsx = async () =>
  new Uint8Array(
    await writeXlsxFile(
      [HEAD, ...ROWS].map((row) => row.map((value) => ({ value, type: String }))) as never,
    ).toBuffer(),
  )

/** A workbook with one of its parts mangled, so that it is still an archive. */
function withMangledPart(bytes: Uint8Array): Uint8Array {
  const entries = unzipSync(bytes)
  const names = Object.keys(entries).filter((name) => /sheet|content|workbook|styles|shared/i.test(name))
  const name = names[Math.floor(random() * names.length)]!
  return zipSync({ ...entries, [name]: mangled(random, entries[name]!) })
}

/** Whether a cell that was read is what another reader has: texts to the letter, numbers by their value, dates not looked at. */
function isSame(column: Column, row: number, other: string): boolean {
  const own = cellText(column, row)
  if (column.kind === 'date') return (own === '') === (other.trim() === '')
  if (column.kind === 'number') return own === '' ? other.trim() === '' : Number(own) === Number(other)
  return own === other || own === other.trim()
}

/** Reads a file as the server does. */
async function readFile(whole: Uint8Array) {
  let bytes: Uint8Array = await buffer(Readable.from(asUtf8([whole], whole)))
  if (isWorkbook(whole)) {
    const workbook = readWorkbook(whole, { hiddenRows: 'taken' })
    if (!workbook.ok) return workbook
    if (!workbook.value.csv.ok) return workbook.value.csv
    bytes = workbook.value.csv.value
  }
  const format = guessFormat(bytes, isWorkbook(whole) ? ',' : undefined)
  const sheet = await readSheet({ source: () => [bytes], format, missingWords: [] })
  return sheet.ok ? { ok: true as const, value: { sheet: sheet.value, format, bytes } } : sheet
}

test(`of ${FILES} files that were mangled each is read for what stands in it, or refused in words`, async () => {
  const originals = [csv(','), csv(';'), csv('\t'), await xlsx(), ods()]
  let [read, refused, compared, slowest] = [0, 0, 0, 0]
  for (let at = 0; at < FILES; at += 1) {
    const original = originals[at % originals.length]!
    const isArchive = at % originals.length >= 3
    const file = isArchive && random() < 0.8 ? withMangledPart(original) : mangled(random, original)
    const start = performance.now()
    const outcome = await readFile(file)
    slowest = Math.max(slowest, performance.now() - start)
    if (!outcome.ok) {
      refused += 1
      expect(outcome.problem.message).toMatch(/^[^]{20,1500}$/)
      expect(outcome.problem.message).not.toMatch(/undefined(?! entity)|NaN|\[object|\.\. /)
      continue
    }
    read += 1
    const { sheet, format, bytes } = outcome.value
    const other = Papa.parse<string[]>(strFromU8(bytes).replace(/^\ufeff/, ''), {
      delimiter: format.separator,
      skipEmptyLines: false,
    })
    // Where another reader sees a table with as many cells in each row, the cells are the same.
    const rows = other.data.filter((row) => row.length > 1 || row[0] !== '')
    if (other.errors.length > 0 || rows.some((row) => row.length !== rows[0]!.length)) continue
    compared += 1
    expect(sheet.rowCount).toBe(rows.length - (format.header === 'first-row' ? 1 : 0))
    const isPlain =
      format.decimalMark === 'point' && format.thousands === 'none' && format.encoding === 'utf-8'
    for (const column of isPlain ? sheet.columns : []) {
      const place = sheet.names.indexOf(column.name)
      const body = format.header === 'first-row' ? rows.slice(1) : rows
      for (const [row, cells] of body.entries())
        if (!isSame(column, row, cells[place]!))
          throw new Error(
            `${column.kind} ${column.name}, row ${row}: ${JSON.stringify([cellText(column, row), cells[place]])} of ${JSON.stringify(format)}`,
          )
    }
  }
  expect(read).toBeGreaterThan(FILES / 10)
  expect(refused).toBeGreaterThan(FILES / 10)
  expect(compared).toBeGreaterThan(FILES / 50)
  console.info(
    `${FILES} files: ${read} read, ${compared} of them compared, ${refused} refused, slowest ${slowest.toFixed(0)} ms`,
  )
}, 600_000)
