import { startTestDatabase } from '@tests/database'
import { calendarDay } from '@/intake/reading/date'
import { addEmptyClaim, addEmptySample, openCase, reorderClaims } from './changeCase'
import { valueOf } from '@tests/outcome'
import { turn } from './discard'
import { readCase } from '../docket/docket'
import { readClaim } from '../claim/readClaim'
import { readTogether } from './readTogether'
import { readTrail } from './readTrail'
import { saveClaim } from '../claim/saveClaim'
import { signFinding } from '../finding/signFinding'
import { readSampleDraft, readSamplesOf } from '../sample/readSample'
import { saveSample } from '../sample/saveSample'

const now = new Date('2026-11-05T08:00:00Z')
const today = calendarDay(now)
const doer = { by: ' A. Officer ', now }

startTestDatabase()

const trailOf = async (caseId: string) => (await readTrail(caseId, { page: 0, pageSize: 100 }))!

test('what nothing rests on is discarded, on the trail, and taken up again with what it rests on', async () => {
  const { caseId, claimId } = await openCase(doer)
  const { sampleId } = (await readClaim(caseId, claimId))!.claim.draft
  const turned = (what: 'claim' | 'sample', id: string, isDiscarded: boolean) =>
    turn(caseId, { what, id, isDiscarded }, doer)
  expect(await turned('sample', sampleId, true)).toMatchObject({ problem: { code: 'rested-on' } })
  valueOf(await turned('claim', claimId, true))
  expect(await readCase(caseId)).toMatchObject({ claims: [], discarded: [{ id: claimId }] })
  expect(await readTogether(caseId)).toEqual([])
  valueOf(await turned('sample', sampleId, true))
  expect(await readSamplesOf(caseId)).toMatchObject([{ id: sampleId, isDiscarded: true }])
  const { claimId: other } = valueOf(await addEmptyClaim(caseId, doer))
  expect((await readClaim(caseId, other))!.claim.draft.sampleId).not.toBe(sampleId)
  valueOf(await reorderClaims(caseId, { claimIds: [other], by: '' }, now))
  valueOf(await turned('claim', claimId, false))
  expect((await readCase(caseId))?.claims.map(({ id }) => id)).toEqual([claimId, other])
  expect(await readSamplesOf(caseId)).toMatchObject([{ isDiscarded: false }, { isDiscarded: false }])
  const { entries, verdict } = await trailOf(caseId)
  const seen = entries.map(({ action }) => action)
  expect(seen.filter((action) => action === 'discarded' || action === 'taken-up')).toEqual([
    ...['taken-up', 'taken-up', 'discarded', 'discarded'],
  ])
  expect(verdict).toMatchObject({ holds: true })
})

test('a claim is not discarded by a change of its words, nor one of another case, nor what is nowhere', async () => {
  const { caseId, claimId } = await openCase(doer)
  const { draft, revision } = (await readClaim(caseId, claimId))!.claim
  const change = { draft: { ...draft, isDiscarded: true }, revision, by: '' }
  expect(await saveClaim(claimId, change, now)).toMatchObject({ problem: { path: 'draft.isDiscarded' } })
  const other = await openCase(doer)
  const turned = { what: 'claim', id: claimId, isDiscarded: true } as const
  expect(await turn(other.caseId, turned, doer)).toMatchObject({ problem: { code: 'not-found' } })
  expect(await turn(caseId, { ...turned, id: 'nowhere' }, doer)).toMatchObject({
    problem: { code: 'not-found' },
  })
})

test('another sample takes the place of an empty one, which is discarded; one with readings stays', async () => {
  const { caseId, claimId } = await openCase(doer)
  const { draft, revision } = (await readClaim(caseId, claimId))!.claim
  const { sampleId: second } = valueOf(await addEmptySample(caseId, doer))
  valueOf(await saveClaim(claimId, { draft: { ...draft, sampleId: second }, revision, by: '' }, now))
  expect(await readSamplesOf(caseId)).toMatchObject([
    { isDiscarded: true },
    { id: second, isDiscarded: false },
  ])
  const known = valueOf(await readSampleDraft(second))
  const typed = { draft: { ...known.draft, readings: '14.9' }, revision: known.revision, by: '' }
  valueOf(await saveSample(second, typed, now))
  const { sampleId: third } = valueOf(await addEmptySample(caseId, doer))
  const moved = (await readClaim(caseId, claimId))!.claim
  const change = { draft: { ...moved.draft, sampleId: third }, revision: moved.revision, by: '' }
  valueOf(await saveClaim(claimId, change, now))
  expect((await readSamplesOf(caseId)).map(({ isDiscarded }) => isDiscarded)).toEqual([true, false, false])
})

test('of a discarded claim nothing is signed, and no claim is held against a discarded sample', async () => {
  const { caseId, claimId } = await openCase(doer)
  const { draft, revision } = (await readClaim(caseId, claimId))!.claim
  const { sampleId: gone } = valueOf(await addEmptySample(caseId, doer))
  valueOf(await turn(caseId, { what: 'sample', id: gone, isDiscarded: true }, doer))
  const change = { draft: { ...draft, sampleId: gone }, revision, by: '' }
  expect(await saveClaim(claimId, change, now)).toMatchObject({ problem: { code: 'not-found' } })
  valueOf(await turn(caseId, { what: 'claim', id: claimId, isDiscarded: true }, doer))
  const signature = { signedBy: 'A. Officer', signedOn: today, inputFingerprint: '0'.repeat(64) }
  expect(await signFinding(claimId, signature, now)).toMatchObject({ problem: { code: 'discarded' } })
})
