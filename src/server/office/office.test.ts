import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { PNG } from 'pngjs'
import { startTestDatabase } from '@tests/database'
import { valueOf } from '@tests/outcome'
import { addRegisterVersion } from '@/data/register'
import { office } from '@/data/schema'
import { type ReportFormat, USUAL_OPTIONS } from '@/desk/reportOptions'
import { openCase } from '../case/changeCase'
import { readCase } from '../docket/docket'
import { makeReport, readReport } from '../report/readReport'
import { readOffice, saveOffice, saveOfficeFile } from './office'

const now = new Date('2026-11-03T10:42:00Z')
const later = new Date('2026-11-04T08:00:00Z')
const WORDS = {
  office: 'Skerrow Fair Measures Office\nHarbour Street 1',
  authorisedBy: 'A. Head, head of office',
  accreditation: 'No. 12 of the Skerrow Board, for mass',
}
const caseOf = async () => (await readCase((await openCase({ by: '', now })).caseId))!

const database = startTestDatabase()

test('a case takes over what the office says of itself on the day it is opened, and keeps it', async () => {
  expect(await readOffice()).toBeUndefined()
  expect(await caseOf()).toMatchObject({ office: '', authorisedBy: '', occasion: '', accreditation: '' })
  await saveOffice({ words: WORDS, by: 'A. Officer' }, now)
  const { id } = await caseOf()
  await saveOffice({ words: { ...WORDS, office: 'Another' }, by: 'B. Officer' }, later)
  expect(await readCase(id)).toMatchObject(WORDS)
  expect(await caseOf()).toMatchObject({ office: 'Another' })
  expect(await readOffice()).toMatchObject({
    ...{ ...WORDS, office: 'Another' },
    changedBy: 'B. Officer',
    changedAt: later.toISOString(),
  })
  const rows = await database().select().from(office)
  expect(rows.map(({ version }) => version).toSorted()).toEqual([1, 2])
})

test('a template is kept beside what the office says, and taken by every DOCX report until it is taken away', async () => {
  const styles = `<w:styles xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><!-- ours --></w:styles>`
  const { id } = await caseOf()
  const stylesOf = async () => {
    const options = { options: USUAL_OPTIONS, format: 'docx' } as const
    return strFromU8(unzipSync(valueOf(await makeReport(id, options)).bytes)['word/styles.xml']!)
  }
  await saveOffice({ words: WORDS, by: '' }, now)
  expect(await saveOfficeFile('template', strToU8('none'), { by: '', now })).toMatchObject({
    problem: { code: 'template' },
  })
  expect(await stylesOf()).not.toContain('<!-- ours -->')
  const bytes = zipSync({ 'word/styles.xml': strToU8(styles) })
  valueOf(await saveOfficeFile('template', bytes, { by: 'A. Officer', now: later }))
  expect(await stylesOf()).toContain('<!-- ours -->')
  // What the office says is as it was, the other way round too, and a case takes over nothing of the template.
  expect(await readOffice()).toMatchObject({ ...WORDS, hasTemplate: true, changedBy: 'A. Officer' })
  await saveOffice({ words: WORDS, by: '' }, later)
  expect(await stylesOf()).toContain('<!-- ours -->')
  expect(await caseOf()).not.toHaveProperty('template')
  valueOf(await saveOfficeFile('template', undefined, { by: '', now: later }))
  expect(await stylesOf()).not.toContain('<!-- ours -->')
})

test('a mark is kept beside the rest, and stands in every kind of report but Markdown until it is taken away', async () => {
  const { id } = await caseOf()
  const fileOf = async (format: ReportFormat) =>
    valueOf(await makeReport(id, { options: USUAL_OPTIONS, format })).bytes
  const picturesInDocx = async () =>
    Object.keys(unzipSync(await fileOf('docx'))).filter((name) => name.endsWith('.png')).length
  await saveOffice({ words: WORDS, by: '' }, now)
  expect(await saveOfficeFile('mark', strToU8('none'), { by: '', now })).toMatchObject({
    problem: { code: 'mark' },
  })
  expect(strFromU8(await fileOf('html'))).not.toContain('<img')
  const plain = await fileOf('md')
  const without = await picturesInDocx()
  valueOf(
    await saveOfficeFile('mark', PNG.sync.write(new PNG({ width: 4, height: 2 })), {
      by: 'A. Officer',
      now: later,
    }),
  )
  expect(await readOffice()).toMatchObject({
    ...WORDS,
    mark: { width: 4, height: 2 },
    changedBy: 'A. Officer',
  })
  expect(strFromU8(await fileOf('html'))).toContain('alt="Mark of the office"')
  expect((await readReport(id, USUAL_OPTIONS))!.mark).toContain('<img class="mark"')
  expect(strFromU8(await fileOf('pdf'), true)).toContain('/Subtype /Image')
  expect(await picturesInDocx()).toBe(without + 1)
  expect(await fileOf('md')).toEqual(plain)
  expect(await caseOf()).not.toHaveProperty('mark')
  valueOf(await saveOfficeFile('mark', undefined, { by: '', now: later }))
  expect((await readReport(id, USUAL_OPTIONS))!.mark).toBe('')
})

test('an office that was entered before there were more words is read with what it lacks empty', async () => {
  const { accreditation: _, ...before } = WORDS
  const db = database()
  const words = before as typeof WORDS
  const entry = { id: '00000000-0000-4000-8000-000000000000', words, by: '', now: later }
  await db.inTransaction((transaction) => addRegisterVersion(transaction, 'office', entry))
  expect(await readOffice()).toMatchObject({ ...before, accreditation: '' })
  expect(await caseOf()).toMatchObject({ ...before, accreditation: '' })
})

test.each<readonly [string, unknown]>([
  ['a name beyond all measure', { words: { ...WORDS, office: 'x'.repeat(2001) } }],
  ['a word that is not known', { words: { ...WORDS, seal: 'x' } }],
  ['one word alone', { words: { office: 'x' } }],
  ['nothing', null],
])('%s is refused', async (_, input) => {
  const before = await readOffice()
  expect(await saveOffice(input, now)).toMatchObject({ ok: false, problem: { code: 'invalid' } })
  expect(await readOffice()).toEqual(before)
})

test('what is no file of the office can’t be taken away as one', async () => {
  const before = await readOffice()
  const taken = await saveOfficeFile('office' as 'mark', undefined, { by: '', now })
  expect(taken).toMatchObject({ ok: false, problem: { code: 'invalid', path: 'name' } })
  expect(await readOffice()).toEqual(before)
})
