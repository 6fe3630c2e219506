import { eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { startTestDatabase } from '@tests/database'
import { valueOf } from '@tests/outcome'
import { doer, later, newCase, now, saveReadings } from '@tests/storedCase'
import { settleOutcome } from '@/data/claimRepository'
import { claims } from '@/data/schema'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { addEmptyClaim, addEmptySample, openCase, saveCase } from '../case/changeCase'
import { computeOutcomes } from '../check/laterOutcomes'
import { readClaim } from './readClaim'
import { saveClaim } from './saveClaim'
import { hasCases, readCase, readDocket } from '../docket/docket'
import { readSampleDraft } from '../sample/readSample'
import { saveSample } from '../sample/saveSample'

const database = startTestDatabase()
const EVERY_CASE = { state: 'any', order: 'changed', direction: 'falling', page: 0, pageSize: 50 } as const
const outcomes = globalThis as { trueWeightOutcomes?: object }
const EMPTY = { ...EMPTY_CLAIM, sampleId: uuidv7() }

test('a new case has one claim, open until it is filled in', async () => {
  expect(await hasCases()).toBe(false)
  const { caseId, claimId } = await openCase(doer)
  expect(await hasCases()).toBe(true)
  const found = await readClaim(caseId, claimId)
  expect(found?.claim).toMatchObject({ draft: EMPTY_CLAIM, revision: 1 })
  expect(found?.ownCase.claims).toMatchObject([{ id: claimId, outcome: null }])
  valueOf(await addEmptyClaim(caseId, doer))
  expect((await readCase(caseId))?.claims).toHaveLength(2)
})

test('a saved claim carries the outcome of its check to the docket, and its case to the top', async () => {
  const { caseId, claimId, sampleId, draft } = await newCase()
  await openCase(doer)
  valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1'))
  expect(valueOf(await saveClaim(claimId, { draft, revision: 1 }, later))).toEqual({
    revision: 2,
    savedAt: later.toISOString(),
  })
  expect((await readDocket(EVERY_CASE)).cases[0]).toMatchObject({
    id: caseId,
    claims: [{ outcome: 'contradicted' }],
  })
  valueOf(await saveClaim(claimId, { draft: { ...draft, claimedValue: '' }, revision: 2 }, later))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: null }])
})

test('a changed sample changes the outcome of every claim that it serves', async () => {
  const { caseId, claimId, sampleId, draft } = await newCase()
  valueOf(await saveClaim(claimId, { draft, revision: 1 }, now))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: null }])
  valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1'))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'contradicted' }])
  valueOf(await saveReadings(sampleId, '15.1 15.2 15.0 15.1'))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'not-contradicted' }])
})

test('a window that has not seen the last change is told, and overwrites nothing', async () => {
  const { caseId, claimId, sampleId, draft } = await newCase()
  valueOf(await saveClaim(claimId, { draft, revision: 1 }, now))
  const late = await saveClaim(claimId, { draft: { ...draft, claimedValue: '' }, revision: 1 }, later)
  expect(late).toMatchObject({ ok: false, problem: { code: 'changed-elsewhere' } })
  expect((await readClaim(caseId, claimId))?.claim.draft.claimedValue).toBe('15')
  valueOf(await saveReadings(sampleId, '1'))
  const change = { draft: EMPTY_SAMPLE, revision: 1, by: '' }
  expect(await saveSample(sampleId, change, later)).toMatchObject({ problem: { code: 'changed-elsewhere' } })
  expect(valueOf(await readSampleDraft(sampleId)).draft.readings).toBe('1')
})

test('a claim is held against samples of its own case only', async () => {
  const { claimId, draft } = await newCase()
  const { sampleId } = await newCase()
  const saved = await saveClaim(claimId, { draft: { ...draft, sampleId }, revision: 1 }, now)
  expect(saved).toMatchObject({ ok: false, problem: { code: 'not-found' } })
})

test.each([
  ['no draft', { revision: 1 }],
  ['an unknown field', { draft: { ...EMPTY, verdict: 'guilty' }, revision: 1 }],
  ['an unknown relation', { draft: { ...EMPTY, relation: 'about' }, revision: 1 }],
  ['a revision that is none', { draft: EMPTY, revision: 0 }],
  ['a text that no database can keep', { draft: { ...EMPTY, unit: '\0' }, revision: 1 }],
  ['a wording without end', { draft: { ...EMPTY, wording: 'x'.repeat(501) }, revision: 1 }],
])('refuses %s', async (_, input) => {
  const { claimId } = await openCase(doer)
  expect(await saveClaim(claimId, input, now)).toMatchObject({ ok: false, problem: { code: 'invalid' } })
})

