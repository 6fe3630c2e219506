import { startTestDatabase } from '@tests/database'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { verify } from '@/cli/verify'
import { keyEntries } from '@/data/schema'
import { verifyRecord } from '@/casefile/follows'
import { EMPTY_PLAN_CLAIM, type PlanClaim } from '@/desk/planDraft'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { markdownOf } from '@/report/markdown'
import { reportOf } from '@/report/report'
import { newKey, proofOf, signedBy } from '@tests/keys'
import { codeOf, valueOf } from '@tests/outcome'
import { addEmptyClaim, changeState } from '../case/changeCase'
import { readClaim, readTold } from '../claim/readClaim'
import { saveClaim } from '../claim/saveClaim'
import { readDocket } from '../docket/docket'
import { exportCase } from '../keeping/caseFile'
import { enterKey } from '../keys/keys'
import { readSampleDraft } from '../sample/readSample'
import { saveSample } from '../sample/saveSample'
import { lockPlan, openCaseFor, readPlanToSign } from './lockPlan'
import {
  later,
  contentOf,
  locked,
  DRAFT,
  facts,
  MASS,
  doer,
  now,
  newCase,
  SPREAD,
  forged,
} from '@tests/plannedCase'

const database = startTestDatabase()

beforeEach(async () => {
  await database().delete(keyEntries)
})

async function measure(claimId: string, caseId: string, readings: readonly number[]) {
  const { sampleId } = (await readClaim(caseId, claimId))!.claim.draft
  const { draft, revision } = valueOf(await readSampleDraft(sampleId))
  const change = { draft: { ...draft, readings: readings.join('\n') }, revision, by: 'A. Officer' }
  valueOf(await saveSample(sampleId, change, later))
}

const READINGS = Array.from({ length: 30 }, (_, at) => 14.9 + ((at * 7) % 11) / 50)

async function reported(caseId: string): Promise<string> {
  const content = await contentOf(caseId)
  return markdownOf(await reportOf(content, USUAL_OPTIONS))
}

test('a plan is locked whole: an empty sample, a claim for each of it, and the plan on the trail of each', async () => {
  const { caseId, claimId } = await locked()
  const content = await contentOf(caseId)
  expect(content.trail.map(({ action, who }) => [action, who])).toEqual(
    ['opened', 'sample-added', 'claim-added', 'planned', 'claim-added', 'planned'].map((action) => [
      action,
      'A. Officer',
    ]),
  )
  expect(content.samples.map(({ draft }) => draft)).toMatchObject([
    { readings: '', strataSizes: 'north = 400\nsouth = 560', groupedBy: 'none' },
  ])
  expect(content.claims.map(({ draft }) => [draft.parameter, draft.claimedValue, draft.sampleId])).toEqual([
    ['mean', '15', content.samples[0]!.id],
    ['standard-deviation', '0.3', content.samples[0]!.id],
  ])
  expect(await verifyRecord(content)).toMatchObject({ breaks: [] })
  const { plan } = await readTold(claimId)
  expect(plan).toMatchObject({ place: 1, isByKey: false, number: 4 })
  expect(plan).not.toHaveProperty('readingsBefore')
  // The noncentral t distribution of SciPy.
  expect(plan!.plan.claims[0]!.power).toBeCloseTo(0.9075578711963973, 12)
  expect(plan!.plan.draw).toEqual({
    layers: [
      { name: 'north', units: 400 },
      { name: 'south', units: 560 },
    ],
    ...{ count: 30, seed: 7 },
  })
})

test('a report says whether the plan was kept', async () => {
  const { caseId, claimId } = await locked()
  expect(await reported(caseId)).toContain(
    'A plan was locked with no reading of its sample in, by A. Officer',
  )
  await measure(claimId, caseId, READINGS)
  expect(await reported(caseId)).toContain('As planned: what is claimed')
  const { draft, revision } = (await readClaim(caseId, claimId))!.claim
  const change = { ...draft, relation: 'more-than' as const }
  valueOf(await saveClaim(claimId, { draft: change, revision, by: '' }, later))
  await measure(claimId, caseId, READINGS.slice(0, 24))
  expect(await reported(caseId)).toContain(
    'Not as planned: 30 units planned, 24 tested; the relation was planned as “at least” and is “more than”',
  )
  expect(await verifyRecord(await contentOf(caseId))).toMatchObject({ breaks: [] })
})

