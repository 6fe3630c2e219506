import { openTestDatabase } from '@tests/database'
import { sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { type DocketQuestion, findCase, findCases, insertCase, updateCase } from './caseRepository'
import { findClaim, insertClaim, listClaimsOf, orderClaims, updateClaim } from './claimRepository'
import type { Database } from './client'
import { holdCase } from './trailRepository'
import { findSample, insertSample, listSamples, updateSample } from './sampleRepository'

const now = new Date('2026-11-03T10:42:00Z')
const later = new Date('2026-11-03T10:43:00Z')
const typed = { ...EMPTY_SAMPLE, readings: '14.93\n15,x\n' }
const condition = { column: 'line', relation: 'is', value: 'A', upTo: '' } as const
const words = { ...EMPTY_CLAIM, claimedValue: '15,x', unit: 'kg', kept: [[condition]] }

const EVERY_CASE: DocketQuestion = {
  state: 'any',
  order: 'changed',
  direction: 'falling',
  page: 0,
  pageSize: 50,
}

let db: Database
beforeAll(async () => {
  db = await openTestDatabase()
})
afterAll(() => db.close())

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

async function newSample(caseId: string) {
  const id = uuidv7()
  await insertSample(db, { id, caseId, draft: typed, now })
  return id
}

async function newClaim(caseId: string, sampleId?: string) {
  const id = uuidv7()
  const draft = { ...words, sampleId: sampleId ?? (await newSample(caseId)) }
  await insertClaim(db, { id, caseId, draft, outcome: null, now })
  return { id, draft }
}

test('a claim comes back as it was typed, what cannot be read included', async () => {
  const caseId = await newCase()
  const { id, draft } = await newClaim(caseId)
  expect(await findClaim(db, id)).toEqual({ id, caseId, draft, revision: 1, createdAt: now, updatedAt: now })
  const sample = {
    id: draft.sampleId,
    caseId,
    draft: typed,
    file: null,
    revision: 1,
    createdAt: now,
    updatedAt: now,
  }
  expect(await findSample(db, draft.sampleId)).toEqual(sample)
})

test('a change is stored with the outcome it came to, and raises the revision', async () => {
  const caseId = await newCase()
  const { id, draft } = await newClaim(caseId)
  const changed = { ...draft, claimedValue: '14.5' }
  const change = { id, revision: 1, draft: changed, outcome: 'contradicted', now: later } as const
  expect(await updateClaim(db, change)).toBe(2)
  expect(await findClaim(db, id)).toEqual({
    id,
    caseId,
    draft: changed,
    revision: 2,
    createdAt: now,
    updatedAt: later,
  })
  expect((await findCase(db, caseId))?.claims[0]?.outcome).toBe('contradicted')
})

test('a change made to an older revision changes nothing', async () => {
  const { id, draft } = await newClaim(await newCase())
  const change = (claimedValue: string) => ({
    id,
    revision: 1,
    draft: { ...draft, claimedValue },
    outcome: null,
    now: later,
  })
  expect(await updateClaim(db, change('14'))).toBe(2)
  expect(await updateClaim(db, change('13'))).toBeUndefined()
  expect((await findClaim(db, id))?.draft).toMatchObject({ claimedValue: '14' })
  const sample = (readings: string) => ({
    id: draft.sampleId,
    revision: 1,
    draft: { ...typed, readings },
    now: later,
  })
  expect(await updateSample(db, sample('1'))).toBe(2)
  expect(await updateSample(db, sample('2'))).toBeUndefined()
  expect((await findSample(db, draft.sampleId))?.draft).toMatchObject({ readings: '1' })
})

test('a sample serves several claims of its case', async () => {
  const caseId = await newCase()
  const sampleId = await newSample(caseId)
  const claims = [await newClaim(caseId, sampleId), await newClaim(caseId, sampleId)]
  await newClaim(caseId)
  expect((await listClaimsOf(db, sampleId)).map(({ id }) => id)).toEqual(claims.map(({ id }) => id))
  expect(await listSamples(db, caseId)).toHaveLength(2)
})

test('the claims of a case stand in the order in which they were added', async () => {
  const caseId = await newCase()
  const ids = [await newClaim(caseId), await newClaim(caseId), await newClaim(caseId)].map(({ id }) => id)
  expect((await findCase(db, caseId))?.claims.map(({ id }) => id)).toEqual(ids)
})

test('the case that changed last comes first', async () => {
  const [first, second] = [await newCase('A'), await newCase('B')]
  await updateCase(db, second, { subject: 'Stoves', updatedAt: later })
  await updateCase(db, first, { party: 'Nobody', updatedAt: new Date('2026-11-03T10:44:00Z') })
  const [top, next] = (await findCases(db, EVERY_CASE)).cases
  expect(top).toMatchObject({ id: first, party: 'Nobody' })
  expect(next).toMatchObject({ id: second, subject: 'Stoves' })
})

test('what is not there is said to be missing', async () => {
  expect(await findClaim(db, uuidv7())).toBeUndefined()
  expect(await findCase(db, uuidv7())).toBeUndefined()
  expect(await holdCase(db, uuidv7())).toBeUndefined()
})

test('a name is stored as text, and one that this version does not know is refused when it is read', async () => {
  const caseId = await newCase()
  const wrong = { ...words, sampleId: await newSample(caseId), relation: 'about' as 'within' }
  const id = uuidv7()
  await insertClaim(db, { id, caseId, draft: wrong, outcome: null, now })
  await expect(findClaim(db, id)).rejects.toThrow('relation')
})

test('cases are found by their words and by those of their claims, and no character means more than itself', async () => {
  const caseId = await newCase('X-1_00 %')
  const { id, draft } = await newClaim(caseId)
  const change = { id, revision: 1, draft: { ...draft, wording: 'Burns all night' }, outcome: null, now }
  await updateClaim(db, change)
  const found = async (text: string) =>
    (await findCases(db, { ...EVERY_CASE, text })).cases.map((one) => one.id)
  expect(await found('x-1_0')).toEqual([caseId])
  expect(await found('ALL NIGHT')).toEqual([caseId])
  expect(await found('0 %')).toEqual([caseId])
  expect(await found('X_1')).toEqual([])
  expect(await found('\\')).toEqual([])
  const spaced = await newCase('12\u202f345')
  expect(await found('12 345')).toEqual([spaced])
  expect(await found('12\u00a0345')).toEqual([spaced])
})

test('the docket is sorted, filtered by state and by finding, and read by pages', async () => {
  const ids = []
  for (const reference of ['b-2', 'A-1', 'c-3']) ids.push(await newCase(`Sorting ${reference}`))
  const [b, a, c] = ids as [string, string, string]
  await updateCase(db, b, { state: 'archived' })
  const { id, draft } = await newClaim(c)
  await updateClaim(db, { id, revision: 1, draft, outcome: 'supported', now })
  await newClaim(a)
  const found = async (more: Partial<DocketQuestion>) => {
    const question = {
      ...EVERY_CASE,
      text: 'sorting',
      order: 'reference',
      direction: 'rising',
      ...more,
    } as const
    const { cases, total } = await findCases(db, question)
    return [cases.map((one) => one.id), total]
  }
  expect(await found({})).toEqual([[a, b, c], 3])
  expect(await found({ direction: 'falling' })).toEqual([[c, b, a], 3])
  expect(await found({ pageSize: 2 })).toEqual([[a, b], 3])
  expect(await found({ page: 1, pageSize: 2 })).toEqual([[c], 3])
  expect(await found({ page: 2, pageSize: 2 })).toEqual([[], 3])
  expect(await found({ text: 'sorting nothing' })).toEqual([[], 0])
  expect(await found({ state: 'current' })).toEqual([[a, c], 2])
  expect(await found({ state: 'archived' })).toEqual([[b], 1])
  expect(await found({ outcome: 'supported' })).toEqual([[c], 1])
  expect(await found({ outcome: 'none' })).toEqual([[a], 1])
})

test('claims are put in another order', async () => {
  const caseId = await newCase()
  const ids = [await newClaim(caseId), await newClaim(caseId), await newClaim(caseId)].map(({ id }) => id)
  const order = [ids[2]!, ids[0]!, ids[1]!]
  await orderClaims(db, order)
  expect((await findCase(db, caseId))?.claims.map(({ id }) => id)).toEqual(order)
})

test('times and days come as they are written, to the last digit, and not as dates of a computer', async () => {
  const found = await db.execute(
    sql`select timestamptz '2026-01-14 10:42:00.123456+00' as at, date '2026-01-14' as day`,
  )
  const [{ at, day }] = (found as unknown as { rows: [{ at: unknown; day: unknown }] }).rows
  expect(at).toMatch(/\.123456/)
  expect(day).toBe('2026-01-14')
})
