import { v7 as uuidv7 } from 'uuid'
import { EMPTY_DRAFT } from '@/core/claim/draft'
import { findCase, insertCase, listCases, updateCase } from './caseRepository'
import { findClaim, insertClaim, updateClaim } from './claimRepository'
import { type Database, openMemoryDatabase } from './client'

const now = new Date('2026-11-03T10:42:00Z')
const later = new Date('2026-11-03T10:43:00Z')
const draft = { ...EMPTY_DRAFT, claimedValue: '15.0', readings: '14.93\n15,x\n', unit: 'kg' }

let db: Database
beforeAll(async () => {
  db = await openMemoryDatabase()
})
afterAll(() => db.$client.close())

async function newCase(reference = 'WH-014') {
  const id = uuidv7()
  await insertCase(db, {
    id,
    reference,
    subject: 'Pellet sacks',
    party: 'Somebody',
    createdAt: now,
    updatedAt: now,
  })
  return id
}

async function newClaim(caseId: string) {
  const id = uuidv7()
  await insertClaim(db, { id, sampleId: uuidv7(), caseId, draft, outcome: null, now })
  return id
}

test('a claim comes back as it was typed, what cannot be read included', async () => {
  const caseId = await newCase()
  const id = await newClaim(caseId)
  expect(await findClaim(db, id)).toEqual({ id, caseId, draft, revision: 1, updatedAt: now })
})

test('a change is stored with the outcome it came to, and raises the revision', async () => {
  const caseId = await newCase()
  const id = await newClaim(caseId)
  const changed = { ...draft, claimedValue: '14.5', readings: '14.93\n15.1' }
  const change = { id, revision: 1, draft: changed, outcome: 'contradicted', now: later } as const
  expect(await updateClaim(db, change)).toBe(2)
  expect(await findClaim(db, id)).toEqual({ id, caseId, draft: changed, revision: 2, updatedAt: later })
  expect((await findCase(db, caseId))?.claims[0]?.outcome).toBe('contradicted')
})

test('a change made to an older revision changes nothing, its readings included', async () => {
  const id = await newClaim(await newCase())
  const change = (claimedValue: string, readings: string) => ({
    id,
    revision: 1,
    draft: { ...draft, claimedValue, readings },
    outcome: null,
    now: later,
  })
  expect(await updateClaim(db, change('14', '1'))).toBe(2)
  expect(await updateClaim(db, change('13', '2'))).toBeUndefined()
  expect((await findClaim(db, id))?.draft).toMatchObject({ claimedValue: '14', readings: '1' })
})

test('the claims of a case stand in the order in which they were added', async () => {
  const caseId = await newCase()
  const ids = [await newClaim(caseId), await newClaim(caseId), await newClaim(caseId)]
  expect((await findCase(db, caseId))?.claims.map(({ id }) => id)).toEqual(ids)
})

test('the case that changed last comes first', async () => {
  const [first, second] = [await newCase('A'), await newCase('B')]
  await updateCase(db, second, { subject: 'Stoves', updatedAt: later })
  await updateCase(db, first, { party: 'Nobody', updatedAt: new Date('2026-11-03T10:44:00Z') })
  const [top, next] = await listCases(db)
  expect(top).toMatchObject({ id: first, party: 'Nobody' })
  expect(next).toMatchObject({ id: second, subject: 'Stoves' })
})

test('what is not there is said to be missing', async () => {
  expect(await findClaim(db, uuidv7())).toBeUndefined()
  expect(await findCase(db, uuidv7())).toBeUndefined()
  expect(await updateCase(db, uuidv7(), { updatedAt: now })).toBe(false)
})

test('the database itself refuses words that the schema does not know', async () => {
  const caseId = await newCase()
  const wrong = { ...draft, relation: 'about' as 'within' }
  await expect(
    insertClaim(db, { id: uuidv7(), sampleId: uuidv7(), caseId, draft: wrong, outcome: null, now }),
  ).rejects.toMatchObject({ cause: { constraint: 'claims_relation_known' } })
})
