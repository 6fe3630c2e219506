import { check } from '@/answers/check'
import type { ClaimResult } from '@/claims/checkAnswer'
import type { CheckDocument } from '@/claims/terms/request'
import { CORE_VERSION } from '@/claims/terms/version'
import type { LockedPlan, PlannedClaim } from './lockedPlan'
import { departures } from './planKept'

const MASS: PlannedClaim = {
  claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg', quantity: 'net mass' },
  test: { method: 't', significanceLevel: 0.05 },
  ...{ assume: { standardDeviation: 0.18 }, gap: 0.1, power: 0.9 },
}
const planOf = (claim: PlannedClaim, units: number): LockedPlan => ({
  kind: 'true-weight-signed-plan',
  ...{ caseId: '0195a000-0000-7000-8000-000000000000', coreVersion: CORE_VERSION, claims: [claim], units },
  ...{ lockedBy: 'A. Officer', lockedOn: '2026-11-03' },
})
const DRAW = {
  layers: [
    { name: 'north', units: 2 },
    { name: 'south', units: 4 },
  ],
  count: 6,
  seed: 7,
}
const READINGS: CheckDocument = {
  claim: { ...MASS.claim, wording: 'at least 15 kg net' },
  evidence: { kind: 'readings', values: [14.9, 15.1, 15, 14.8, 15.2, 14.7] },
}
function departed(document: CheckDocument, claim = MASS, units = 6, noted: readonly string[] = []) {
  const result = check(document)
  if (!result.ok) throw new Error(result.error.message)
  const plan = { ...planOf(claim, units), draw: DRAW }
  return departures(plan, 1, { document, result: result as ClaimResult }, noted)
}
const changed = (change: Partial<CheckDocument>) => departed({ ...READINGS, ...change } as CheckDocument)

test('a plan is kept where the claim, its test, its level and its units are the planned ones', () => {
  expect(departed(READINGS)).toEqual([])
  // A burden that is stated is the one that the words carry.
  expect(changed({ claim: { ...MASS.claim, burden: 'challenge' } })).toEqual([])
  expect(changed({ test: { method: 't', significanceLevel: 0.05, confidenceLevel: 0.99 } })).toEqual([])
})

test.each<readonly [string, Partial<CheckDocument>, readonly object[]]>([
  [
    'units',
    { evidence: { kind: 'readings', values: [14.9, 15.1, 15, 14.8, 15.2, 14.7], setAside: [5] } },
    [{ what: 'units', planned: 6, tested: 5 }],
  ],
  [
    'the relation and the value',
    { claim: { ...MASS.claim, relation: 'more-than', value: 14.9 } },
    [
      { what: 'relation', planned: 'at-least', tested: 'more-than' },
      { what: 'value', planned: 15, tested: 14.9 },
      { what: 'burden', planned: 'challenge', tested: 'substantiate' },
    ],
  ],
  [
    'the burden',
    { claim: { ...MASS.claim, burden: 'substantiate' } },
    [{ what: 'burden', planned: 'challenge', tested: 'substantiate' }],
  ],
  [
    'the level',
    { test: { significanceLevel: 0.1 } },
    [{ what: 'significanceLevel', planned: 0.05, tested: 0.1 }],
  ],
  ['the unit', { claim: { ...MASS.claim, unit: 'g' } }, [{ what: 'unit', planned: 'kg', tested: 'g' }]],
  [
    'a spread that is said to be known, and the test with it',
    { test: { knownStandardDeviation: 0.2 } },
    [
      { what: 'method', planned: 't', tested: 'z' },
      { what: 'knownStandardDeviation', planned: undefined, tested: 0.2 },
    ],
  ],
])('is told of: %s', (_, change, expected) => {
  expect(changed(change)).toEqual(expected)
})

test('a spread that the plan took for known may be', () => {
  const known: PlannedClaim = { ...MASS, test: { method: 'z', significanceLevel: 0.05 } }
  const at = (knownStandardDeviation: number) =>
    departed({ ...READINGS, test: { method: 'z', knownStandardDeviation } }, known)
  expect(at(0.18)).toEqual([])
  expect(at(0.2)).toMatchObject([{ what: 'knownStandardDeviation', planned: 0.18, tested: 0.2 }])
})

test('of a rate the exposure is counted, of a ratio the readings of either source', () => {
  const rate: PlannedClaim = {
    claim: { parameter: 'rate', relation: 'at-most', value: 2, exposureUnit: 'hour' },
    test: { method: 'exact-poisson', significanceLevel: 0.05 },
    ...{ assume: {}, gap: 1, power: 0.9 },
  }
  const events: CheckDocument = {
    claim: rate.claim,
    evidence: { kind: 'events', events: 30, exposure: 12.5 },
  }
  expect(departed(events, rate, 12.5)).toEqual([])
  expect(departed(events, rate, 12)).toEqual([{ what: 'units', planned: 12, tested: 12.5 }])
  const ratio: PlannedClaim = {
    claim: { parameter: 'variance-ratio', relation: 'at-most', value: 1 },
    test: { method: 'f', significanceLevel: 0.05 },
    ...{ assume: {}, gap: 1, power: 0.9 },
  }
  const two: CheckDocument = {
    claim: ratio.claim,
    evidence: { kind: 'two-readings', first: [1, 2, 4], second: [1, 3, 4, 7] },
  }
  expect(departed(two, ratio, 3)).toEqual([{ what: 'units', planned: 3, tested: 4 }])
})

test('units that are noted with readings are those of the draw, each once', () => {
  const drawn = ['south 4', 'north 1', 'north 2', 'south 1', 'south 3', 'south 2']
  const noted = (units: readonly string[]) => departed(READINGS, MASS, 6, units)
  expect(noted(drawn)).toEqual([])
  expect(noted(['north 1'])).toEqual([{ what: 'drawn', planned: 6, tested: 1, others: [] }])
  expect(noted(drawn.slice(1))).toEqual([{ what: 'drawn', planned: 6, tested: 5, others: [] }])
  expect(noted([...drawn, 'north 2', '4'])).toEqual([
    { what: 'drawn', planned: 6, tested: 6, others: ['north 2', '4'] },
  ])
})

test('a lot that was measured whole was not tested', () => {
  const whole: CheckDocument = {
    ...READINGS,
    evidence: { kind: 'readings', values: [14.9, 15.1, 15], lotSize: 3 },
  }
  expect(departed(whole)).toEqual([{ what: 'untested' }])
})