test.each(['00', uuidv7(), "'; drop table claims; --"])('there is no claim and no case %p', async (id) => {
  const missing = { ok: false, problem: { code: 'not-found' } }
  const words = { words: { reference: '' } }
  expect(await saveClaim(id, { draft: EMPTY, revision: 1 }, now)).toMatchObject(missing)
  expect(await saveCase(id, words, now)).toMatchObject(missing)
  expect(await addEmptyClaim(id, doer)).toMatchObject(missing)
  expect(await readCase(id)).toBeUndefined()
  expect(await readClaim(id, id)).toBeUndefined()
})

test('a claim is found only under its own case', async () => {
  const [first, second] = [await openCase(doer), await openCase(doer)]
  expect(await readClaim(first.caseId, second.claimId)).toBeUndefined()
})

test('the words of a case are stored as typed', async () => {
  const { caseId } = await openCase(doer)
  const words = { reference: 'WH-014', subject: '<script>alert(1)</script>', party: 'Brackwater Pelletworks' }
  valueOf(await saveCase(caseId, { words }, later))
  expect(await readCase(caseId)).toMatchObject(words)
})

test('an outcome that takes long is stored as being computed, and filled in once it is known', async () => {
  const { caseId, claimId, draft, sampleId } = await newCase()
  const readings = Array.from({ length: 400 }, (_, at) => (14 + (at % 10) / 100).toFixed(2))
  const bootstrap = { ...draft, method: 'bootstrap' } as const
  valueOf(await saveReadings(sampleId, readings.join(' ')))
  // Another is being computed meanwhile.
  const running = { isRunning: true, isAgain: false, wanting: new WeakSet<object>() }
  outcomes.trueWeightOutcomes = running
  valueOf(await saveClaim(claimId, { draft: bootstrap, revision: 1 }, later))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: null, isComputing: true }])
  expect(running.isAgain).toBe(true)
  running.isRunning = false
  computeOutcomes(database())
  const settled = async () => {
    for (;;) {
      const [claim] = (await readCase(caseId))!.claims
      if (!claim!.isComputing) return claim!.outcome
    }
  }
  expect(await settled()).toBe('contradicted')
  // What is computed of a claim that was changed meanwhile is not taken for what it comes to now.
  valueOf(await saveClaim(claimId, { draft: { ...bootstrap, claimedValue: '14' }, revision: 2 }, later))
  valueOf(await saveReadings(sampleId, readings.map((one) => `${Number(one) - 1}`).join(' ')))
  expect(await settled()).toBe('contradicted')
  valueOf(await saveClaim(claimId, { draft: { ...bootstrap, claimedValue: '13' }, revision: 3 }, later))
  expect(await settled()).toBe('not-contradicted')
})

test('what is computed does not take the place of what was changed meanwhile', async () => {
  const { claimId, draft, caseId } = await newCase()
  const db = database()
  await db.update(claims).set({ isComputing: true }).where(eq(claims.id, claimId))
  const { trailHash } = (await readCase(caseId))!
  await settleOutcome(db, { id: claimId, trailHash: 'an earlier one' }, 'supported')
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: null, isComputing: true }])
  await settleOutcome(db, { id: claimId, trailHash }, 'supported')
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'supported', isComputing: false }])
  await settleOutcome(db, { id: claimId, trailHash }, 'contradicted')
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'supported' }])
  valueOf(await saveClaim(claimId, { draft, revision: 1 }, later))
})

test('a claim about two sources follows a change of either, and takes no sample of another case', async () => {
  const { caseId, claimId, sampleId, draft } = await newCase()
  const { sampleId: other } = valueOf(await addEmptySample(caseId, doer))
  const two = {
    ...draft,
    parameter: 'variance-ratio',
    relation: 'equal-to',
    claimedValue: '1',
    secondSampleId: other,
  } as const
  valueOf(await saveReadings(sampleId, '14 15 16 17 18 19'))
  valueOf(await saveReadings(other, '14 15 16 17 18 20'))
  valueOf(await saveClaim(claimId, { draft: two, revision: 1 }, later))
  const outcome = async () => (await readCase(caseId))?.claims.find(({ id }) => id === claimId)?.outcome
  expect(await outcome()).toBe('not-contradicted')
  valueOf(await saveReadings(other, '1\n150\n3\n400\n5\n999'))
  expect(await outcome()).toBe('contradicted')
  expect((await readClaim(caseId, claimId))?.second?.id).toBe(other)
  const elsewhere = await newCase()
  const wrong = { ...two, secondSampleId: elsewhere.sampleId }
  expect(await saveClaim(claimId, { draft: wrong, revision: 2 }, later)).toMatchObject({
    ok: false,
    problem: { code: 'not-found' },
  })
})