test('a claim that is held against readings of before its plan says so', async () => {
  const { caseId, claimId } = await locked()
  await measure(claimId, caseId, READINGS)
  const { claimId: second } = valueOf(await lockPlan(caseId, { draft: DRAFT, ...facts }, later))
  const { sampleId } = (await readClaim(caseId, claimId))!.claim.draft
  const { draft, revision } = (await readClaim(caseId, second))!.claim
  valueOf(await saveClaim(second, { draft: { ...draft, sampleId }, revision, by: '' }, later))
  expect((await readTold(second)).plan).toMatchObject({ readingsBefore: 7, number: 10 })
})

test('the lot that layers make is the sample’s, so that a share is tested as it was planned', async () => {
  const share: PlanClaim = { ...EMPTY_PLAN_CLAIM, parameter: 'proportion', claimedValue: '95 %', gap: '10 %' }
  const { caseId, claimId } = await locked({ ...DRAFT, claims: [share], units: '75' })
  const { sampleId } = (await readClaim(caseId, claimId))!.claim.draft
  const { draft, revision } = valueOf(await readSampleDraft(sampleId))
  expect(draft.lotSize).toBe('960')
  const counted = { ...draft, kind: 'count' as const, count: '74 of 75' }
  valueOf(await saveSample(sampleId, { draft: counted, revision, by: '' }, later))
  const text = await reported(caseId)
  expect(text).toContain('by the hypergeometric test')
  expect(text).toContain('As planned: what is claimed')
})

test('a plan that is as good as sure can be read again', async () => {
  const within: PlanClaim = {
    ...MASS,
    relation: 'within',
    toleranceBelow: '1',
    toleranceAbove: '1',
    scatter: '1',
    gap: '0.5',
  }
  const { caseId, claimId } = await locked({ ...DRAFT, claims: [within], units: '100000', layers: '' })
  expect((await readTold(claimId)).plan!.plan.claims[0]!.power).toBe(1)
  expect(await verifyRecord(await contentOf(caseId))).toMatchObject({ breaks: [] })
})

test('another claim on the sample of a plan is told that it is none of it', async () => {
  const { caseId, claimId } = await locked()
  const { claimId: other } = valueOf(await addEmptyClaim(caseId, doer))
  const { sampleId } = (await readClaim(caseId, claimId))!.claim.draft
  expect((await readClaim(caseId, other))!.claim.draft.sampleId).toBe(sampleId)
  expect(await readTold(other)).toEqual({
    plan: undefined,
    changedAfter: [{ field: 'unplanned', number: 4 }],
  })
  expect((await readTold(claimId)).changedAfter).toEqual([])
  expect(await reported(caseId)).toContain(
    'A plan was locked for this sample (entry 4 of the trail), and this claim is none',
  )
})

test('the plan goes with the case file, which holds', async () => {
  const { caseId } = await locked()
  const pieces = []
  for await (const piece of valueOf(await exportCase(caseId)).bytes) pieces.push(piece)
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-plan-')), 'case.zip')
  writeFileSync(file, Buffer.concat(pieces))
  expect(await verify(file)).toMatchObject({ holds: true })
})

