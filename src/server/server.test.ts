import { v7 as uuidv7 } from 'uuid'
import { EMPTY_DRAFT } from '@/core/claim/draft'
import type { Outcome } from '@/core/outcome'
import { type Database, openMemoryDatabase } from '@/data/client'
import { addClaim, openCase, saveCase } from './changeCase'
import { fillWithDemo } from './demo/fillWithDemo'
import { readCase, readDocket } from './docket'
import { readClaim } from './readClaim'
import { saveClaim } from './saveClaim'

const now = new Date('2026-11-03T10:42:00Z')
const later = new Date('2026-11-03T10:43:00Z')
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }

beforeAll(async () => {
  kept.trueWeightDatabase = openMemoryDatabase()
  await kept.trueWeightDatabase
})
afterAll(async () => (await kept.trueWeightDatabase)?.$client.close())

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(outcome.problem.message)
  return outcome.value
}

test('a new case has one claim, open until it is filled in', async () => {
  const { caseId, claimId } = await openCase(now)
  const found = await readClaim(caseId, claimId)
  expect(found?.claim).toMatchObject({ draft: EMPTY_DRAFT, revision: 1 })
  expect(found?.ownCase.claims).toMatchObject([{ id: claimId, outcome: null }])
  valueOf(await addClaim(caseId, later))
  expect((await readCase(caseId))?.claims).toHaveLength(2)
})

test('a saved claim carries the outcome of its check to the docket, and its case to the top', async () => {
  const { caseId, claimId } = await openCase(now)
  await openCase(now)
  const draft = { ...EMPTY_DRAFT, claimedValue: '15', readings: '14.1 14.2 14.0 14.1' }
  expect(valueOf(await saveClaim(claimId, { draft, revision: 1 }, later))).toEqual({
    revision: 2,
    savedAt: later.toISOString(),
  })
  expect((await readDocket())[0]).toMatchObject({ id: caseId, claims: [{ outcome: 'contradicted' }] })
  valueOf(await saveClaim(claimId, { draft: { ...draft, claimedValue: '' }, revision: 2 }, later))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: null }])
})

test('a window that has not seen the last change is told, and overwrites nothing', async () => {
  const { caseId, claimId } = await openCase(now)
  const draft = { ...EMPTY_DRAFT, claimedValue: '15' }
  valueOf(await saveClaim(claimId, { draft, revision: 1 }, now))
  const late = await saveClaim(claimId, { draft: EMPTY_DRAFT, revision: 1 }, later)
  expect(late).toMatchObject({ ok: false, problem: { code: 'changed-elsewhere' } })
  expect((await readClaim(caseId, claimId))?.claim.draft.claimedValue).toBe('15')
})

test.each([
  ['no draft', { revision: 1 }],
  ['an unknown field', { draft: { ...EMPTY_DRAFT, verdict: 'guilty' }, revision: 1 }],
  ['an unknown relation', { draft: { ...EMPTY_DRAFT, relation: 'about' }, revision: 1 }],
  ['a revision that is none', { draft: EMPTY_DRAFT, revision: 0 }],
  ['a text that no database can keep', { draft: { ...EMPTY_DRAFT, unit: '\0' }, revision: 1 }],
  ['a wording without end', { draft: { ...EMPTY_DRAFT, wording: 'x'.repeat(501) }, revision: 1 }],
])('refuses %s', async (_, input) => {
  const { claimId } = await openCase(now)
  expect(await saveClaim(claimId, input, now)).toMatchObject({ ok: false, problem: { code: 'invalid' } })
})

test.each(['00', uuidv7(), "'; drop table claims; --"])('there is no claim and no case %p', async (id) => {
  const missing = { ok: false, problem: { code: 'not-found' } }
  const words = { reference: '', subject: '', party: '' }
  expect(await saveClaim(id, { draft: EMPTY_DRAFT, revision: 1 }, now)).toMatchObject(missing)
  expect(await saveCase(id, words, now)).toMatchObject(missing)
  expect(await addClaim(id, now)).toMatchObject(missing)
  expect(await readCase(id)).toBeUndefined()
  expect(await readClaim(id, id)).toBeUndefined()
})

test('a claim is found only under its own case', async () => {
  const [first, second] = [await openCase(now), await openCase(now)]
  expect(await readClaim(first.caseId, second.claimId)).toBeUndefined()
})

test('the words of a case are stored as typed', async () => {
  const { caseId } = await openCase(now)
  const words = { reference: 'WH-014', subject: '<script>alert(1)</script>', party: 'Brackwater Pelletworks' }
  valueOf(await saveCase(caseId, words, later))
  expect(await readCase(caseId)).toMatchObject(words)
})

test('the demo fills an empty database once, with a contradicted claim', async () => {
  const empty = await openMemoryDatabase()
  await fillWithDemo(empty)
  await fillWithDemo(empty)
  const cases = await empty.query.cases.findMany({ with: { claims: true } })
  expect(cases).toMatchObject([{ reference: 'WH-014', claims: [{ outcome: 'contradicted' }] }])
  await empty.$client.close()
})
