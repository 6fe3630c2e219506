import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { openTestDatabase } from '@tests/database'
import { valueOf } from '@tests/outcome'
import type { Database } from '@/data/client'
import { office } from '@/data/schema'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { openCase } from '../case/changeCase'
import { readCase } from '../docket/docket'
import { makeReport } from '../report/readReport'
import { readOffice, saveOffice, saveTemplate } from './office'

const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }
const now = new Date('2026-11-03T10:42:00Z')
const later = new Date('2026-11-04T08:00:00Z')
const WORDS = {
  office: 'Skerrow Fair Measures Office\nHarbour Street 1',
  authorisedBy: 'A. Head, head of office',
}
const caseOf = async () => (await readCase((await openCase({ by: '', now })).caseId))!

beforeAll(async () => {
  kept.trueWeightDatabase = openTestDatabase()
  await kept.trueWeightDatabase
})

test('a case takes over what the office says of itself on the day it is opened, and keeps it', async () => {
  expect(await readOffice()).toBeUndefined()
  expect(await caseOf()).toMatchObject({ office: '', authorisedBy: '', occasion: '' })
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
  const rows = await (await kept.trueWeightDatabase!).select().from(office)
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
  expect(await saveTemplate(strToU8('none'), { by: '', now })).toMatchObject({
    problem: { code: 'template' },
  })
  expect(await stylesOf()).not.toContain('<!-- ours -->')
  const bytes = zipSync({ 'word/styles.xml': strToU8(styles) })
  valueOf(await saveTemplate(bytes, { by: 'A. Officer', now: later }))
  expect(await stylesOf()).toContain('<!-- ours -->')
  // What the office says is as it was, the other way round too, and a case takes over nothing of the template.
  expect(await readOffice()).toMatchObject({ ...WORDS, hasTemplate: true, changedBy: 'A. Officer' })
  await saveOffice({ words: WORDS, by: '' }, later)
  expect(await stylesOf()).toContain('<!-- ours -->')
  expect(await caseOf()).not.toHaveProperty('template')
  valueOf(await saveTemplate(undefined, { by: '', now: later }))
  expect(await stylesOf()).not.toContain('<!-- ours -->')
})

test.each<readonly [string, unknown]>([
  ['a name beyond all measure', { words: { ...WORDS, office: 'x'.repeat(2001) } }],
  ['a word that is not known', { words: { ...WORDS, mark: 'x' } }],
  ['one word alone', { words: { office: 'x' } }],
  ['nothing', null],
])('%s is refused', async (_, input) => {
  const before = await readOffice()
  expect(await saveOffice(input, now)).toMatchObject({ ok: false, problem: { code: 'invalid' } })
  expect(await readOffice()).toEqual(before)
})