test('who has a key on the register signs a plan with it, over the case as it stands', async () => {
  const own = newKey('A. Officer')
  valueOf(await enterKey({ proof: proofOf(own, now.toISOString()) }, now))
  const caseId = await newCase()
  const input = { draft: DRAFT, ...facts }
  expect(codeOf(await lockPlan(caseId, input, later))).toBe('key-needed')
  const asked = valueOf(await readPlanToSign(caseId, input, later))
  const jws = signedBy(own, asked.statement)
  expect(codeOf(await lockPlan(caseId, { ...input, draft: { ...DRAFT, units: '31' }, jws }, later))).toBe(
    'changed-elsewhere',
  )
  expect(codeOf(await lockPlan(caseId, { ...input, jws: `${jws.slice(0, -4)}AAAA` }, later))).toBe('key')
  const { claimId } = valueOf(await lockPlan(caseId, { ...input, jws }, later))
  expect((await readTold(claimId)).plan).toMatchObject({ isByKey: true })
  expect(await verifyRecord(await contentOf(caseId))).toMatchObject({ breaks: [] })
  // Signed for the case as it stood: not once more.
  expect(codeOf(await lockPlan(caseId, { ...input, jws }, later))).toBe('changed-elsewhere')
})

test.each<readonly [string, object, string]>([
  ['nobody', { lockedBy: ' ' }, 'name-needed'],
  ['no day', { lockedOn: 'today' }, 'day-needed'],
  ['a day to come', { lockedOn: '2026-11-05' }, 'day-needed'],
  ['no units', { draft: { ...DRAFT, units: '' } }, 'not-planned'],
  ['half a unit', { draft: { ...DRAFT, units: '30.5' } }, 'not-planned'],
  ['no gap', { draft: { ...DRAFT, claims: [{ ...MASS, gap: '' }] } }, 'not-planned'],
  ['no value', { draft: { ...DRAFT, claims: [{ ...MASS, claimedValue: 'heavy' }] } }, 'not-planned'],
  [
    'a gap beyond all values',
    { draft: { ...DRAFT, claims: [SPREAD, { ...SPREAD, relation: 'at-least', gap: '0.4' }] } },
    'not-planned',
  ],
  ['no seed', { draft: { ...DRAFT, seed: '-1' } }, 'not-planned'],
  ['layers that are none', { draft: { ...DRAFT, layers: 'north' } }, 'not-planned'],
  [
    'more than anybody draws',
    { draft: { ...DRAFT, units: '2000000', layers: '', lotSize: '5000000' } },
    'not-planned',
  ],
  ['no claim', { draft: { ...DRAFT, claims: [] } }, 'invalid'],
  ['more than is asked', { at: '2020-01-01' }, 'invalid'],
])('what is no plan locks nothing: %s', async (_, change, code) => {
  const caseId = await newCase()
  expect(codeOf(await lockPlan(caseId, { draft: DRAFT, ...facts, ...change }, later))).toBe(code)
  expect((await contentOf(caseId)).trail).toHaveLength(1)
})

test('a case that is closed, or not there, takes no plan; one without a subject is not opened', async () => {
  const caseId = await newCase()
  valueOf(await changeState(caseId, 'closed', doer))
  const input = { draft: DRAFT, ...facts }
  expect(codeOf(await lockPlan(caseId, input, later))).toBe('not-open')
  expect(codeOf(await lockPlan('0195a000-0000-7000-8000-000000000000', input, later))).toBe('not-found')
  expect(codeOf(await lockPlan('x', input, later))).toBe('not-found')
  const total = async () =>
    (await readDocket({ state: 'any', order: 'changed', direction: 'falling', page: 0, pageSize: 1 })).total
  const before = await total()
  expect(codeOf(await openCaseFor('  ', doer))).toBe('nothing-known')
  expect(codeOf(await openCaseFor({}, doer))).toBe('invalid')
  expect(await total()).toBe(before)
})

test('a claim has one plan', async () => {
  const { caseId } = await locked()
  const content = await contentOf(caseId)
  const [first] = content.claims
  const twice = {
    ...content,
    trail: content.trail.map((entry) =>
      entry.action === 'planned' ? { ...entry, claimId: first!.id } : entry,
    ),
  }
  const chain = forged(twice, () => ({}))
  expect((await verifyRecord(chain)).breaks.map(({ message }) => message)).toEqual([
    'The plan in entry 6 of the trail is another one of a claim that entry 4 has a plan of.',
  ])
})
