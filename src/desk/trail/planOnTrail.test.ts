import type { PlannedClaim } from '../lockedPlan'
import type { TrailAction } from './chain'
import { planOnTrail } from './planOnTrail'

const MASS: PlannedClaim = {
  claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
  test: { method: 't', significanceLevel: 0.05 },
  ...{ assume: { standardDeviation: 0.18 }, gap: 0.1, power: 0.9 },
}
const PLAN = {
  kind: 'true-weight-signed-plan',
  ...{ caseId: '0195a000-0000-7000-8000-000000000000', coreVersion: '1', claims: [MASS, MASS], units: 30 },
  ...{ lockedBy: 'A. Officer', lockedOn: '2026-11-03' },
}
type Line = Readonly<{ action: TrailAction; claimId?: string; sampleId?: string; after?: object }>
const trailOf = (lines: readonly Line[]) =>
  lines.map(({ action, claimId = null, sampleId = null, after = {} }, at) => ({
    ...{ number: at + 1, at: `2026-11-03T10:0${at}:00.000Z`, action, claimId, sampleId },
    ...{ before: '{}', after: JSON.stringify(after), detail: '' },
  }))
const planned = (claimId: string, place: number, jws = ''): Line => ({
  action: 'planned',
  claimId,
  sampleId: 'sample',
  after: { place, plan: PLAN, jws },
})
const readings: Line = { action: 'sample-changed', sampleId: 'sample', after: { readings: '14.9' } }
const about = { claimId: 'second', sampleIds: ['sample', null] }
const planOf = (...lines: readonly Line[]) => planOnTrail(trailOf(lines), about)

test('the plan of a claim is its own entry, with its place, its time and how it was signed', () => {
  const added: Line = { action: 'claim-added', claimId: 'second' }
  expect(planOf(added, planned('first', 1), planned('second', 2), readings)).toEqual({
    ...{ plan: PLAN, place: 2, isByKey: false, number: 3, at: '2026-11-03T10:02:00.000Z' },
  })
  expect(planOf(planned('second', 2, 'a.b.c'))).toMatchObject({ isByKey: true })
  expect(planOf(added, planned('first', 1))).toBeUndefined()
})

test('readings of its sample that were in before are told of by their entry', () => {
  expect(planOf(readings, planned('second', 2))).toMatchObject({ readingsBefore: 1 })
  expect(planOf(planned('second', 2), readings)).not.toHaveProperty('readingsBefore')
  expect(planOf({ ...readings, sampleId: 'other' }, planned('second', 2))).not.toHaveProperty(
    'readingsBefore',
  )
})

test('what holds no plan, or one without this claim, is none', () => {
  expect(planOf(planned('second', 3))).toBeUndefined()
  expect(planOf({ action: 'planned', claimId: 'second', after: { place: 1 } })).toBeUndefined()
})
