import { strToU8, zipSync } from 'fflate'
import { mkdtempSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { By, Key } from 'selenium-webdriver'
import writeXlsxFile from 'write-excel-file/node'
import { violations } from './access'
import {
  attribute,
  choose,
  click,
  control,
  seeFigure,
  paste,
  plain,
  see,
  textOf,
  type,
  chosen,
  press as pressButton,
} from './browser'
import { atClaim, startJourney, step } from './journey'
import { kill, serve } from './server'

const journey = startJourney(['--demo'], {
  arrive: atClaim('Brackwater pellet sacks', 'Mean net mass at least'),
  borne: /net::ERR|Failed to load resource/,
})
const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-'))

function written(name: string, content: string | Uint8Array): string {
  const file = path.join(folder, name)
  writeFileSync(file, content)
  return file
}

const DELIVERIES =
  'depot;mass;carrier\n7;14,93;north\n7;15,02;"south; east"\n8;14,88;north\n7;n/a;south\n8;14,97;north\n7;14,91;north\n'

const evidence = async () => plain(await textOf(journey.driver, '#evidence'))
const press = (words: string) => pressButton(journey.driver, words)
const hand = async (file: string) => (await control(journey.driver, 'File to bring in')).sendKeys(file)
const seeTested = (count: string) => seeFigure(journey.driver, 'Key figures', 'Readings tested', count)

test('a file is looked at, taken in, and rows of it kept by a sentence', async () => {
  await step('a file is shown as it will be read before it is taken in', async () => {
    await hand(written('deliveries.csv', DELIVERIES))
    await see(journey.driver, 'The first rows of deliveries.csv', '#evidence')
    const shown = await evidence()
    expect(await chosen(journey.driver, 'Separator')).toBe('semicolons')
    expect(await chosen(journey.driver, 'Decimal mark of the file')).toBe('decimal comma')
    expect(shown).toContain('14.93')
    await seeTested('24')
    expect(await violations(journey.driver)).toEqual([])
    await choose(journey.driver, 'Separator', 'bars')
    await see(journey.driver, 'depot;mass;carrier', '#evidence')
    await choose(journey.driver, 'Separator', 'semicolons')
    await see(journey.driver, 'south; east', '#evidence')
  })
  await step('words among numbers are asked about once, then counted as missing', async () => {
    await press('Take it in')
    await see(journey.driver, '“n/a” stands once among the numbers of “mass”.', '#evidence')
    await press('Yes: count them as missing')
    await see(journey.driver, '6 of 6 rows, 1 of them without a reading', '#evidence')
    await seeTested('5')
    await seeFigure(journey.driver, 'Key figures', 'Mean', '14.942 kg')
  })
  await step('rows are kept by a sentence, which is stored with the claim', async () => {
    await press('only some rows')
    await see(journey.driver, 'has no value yet', '#evidence')
    await type(journey.driver, 'Value of condition 1', 'north')
    await see(journey.driver, '4 of 6 rows', '#evidence')
    await seeTested('4')
    await press('and')
    await choose(journey.driver, 'Column of condition 2', 'depot')
    await type(journey.driver, 'Value of condition 2', '7')
    await see(journey.driver, '2 of 6 rows', '#evidence')
    await press('or')
    await choose(journey.driver, 'Column of condition 3', 'mass')
    await choose(journey.driver, 'Comparison of condition 3', 'is above')
    await type(journey.driver, 'Value of condition 3', '15')
    await see(journey.driver, '3 of 6 rows', '#evidence')
    await journey.driver.wait(async () => (await textOf(journey.driver, 'header')).includes('Saved'), 40_000)
    await journey.driver.navigate().refresh()
    await see(journey.driver, '3 of 6 rows', '#evidence')
    await seeTested('3')
  })
  await step('the sample that the claim was held against before is still there', async () => {
    await choose(journey.driver, 'Sample', 'Sacks of line 2')
    await see(journey.driver, '24 readings', '#evidence')
    await see(journey.driver, '14.929', 'aside')
    await choose(journey.driver, 'Sample', 'deliveries')
    await see(journey.driver, '6 of 6 rows', '#evidence')
  })
})

test('rows of a spreadsheet are pasted, and taken in as a sample of their own', async () => {
  await paste(journey.driver, 'Rows to bring in', 'line\tmass\nA\t14.9\nB\t15.1\nA\t15.0\n')
  await see(journey.driver, 'The first rows of pasted rows.tsv', '#evidence')
  await press('Take it in')
  await see(journey.driver, '3 of 3 rows', '#evidence')
  await seeFigure(journey.driver, 'Key figures', 'Mean', '15.000 kg')
})

test('a sheet of a workbook is chosen and taken in', async () => {
  const cells = (rows: readonly (readonly (string | number)[])[]) =>
    rows.map((row) => row.map((value) => ({ value, type: value.constructor })))
  const sheets = [
    { sheet: 'Cover', data: cells([['a sheet that is not wanted']]) },
    {
      sheet: 'Weighings',
      data: cells([
        ['Weighings of line 2'],
        ['sack', 'mass'],
        ['a', 14.91],
        ['b', 14.97],
        ['c', 14.95],
        ['d', 14.98],
        ['Total', 59.81],
      ]),
    },
  ]
  const workbook = written('weighings.xlsx', await writeXlsxFile(sheets as never).toBuffer())
  await hand(workbook)
  await see(journey.driver, 'has a header and no row below it', '#evidence')
  await choose(journey.driver, 'Sheet of the workbook', 'Weighings')
  await see(journey.driver, '14.97', '#evidence')
  expect(await attribute(journey.driver, 'First row taken')).toBe('2')
  expect(await attribute(journey.driver, 'Last row taken')).toBe('6')
  expect(await violations(journey.driver)).toEqual([])
  await press('Take it in')
  await see(journey.driver, '4 of 4 rows', '#evidence')
  await seeFigure(journey.driver, 'Key figures', 'Mean', '14.953 kg')
  await hand(workbook)
  await choose(journey.driver, 'Sheet of the workbook', 'Weighings')
  await type(journey.driver, 'Last row taken', `5${Key.ENTER}`)
  await click(journey.driver, By.css('[aria-label="Take sack"]'))
  await press('Take it in')
  await see(journey.driver, '3 readings', '#conditions')
  await seeFigure(journey.driver, 'Key figures', 'Mean', '14.943 kg')
})

const formula =
  '<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData><row r="1"><c r="A1"><f>B1*2</f></c></row></sheetData></worksheet>'
const computed = zipSync({
  'xl/workbook.xml': strToU8(
    '<workbook xmlns:r="r"><sheets><sheet name="Log" r:id="a"/></sheets></workbook>',
  ),
  'xl/_rels/workbook.xml.rels': strToU8(
    '<Relationships><Relationship Id="a" Target="s.xml"/></Relationships>',
  ),
  'xl/s.xml': strToU8(formula),
})

const REFUSED: readonly (readonly [name: string, content: string | Uint8Array, words: string])[] = [
  ['uneven.csv', 'a,b\n1,2\n3\n', 'The row on line 3 has 1 cell where the first row has 2'],
  ['empty.csv', '\n', 'The file is empty'],
  ['picture.csv', 'a\n\u0001\u0002', 'Line 2 holds characters that no text has'],
  ['open.csv', 'a,b\n1,"never closed\n', 'A quote that opens on line 2 is never closed'],
  ['twice.csv', 'a,a\n1,2\n', 'Two columns are named “a”'],
  [
    'wide.csv',
    `${Array.from({ length: 500 }, (_, i) => `c${i}`).join(',')}\n`,
    'The file has 500 columns; at most 400',
  ],
  [
    'large.csv',
    'a,b\n1e999,2\n',
    'On line 2, “1e999” in the column “a” is beyond what this program can hold',
  ],
  ['computed.xlsx', computed, 'Cell A1 of the sheet “Log” holds a formula (B1*2) that was never computed'],
]

test('what cannot be read is refused with the place, and changes nothing', async () => {
  for (const [name, content, words] of REFUSED)
    await step(name, async () => {
      await hand(written(name, content))
      await see(journey.driver, words, '#evidence')
      await seeTested('24')
    })
})

test('files too large, of another encoding, and with a word far down', async () => {
  await step('a file of 800 MB is refused at once', async () => {
    const file = written('giant.csv', 'a,b\n')
    truncateSync(file, 800 * 1024 * 1024)
    await hand(file)
    await see(journey.driver, 'The file has 800 MB at least; at most 768 MB are taken', '#evidence')
  })
  await step('bytes of another encoding, far down, are found when the file is taken in', async () => {
    const text = `name,mass\n${'å,15\n'.repeat(1_000_000)}x,15\n`
    const bytes = Buffer.from(text).map((byte, at, all) => (at === all.length - 5 ? 0xe5 : byte))
    await hand(written('mixed.csv', bytes))
    await press('Take it in')
    await see(journey.driver, 'On line 1000002, in column 1, bytes stand that are no UTF-8', '#evidence')
  })
  await step('a word far down in a file of many rows is found, and what it stands in told', async () => {
    const rows = Array.from({ length: 70_000 }, (_, i) => `${i},${14 + (i % 100) / 100}`)
    rows[69_000] = '69000,about 15'
    await hand(written('long.csv', `sack,mass\n${rows.join('\n')}\n`))
    await press('Take it in')
    await see(journey.driver, 'given as the file long.csv', '#evidence')
    await choose(journey.driver, 'Column of the readings', 'sack')
    await see(journey.driver, '70,000 of 70,000 rows', '#evidence')
    await see(journey.driver, 'each circle: up to', 'aside')
  })
})

test('what is cancelled while it is taken in leaves nothing, and the page says so', async () => {
  const rows = Array.from({ length: 400_000 }, (_, i) => `${i},${14 + (i % 977) / 1000},note ${i}`)
  await hand(written('long-log.csv', `sack,mass,note\n${rows.join('\n')}\n`))
  await press('Take it in')
  await see(journey.driver, /Taking in long-log\.csv: [1-9][\d,]* rows/, '#evidence')
  await press('Cancel')
  await see(journey.driver, 'long-log.csv is not taken in: nothing of it was stored.', '#evidence')
  await journey.driver.navigate().refresh()
  await see(journey.driver, '24 readings', '#evidence')
  expect(await (await control(journey.driver, 'Sample')).getText()).not.toContain('long-log')
})

test('a server that is killed while it takes a file in keeps what it had, and nothing of the file', async () => {
  const claim = await journey.driver.getCurrentUrl()
  const rows = Array.from({ length: 600_000 }, (_, i) => `${i},${14 + (i % 977) / 1000},note ${i}`)
  await hand(written('huge.csv', `sack,mass,note\n${rows.join('\n')}\n`))
  await press('Take it in')
  await see(journey.driver, /Taking in huge\.csv: [1-9][\d,]* rows/, '#evidence')
  await kill(journey.server)
  journey.server = await serve(['--demo'], journey.server.data)
  await journey.driver.get(claim.replace(/^https?:\/\/[^/]+/, journey.server.address))
  await see(journey.driver, '24 readings', '#evidence')
  const samples = await (await control(journey.driver, 'Sample')).getText()
  expect(samples).toContain('Sacks of line 2')
  expect(samples).not.toContain('huge')
})
