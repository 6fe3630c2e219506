import { startTestDatabase } from '@tests/database'
import { BENCH_IDS, type BenchCheck, EMPTY_BENCH } from '@/desk/bench'
import { readClaim, readTold } from '../claim/readClaim'
import { openKnownCase } from '../case/changeCase'
import { readDocket } from '../docket/docket'
import { readContent } from '../keeping/readContent'
import { verifyRecord } from '@/casefile/follows'
import { keepCheck } from './keepCheck'

const now = new Date('2026-11-03T10:42:00Z')
const doer = { by: 'A. Officer', now }
const setAside = [{ row: 2, reason: 'torn sack', by: 'A. Officer' }]
const CHECK: BenchCheck = {
  ...EMPTY_BENCH,
  claim: { ...EMPTY_BENCH.claim, claimedValue: '15.2', unit: 'kg', quantity: 'net mass' },
  sample: { ...EMPTY_BENCH.sample, readings: '14.9\n14.8\n11\n14.95\n15.01', setAside },
}

const database = startTestDatabase()

async function keptIn(into: object, check: BenchCheck = CHECK) {
  const outcome = await keepCheck({ check, into, by: doer.by }, now)
  if (!outcome.ok) throw new Error(outcome.problem.message)
  const { caseId, claimId } = outcome.value
  return { caseId, claimId, found: (await readClaim(caseId, claimId))! }
}

test('a check is put into a new case whole, with how it came on the trail and in the finding', async () => {
  const { caseId, claimId, found } = await keptIn({ subject: 'Sacks of line 2' })
  expect(found.ownCase).toMatchObject({ subject: 'Sacks of line 2', openedOn: '2026-11-03' })
  expect(found.claim.draft).toEqual({ ...CHECK.claim, sampleId: found.sample.id })
  expect(found.ownCase.claims.map(({ outcome }) => outcome)).toEqual(['contradicted'])
  expect(found.sample.draft).toEqual(CHECK.sample)
  expect(found.samples).toHaveLength(1)
  expect((await readTold(claimId)).changedAfter).toContainEqual({ field: 'bench', number: 3 })
  const content = await readContent(database(), caseId)
  expect(await verifyRecord(content!)).toMatchObject({ breaks: [] })
  expect(content!.trail.map(({ action, who }) => [action, who])).toEqual(
    ['opened', 'sample-added', 'claim-added'].map((action) => [action, 'A. Officer']),
  )
})

test('a check is put into a case that is there, with a second sample where it has one', async () => {
  const opened = await openKnownCase({ reference: 'WH-1', subject: '', party: '' }, doer)
  if (!opened.ok) throw new Error(opened.problem.message)
  const { caseId } = opened.value
  const second = { ...EMPTY_BENCH.sample, readings: '1\n2\n4' }
  const both = { ...CHECK, second }
  const before = (await readClaim(caseId, (await keptIn({ caseId })).claimId))!.samples.length
  const withSecond = (secondSampleId: string | null) =>
    keptIn({ caseId }, { ...both, claim: { ...both.claim, parameter: 'variance-ratio', secondSampleId } })
  const two = await withSecond(BENCH_IDS.second)
  expect(two.found.second?.draft).toEqual(second)
  expect(two.found.samples).toHaveLength(before + 2)
  const same = await withSecond(BENCH_IDS.sample)
  expect(same.found.claim.draft.secondSampleId).toBe(same.found.sample.id)
  const open = await withSecond(null)
  expect(open.found.claim.draft.secondSampleId).toBeNull()
  expect(open.found.samples).toHaveLength(before + 4)
})

test.each([
  ['no case', { into: { caseId: '0195a000-0000-7000-8000-000000000000' } }, 'not-found'],
  ['no identifier', { into: { caseId: 'x' } }, 'not-found'],
  ['a case without a subject', { into: { subject: ' ' } }, 'invalid'],
  [
    'a sample of another case',
    { check: { ...CHECK, claim: { ...CHECK.claim, sampleId: BENCH_IDS.second } } },
    'invalid',
  ],
  ['a file that is not there', { check: { ...CHECK, sample: { ...CHECK.sample, kind: 'file' } } }, 'invalid'],
  ['a field that there is not', { check: { ...CHECK, outcome: 'supported' } }, 'invalid'],
])('what can not be put into a case changes nothing: %s', async (_, change, code) => {
  const { total } = await docket()
  const outcome = await keepCheck({ check: CHECK, into: { subject: 'x' }, by: '', ...change }, now)
  expect(outcome).toMatchObject({ ok: false, problem: { code } })
  expect((await docket()).total).toBe(total)
})

const docket = () =>
  readDocket({ state: 'any', order: 'changed', direction: 'falling', page: 0, pageSize: 1 })
