import { EMPTY_PLAN, EMPTY_PLAN_CLAIM, type PlanClaim, type PlanDraft } from '@/desk/planDraft'
import { curveOverGap, curveOverUnits, gapFound, planning, powerToFind } from './planning'

const MEAN: PlanClaim = { ...EMPTY_PLAN_CLAIM, claimedValue: '15', gap: '0.1', scatter: '0.18' }
const SPREAD: PlanClaim = {
  ...EMPTY_PLAN_CLAIM,
  ...{ parameter: 'standard-deviation', relation: 'at-most', claimedValue: '0.3', gap: '0.1' },
}
const SHARE: PlanClaim = { ...EMPTY_PLAN_CLAIM, parameter: 'proportion', claimedValue: '95 %', gap: '10 %' }
const plan = (claims: readonly PlanClaim[], more: Partial<PlanDraft> = {}): PlanDraft => ({
  ...EMPTY_PLAN,
  claims,
  ...more,
})
const foundOf = (draft: PlanDraft) => planning(draft).claims[0]!.found!

test('the units that serve all claims are the most that one of them needs', () => {
  const { claims, units } = planning(plan([MEAN, SPREAD]))
  const [mean, spread] = claims.map(({ found }) => found!.n)
  expect(mean).toBe(30)
  expect(units).toBe(Math.max(mean!, spread!))
  expect(spread).not.toBe(mean)
})

test('claims that are counted in other units, or can not be planned, have no common number', () => {
  const rate: PlanClaim = {
    ...EMPTY_PLAN_CLAIM,
    parameter: 'rate',
    relation: 'at-most',
    claimedValue: '2',
    gap: '1',
    exposureUnit: 'hour',
  }
  expect(planning(plan([MEAN, rate])).units).toBeUndefined()
  expect(planning(plan([MEAN, { ...MEAN, gap: '' }])).units).toBeUndefined()
})

test('each of the three follows from the other two', () => {
  const { n, power } = foundOf(plan([MEAN]))
  expect(power).toBeGreaterThanOrEqual(0.9)
  expect(foundOf(plan([MEAN], { wanted: 'power', units: String(n) })).power).toBe(power)
  const { gap, truths } = foundOf(plan([MEAN], { wanted: 'gap', units: String(n) }))
  expect(gap).toBeLessThan(0.1)
  expect(truths).toEqual([Number((15 - gap).toPrecision(15))])
})

test('of two sides that are not alike the sample serves the harder one', () => {
  const draft = plan([{ ...SHARE, relation: 'equal-to', claimedValue: '30 %' }])
  const { truths, n, power } = foundOf(draft)
  expect(truths).toEqual([0.2, 0.4])
  const oneSided = (gap: number) => powerToFind(foundOf(draft), gap, n)!
  expect(power).toBe(oneSided(0.1))
  expect(power).toBeGreaterThanOrEqual(0.9)
  // What is found sooner lies on one side.
  expect(foundOf({ ...draft, wanted: 'gap', units: '100' }).truths).toHaveLength(1)
})

test('what can not be planned says why', () => {
  const problemOf = (draft: PlanDraft) => planning(draft).claims[0]!.problem
  expect(problemOf(plan([{ ...SHARE, gap: '99 %' }]))).toMatch(/share/)
  expect(problemOf(plan([MEAN], { wanted: 'power', units: '20.5' }))).toMatch(/whole number/)
  expect(problemOf(plan([MEAN], { wanted: 'power', units: '1' }))).toMatch(/at least 2/)
  expect(problemOf(plan([MEAN], { lotSize: '20' }))).toMatch(/20/)
  expect(problemOf(plan([{ ...MEAN, relation: 'different-from', burden: 'challenge' }]))).toBeTruthy()
  expect(problemOf(plan([{ ...SHARE, relation: 'equal-to', claimedValue: '50 %', gap: '60 %' }]))).toMatch(
    /smaller gap/,
  )
  expect(planning(plan([MEAN], { wanted: 'power', units: '' })).claims[0]).not.toHaveProperty('found')
})

test('the curves go through what was found, at each unit for what is counted', () => {
  const share = foundOf(plan([SHARE]))
  const over = curveOverUnits(share, share.n)
  expect(over.map(({ x }) => x)).toEqual(Array.from({ length: 2 * share.n }, (_, at) => at + 1))
  expect(over[share.n - 1]!.y).toBe(share.power)
  // The saw-tooth: with more units the power falls now and then.
  expect(over.some(({ y }, at) => at > 0 && y < over[at - 1]!.y)).toBe(true)

  const mean = foundOf(plan([MEAN]))
  expect(curveOverUnits(mean, mean.n).find(({ x }) => x === mean.n)!.y).toBe(mean.power)
  const gaps = curveOverGap(mean, mean.n)
  expect(gaps[0]!.y).toBeCloseTo(0.05, 10)
  expect(gaps.at(-1)!.x).toBeCloseTo(0.2, 12)
  expect(gaps.every(({ y }, at) => at === 0 || y > gaps[at - 1]!.y)).toBe(true)
  // No further than the lot goes.
  expect(curveOverUnits(foundOf(plan([SHARE], { lotSize: '90' })), 60).at(-1)!.x).toBe(90)
})

test('what a budget finds, where it finds anything', () => {
  const mean = foundOf(plan([MEAN]))
  expect(gapFound(mean, 25, 0.9)).toBeCloseTo(0.1085, 4)
  expect(gapFound(foundOf(plan([{ ...SHARE, claimedValue: '90 %' }])), 1, 0.9)).toBeUndefined()
  expect(powerToFind(foundOf(plan([SHARE])), 0.97, 20)).toBeUndefined()
})
