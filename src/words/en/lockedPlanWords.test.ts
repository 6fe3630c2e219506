import { plain } from '@tests/plain'
import type { LockedPlan, PlannedClaim } from '@/desk/lockedPlan'
import type { PlanOnTrail } from '@/desk/trail/planOnTrail'
import { lockedPlanWords, notChosenAfter, planDetail, planKeptWords } from './lockedPlanWords'

const MASS: PlannedClaim = {
  claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
  test: { method: 't', significanceLevel: 0.05 },
  ...{ assume: { standardDeviation: 0.18 }, gap: 0.1, power: 0.90648 },
}
const known = (
  claim: Partial<PlannedClaim> = {},
  more: Partial<PlanOnTrail> = {},
  plan: Partial<LockedPlan> = {},
): PlanOnTrail => ({
  plan: {
    kind: 'true-weight-signed-plan',
    ...{ caseId: '0195a000-0000-7000-8000-000000000000', coreVersion: '1', claims: [{ ...MASS, ...claim }] },
    ...{ units: 30, lockedBy: 'A. Officer', lockedOn: '2026-11-03', ...plan },
  },
  ...{ place: 1, isByKey: false, number: 4, at: '2026-11-03T10:42:00.000Z' },
  ...more,
})

test('what was locked is told with its units, its test, what it finds, by whom and when', () => {
  expect(plain(lockedPlanWords(known()))).toBe(
    'A plan was locked with no reading of its sample in, by A. Officer on 2026-11-03, by name (entry 4 of the trail, 2026-11-03 10:42:00 UTC): 30 units, by the t test at 5 %, to find a shortfall of 0.1 kg with a power of 90.6 %.',
  )
  const draw = { lotSize: 960, count: 30, seed: 7 }
  expect(plain(lockedPlanWords(known({}, { isByKey: true, readingsBefore: 3 }, { draw })))).toBe(
    'A plan was locked when readings of its sample were in already (entry 3), by A. Officer on 2026-11-03, with a key (entry 4 of the trail, 2026-11-03 10:42:00 UTC): 30 units, by the t test at 5 %, to find a shortfall of 0.1 kg with a power of 90.6 %. It draws 30 of the 960 units of the lot, by the seed 7; whether those are the units that were measured a plan cannot show.',
  )
  const within = { ...MASS.claim, relation: 'within' as const, tolerance: { below: 0.3, above: 0.3 } }
  expect(plain(planDetail(known({ claim: within }).plan, 1, { fingerprint: 'ab', key: 'k' }))).toBe(
    'Plan: 30 units, by the t test at 5 %, to show the claim where the truth is 0.1 kg from the middle with a power of 90.6 %, fingerprint ab, key k',
  )
})

test('whether it was kept is told line by line', () => {
  expect(planKeptWords(known(), [])).toMatch(/^As planned: what is claimed and who has to show it, the test/)
  const words = planKeptWords(known(), [
    { what: 'units', planned: 30, tested: 24 },
    { what: 'relation', planned: 'at-least', tested: 'more-than' },
    { what: 'value', planned: 15, tested: 14.9 },
    { what: 'method', planned: 't', tested: 'sign' },
    { what: 'knownStandardDeviation', planned: undefined, tested: 0.2 },
    { what: 'significanceLevel', planned: 0.05, tested: 0.1 },
    { what: 'untested' },
    { what: 'drawn', planned: 30, tested: 24, others: [] },
    { what: 'drawn', planned: 1200, tested: 0, others: ['1', '2', '3', '4', '5', '6', 'x'] },
    { what: 'drawn', planned: 7, tested: 7, others: ['1', '2', '3', '4', '5', '6'] },
    { what: 'drawn', planned: 7, tested: 7, others: ['8'] },
  ])
  expect(plain(words)).toBe(
    'Not as planned: 30 units planned, 24 tested; the relation was planned as “at least” and is “more than”; the claimed value was planned as 15 kg and is 14.9 kg; the method was planned as “t test” and is “sign test”; the known standard deviation was planned as “nothing” and is “0.2”; the significance level was planned as “0.05” and is “0.1”; a test was planned, and none was made; of the 30 units drawn 24 are noted with readings; of the 1,200 units drawn 0 are noted with readings, and noted besides are “1”, “2”, “3”, “4”, “5”, 2 more; of the 7 units drawn 7 are noted with readings, and noted besides are “1”, “2”, “3”, “4”, “5”, 1 more; of the 7 units drawn 7 are noted with readings, and noted besides are “8”.',
  )
})

test('what it answers claims no more than its place on the trail', () => {
  expect(notChosenAfter(known(), [])).toMatch(/: none of this was chosen after looking/)
  expect(notChosenAfter(known(), [{ what: 'untested' }])).toMatch(/: the rest was not chosen after looking/)
  expect(notChosenAfter(known({}, { readingsBefore: 3 }), [])).toBe(
    'The plan was locked when readings of its sample were in already.',
  )
})
