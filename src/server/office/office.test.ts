import { openTestDatabase } from '@tests/database'
import type { Database } from '@/data/client'
import { office } from '@/data/schema'
import { openCase } from '../case/changeCase'
import { readCase } from '../docket/docket'
import { readOffice, saveOffice } from './office'

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
    words: { ...WORDS, office: 'Another' },
    changedBy: 'B. Officer',
    changedAt: later.toISOString(),
  })
  const rows = await (await kept.trueWeightDatabase!).select().from(office)
  expect(rows.map(({ version }) => version).toSorted()).toEqual([1, 2])
})

test.each([
  { words: { ...WORDS, office: 'x'.repeat(2001) } },
  { words: { ...WORDS, mark: 'x' } },
  { words: { office: 'x' } },
  null,
])('%j is refused', async (input) => {
  const before = await readOffice()
  expect(await saveOffice(input, now)).toMatchObject({ ok: false, problem: { code: 'invalid' } })
  expect(await readOffice()).toEqual(before)
})
