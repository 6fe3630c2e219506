import { startTestDatabase } from '@tests/database'
import { eq, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { AT_ONCE } from '@/answers/computing'
import { cases, trailEntries } from '@/data/schema'
import { chainOlderEntries } from '@/data/trailRepository'
import { calendarDay } from '@/intake/reading/date'
import { addEmptyClaim, changeState, openCase, openKnownCase, reorderClaims, saveCase } from './changeCase'
import { valueOf } from '@tests/outcome'
import { turn } from './discard'
import { readCase } from '../docket/docket'
import { duplicateCase } from './duplicateCase'
import { readClaim } from '../claim/readClaim'
import { readTogether } from './readTogether'
import { readRecord, readTrail } from './readTrail'
import { saveClaim } from '../claim/saveClaim'
import { readContentNow } from '../keeping/readContent'
import { readSampleDraft } from '../sample/readSample'
import { saveSample } from '../sample/saveSample'

const now = new Date('2026-11-05T08:00:00Z')
const today = calendarDay(now)
const doer = { by: ' A. Officer ', now }

const database = startTestDatabase()

const trailOf = async (caseId: string) => (await readTrail(caseId, { page: 0, pageSize: 100 }))!

test('everything that is done to a case is on its trail, in order, by whom and when, and the chain holds', async () => {
  const { caseId } = await openCase(doer)
  valueOf(await saveCase(caseId, { words: { subject: 'Sacks' }, by: 'B. Other' }, now))
  valueOf(await saveCase(caseId, { words: { subject: 'Sacks' }, by: 'B. Other' }, now))
  const { claimId } = valueOf(await addEmptyClaim(caseId, doer))
  const order = (await readCase(caseId))!.claims.map(({ id }) => id).toReversed()
  expect(order[0]).toBe(claimId)
  valueOf(await reorderClaims(caseId, { claimIds: order, by: '' }, now))
  for (const state of ['closed', 'archived', 'open'] as const) valueOf(await changeState(caseId, state, doer))
  const { entries, verdict } = await trailOf(caseId)
  expect(entries.toReversed().map(({ who, action }) => [who, action])).toEqual([
    ['A. Officer', 'opened'],
    ['A. Officer', 'sample-added'],
    ['A. Officer', 'claim-added'],
    ['B. Other', 'changed'],
    ['A. Officer', 'claim-added'],
    ['', 'claims-reordered'],
    ['A. Officer', 'closed'],
    ['A. Officer', 'archived'],
    ['A. Officer', 'reopened'],
  ])
  expect(entries[5]).toMatchObject({ before: '{"subject":""}', after: '{"subject":"Sacks"}' })
  expect(verdict).toMatchObject({ holds: true, length: 9 })
})

test('what is read of a case while others change it is of one moment', async () => {
  const { caseId } = await openCase(doer)
  const change = (at: number) => saveCase(caseId, { words: { subject: `Sacks ${at}` }, by: '' }, now)
  const looks = await Promise.all(
    Array.from({ length: 20 }, async (_, at) => {
      const [, trail, record, content] = await Promise.all([
        change(at),
        trailOf(caseId),
        readRecord(caseId, true),
        readContentNow(database(), caseId),
      ])
      return { trail, record: record!, content: content! }
    }),
  )
  for (const { trail, record, content } of looks) {
    expect(trail.verdict).toMatchObject({ holds: true, length: trail.total })
    expect(record.verdict).toEqual({ breaks: [], notes: [] })
    expect(content.trail.length).toBe(content.head.length)
  }
  // They did look in between.
  expect(new Set(looks.map(({ trail }) => trail.total)).size).toBeGreaterThan(1)
})

test('a trail is searched for who, what, before, after and when', async () => {
  const { caseId } = await openCase(doer)
  const later = new Date('2026-11-06T23:59:30Z')
  valueOf(await saveCase(caseId, { words: { subject: '100 % ash' }, by: 'B. Other' }, later))
  const found = async (text: string) => (await readTrail(caseId, { text, page: 0, pageSize: 100 }))!.total
  expect(await found('b. other')).toBe(1)
  expect(await found('100 % a')).toBe(1)
  expect(await found('100_')).toBe(0)
  expect(await found('2026-11-06 23:59')).toBe(1)
  expect(await found('2026-11')).toBe(4)
})

test('the day of closing is written down, and taken away when the case is opened again', async () => {
  const { caseId } = await openCase(doer)
  valueOf(await changeState(caseId, 'closed', doer))
  expect(await readCase(caseId)).toMatchObject({ state: 'closed', closedOn: today })
  valueOf(await changeState(caseId, 'open', doer))
  expect(await readCase(caseId)).toMatchObject({ state: 'open', closedOn: '', openedOn: today })
})

test('an order that leaves a claim out, or has another case’s, changes nothing', async () => {
  const { caseId, claimId } = await openCase(doer)
  const other = await openCase(doer)
  for (const claimIds of [[], [other.claimId], [claimId, claimId], [claimId, other.claimId]])
    expect(await reorderClaims(caseId, { claimIds, by: '' }, now)).toMatchObject({
      problem: { code: 'changed-elsewhere' },
    })
})

test('a change of one word by one window and of another by another both stay', async () => {
  const { caseId } = await openCase(doer)
  await Promise.all([
    saveCase(caseId, { words: { subject: 'Sacks' } }, now),
    saveCase(caseId, { words: { party: 'Somebody' } }, now),
    addEmptyClaim(caseId, doer),
    addEmptyClaim(caseId, doer),
  ])
  expect(await readCase(caseId)).toMatchObject({ subject: 'Sacks', party: 'Somebody' })
  expect((await readCase(caseId))!.claims).toHaveLength(3)
  expect(await trailOf(caseId)).toMatchObject({ verdict: { holds: true, length: 7 } })
})

test.each([
  ['ten megabytes of text in a title', { words: { subject: 'x'.repeat(10 * 1024 * 1024) } }],
  ['a character that no database can keep', { words: { subject: 'a\0b' } }],
  ['a word that no case has', { words: { colour: 'red' } }],
  ['no words', {}],
])('%s is refused, and what was there stays', async (_, input) => {
  const { caseId } = await openCase(doer)
  valueOf(await saveCase(caseId, { words: { subject: 'Sacks' } }, now))
  expect(await saveCase(caseId, input, now)).toMatchObject({ ok: false, problem: { code: 'invalid' } })
  expect((await readCase(caseId))?.subject).toBe('Sacks')
})

/** A case with one claim that comes to a finding. */
async function testedCase() {
  const { caseId, claimId } = await openCase(doer)
  const { claim } = (await readClaim(caseId, claimId))!
  const { sampleId } = claim.draft
  const { draft, revision } = valueOf(await readSampleDraft(sampleId))
  const sample = { ...draft, readings: '14.1 14.2 14.0 14.1', instrument: 'scale 3', drawnBy: 'B. Other' }
  valueOf(await saveSample(sampleId, { draft: sample, revision, by: '' }, now))
  const words = { ...claim.draft, claimedValue: '15', unit: 'kg', remarks: 'seen' }
  valueOf(await saveClaim(claimId, { draft: words, revision: 1 }, now))
  return { caseId, claimId }
}

test('a case after a pattern has its claims and nothing that was measured', async () => {
  const { caseId } = await testedCase()
  const { caseId: copy } = valueOf(await duplicateCase(caseId, doer))
  const [line] = (await readCase(copy))!.claims
  expect(line).toMatchObject({ claimedValue: '15', outcome: null })
  const { claim, sample } = (await readClaim(copy, line!.id))!
  expect(claim.draft).toMatchObject({ unit: 'kg', remarks: '' })
  expect(sample.draft).toMatchObject({ readings: '', instrument: 'scale 3', drawnBy: '' })
  const { verdict, entries } = await trailOf(copy)
  expect(verdict).toMatchObject({ holds: true })
  const after = (action: string) =>
    JSON.parse(entries.find((entry) => entry.action === action)!.after) as Record<string, unknown>
  expect(after('claim-added')).toMatchObject({ claimedValue: '15', unit: 'kg' })
  expect(after('sample-added')).toMatchObject({ instrument: 'scale 3' })
  expect((await readCase(caseId))!.claims[0]!.outcome).toBe('contradicted')
})

test('claims that can be tested are taken together, those that can’t are left out', async () => {
  const { caseId, claimId } = await testedCase()
  valueOf(await addEmptyClaim(caseId, doer))
  const [tested, ...more] = await readTogether(caseId)
  expect(more).toEqual([])
  expect(tested).toMatchObject({ claimId, outcome: 'contradicted', adjusted: { pValue: tested!.pValue } })
  // Nothing has changed, so it is not computed again; then something has.
  expect((await readTogether(caseId))[0]).toBe(tested)
  expect((await readTogether(caseId, 'intervals'))[0]!.intervals).toBeDefined()
  valueOf(await turn(caseId, { what: 'claim', id: claimId, isDiscarded: true }, doer))
  expect(await readTogether(caseId)).toEqual([])
})

test('what was computed while the case changed is not kept as what it comes to', async () => {
  const { caseId } = await testedCase()
  const { trailHash } = (await database().query.cases.findFirst({ where: eq(cases.id, caseId) }))!
  const standsAt = (hash: string) =>
    database().update(cases).set({ trailHash: hash }).where(eq(cases.id, caseId))
  const { check } = AT_ONCE
  const computed = jest.spyOn(AT_ONCE, 'check').mockImplementationOnce(async (document) => {
    await standsAt('f'.repeat(64))
    return check(document)
  })
  const [before] = await readTogether(caseId)
  expect(computed).toHaveBeenCalledTimes(1)
  await standsAt(trailHash)
  expect((await readTogether(caseId))[0]).not.toBe(before)
})

test('entries from before there was a chain are put into it, as they are', async () => {
  const { caseId } = await openCase(doer)
  await database().execute(sql`delete from trail_entries where case_id = ${caseId}`)
  await database().update(cases).set({ trailLength: 0, trailHash: '' }).where(eq(cases.id, caseId))
  const old = { caseId, at: now, who: 'B. Other', detail: 'Row 2: torn' }
  await database()
    .insert(trailEntries)
    .values([
      { ...old, id: uuidv7(), action: 'set-aside' },
      { ...old, id: uuidv7(), action: 'brought-back' },
    ])
  await database().inTransaction(chainOlderEntries)
  await database().inTransaction(chainOlderEntries)
  const { entries, verdict } = await trailOf(caseId)
  expect(verdict).toMatchObject({ holds: true, length: 2 })
  expect(entries.map(({ action, detail }) => [action, detail])).toEqual([
    ['brought-back', 'Row 2: torn'],
    ['set-aside', 'Row 2: torn'],
  ])
})

test('a trail that was altered in the database is told', async () => {
  const { caseId } = await openCase(doer)
  await database().update(trailEntries).set({ who: 'Nobody' }).where(eq(trailEntries.caseId, caseId))
  expect((await trailOf(caseId)).verdict).toEqual({ holds: false, number: 1, why: 'altered' })
})

test('a case is opened once something is known of it', async () => {
  const empty = { reference: ' ', subject: '', party: '' }
  expect(await openKnownCase(empty, doer)).toMatchObject({ ok: false, problem: { code: 'nothing-known' } })
  const { caseId } = valueOf(await openKnownCase({ ...empty, subject: 'Sacks' }, doer))
  expect(await readCase(caseId)).toMatchObject({ subject: 'Sacks', openedOn: today })
})
