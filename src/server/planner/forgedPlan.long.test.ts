import { startTestDatabase } from '@tests/database'
import { keyEntries } from '@/data/schema'
import { verifyRecord } from '@/casefile/follows'
import type { LockedPlan, PlanEntry } from '@/desk/lockedPlan'
import { locked, contentOf, forged } from '@tests/plannedCase'

const database = startTestDatabase()

beforeEach(async () => {
  await database().delete(keyEntries)
})

const withPlan = (change: Partial<LockedPlan>) => (held: PlanEntry) => ({ plan: { ...held.plan, ...change } })

test.each<readonly [string, (held: PlanEntry) => Partial<PlanEntry>, object, string]>([
  ['other units', withPlan({ units: 20, draw: undefined }), {}, 'does not find what it says'],
  [
    'a draw of other units',
    withPlan({ draw: { lotSize: 960, count: 20, seed: 7 } }),
    { detail: 'Plan' },
    'is not what is locked',
  ],
  [
    'a draw of more than there are',
    withPlan({ draw: { lotSize: 20, count: 30, seed: 7 } }),
    { detail: 'Plan' },
    'is not what is locked',
  ],
  ['another case', withPlan({ caseId: '0195a000-0000-7000-8000-000000000000' }), {}, 'is of another case'],
  ['another name', withPlan({ lockedBy: 'B. Other' }), {}, 'was locked by B. Other'],
  ['a claim that the plan has not', () => ({ place: 3 }), { detail: 'Plan' }, 'is not what is locked'],
  [
    'another detail',
    () => ({}),
    { detail: 'Plan: 30 units, fingerprint x' },
    'is not the one that the entry',
  ],
  [
    'a claim that is not there',
    () => ({}),
    { claimId: '0195a000-0000-7000-8000-000000000000' },
    'is of a claim that is not',
  ],
  ['a signature of no key', () => ({ jws: 'x' }), {}, 'has a signature that is not what the key'],
  ['something before', () => ({}), { before: '{}' }, 'is not the one that the entry'],
])('a forged plan is told of: %s', async (_, change, facts, message) => {
  const { caseId } = await locked()
  const content = await contentOf(caseId)
  expect((await verifyRecord(forged(content, () => ({})))).breaks).toEqual([])
  const { breaks } = await verifyRecord(forged(content, change, facts))
  expect(breaks.map((one) => one.message).join()).toContain(`The plan in entry 4 of the trail ${message}`)
})
