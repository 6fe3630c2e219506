import { EMPTY_PLAN, EMPTY_PLAN_CLAIM, type PlanClaim, type PlanDraft } from '@/desk/planDraft'
import { readPlan, readPlanCommon } from './readPlan'

const SACKS: PlanClaim = { ...EMPTY_PLAN_CLAIM, claimedValue: '15', unit: 'kg', gap: '0.1', scatter: '0.18' }
const draft = (claim: Partial<PlanClaim>, more: Partial<PlanDraft> = {}): PlanDraft => ({
  ...EMPTY_PLAN,
  claims: [{ ...SACKS, ...claim }],
  ...more,
})
const read = (claim: Partial<PlanClaim>, more: Partial<PlanDraft> = {}, lotSize?: number) => {
  const plan = draft(claim, more)
  return readPlan(plan.claims[0]!, plan, lotSize)
}

test('a plan that is typed whole is asked of the core', () => {
  expect(read({}, {}, 960)).toEqual({
    claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
    asked: {
      claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
      test: { significanceLevel: 0.05 },
      assume: { standardDeviation: 0.18, lotSize: 960 },
    },
    ...{ gap: 0.1, power: 0.9, missing: [], problems: [] },
  })
  expect(
    read({ gap: '0,2', significanceLevel: '0,01', scatter: '0,3' }, { decimalMark: 'comma' }),
  ).toMatchObject({
    asked: { test: { significanceLevel: 0.01 }, assume: { standardDeviation: 0.3 } },
    gap: 0.2,
  })
  expect(read({ method: 'z' }).asked?.test).toEqual({ significanceLevel: 0.05, method: 'z' })
})

test.each<readonly [string, Partial<PlanClaim>, Partial<PlanDraft>, RegExp]>([
  ['the claimed value', { claimedValue: '' }, {}, /claimed value/],
  ['the gap', { gap: ' ' }, {}, /gap that has to be found/],
  ['the power', { power: '' }, { wanted: 'gap', units: '20' }, /State the power/],
  ['the scatter', { scatter: '' }, {}, /scatter/],
  ['a tolerance', { relation: 'within' }, {}, /tolerance below/],
])('%s is asked for while it is not there', (_, change, more, words) => {
  const { missing, asked, problems } = read(change, more)
  expect(asked).toBeUndefined()
  expect(problems).toEqual([])
  expect(missing.join(' ')).toMatch(words)
})

test('what follows is not asked for, and what does not matter neither', () => {
  expect(read({ gap: '' }, { wanted: 'gap' })).toMatchObject({ missing: [], problems: [], power: 0.9 })
  expect(read({ gap: '' }, { wanted: 'gap' }).gap).toBeUndefined()
  expect(read({ power: 'most' }, { wanted: 'power' })).toMatchObject({ missing: [], problems: [] })
  expect(read({ parameter: 'proportion', claimedValue: '95 %', gap: '10 %', scatter: 'x' })).toMatchObject({
    ...{ gap: 0.1, problems: [] },
    asked: { claim: { value: 0.95 }, assume: {} },
  })
})

test.each<readonly [string, Partial<PlanClaim>]>([
  ['gap', { gap: '-0.1' }],
  ['gap', { parameter: 'proportion', claimedValue: '95 %', gap: '10' }],
  ['power', { power: '90' }],
  ['power', { power: '1' }],
  ['scatter', { scatter: '0' }],
  ['significanceLevel', { significanceLevel: '5' }],
  ['claimedValue', { claimedValue: '15 kg' }],
])('a %s that can not be is pointed at', (field, change) => {
  const { asked, problems } = read(change)
  expect(asked).toBeUndefined()
  expect(problems.map((problem) => problem.field)).toEqual([field])
})

test('what all claims share is read, the units only where they are given', () => {
  const stated = { units: '24', lotSize: '960', unitCost: '12.5', budget: '300' }
  expect(readPlanCommon(draft({}, { ...stated, wanted: 'power' }))).toEqual({
    ...{ units: 24, lotSize: 960, unitCost: 12.5, budget: 300, seed: 1, problems: [] },
  })
  expect(readPlanCommon(draft({}, stated)).units).toBeUndefined()
  const wrong = readPlanCommon(
    draft({}, { wanted: 'gap', units: '0', lotSize: '96.5', unitCost: '-1', budget: 'all' }),
  )
  expect(wrong.problems.map(({ field }) => field)).toEqual(['lotSize', 'units', 'unitCost', 'budget'])
})

test('layers of the lot make its size, and have to come to it where it is stated', () => {
  const read = (layers: string, lotSize = '') => readPlanCommon(draft({}, { layers, lotSize, seed: 'x' }))
  const layers = [
    { name: '2', units: 400 },
    { name: '1', units: 560 },
  ]
  expect(read('2 = 400; 1 = 560;')).toEqual({ lotSize: 960, layers, problems: [] })
  expect(read('2 = 400\n1 = 560')).toEqual({ lotSize: 960, layers, problems: [] })
  expect(read('2 = 400; 1 = 560', '960')).toEqual({ lotSize: 960, layers, problems: [] })
  expect(read('2 = 400; 1 = 560', '961').problems).toEqual([
    {
      field: 'layers',
      message: expect.stringMatching(/come to 960 units, and the lot is said to be of 961/),
    },
  ])
  // Of a list that is pasted into a line of its own the ends of the lines are gone.
  expect(read('2 = 4001 = 560').problems).toEqual([
    { field: 'layers', message: expect.stringMatching(/^“2 = 4001 = 560” has more than one size\. /) },
  ])
  for (const wrong of ['north', 'north = 4.5', '= 4', 'north = 0', 'a = 1; a = 2'])
    expect(read(wrong).problems.map(({ field }) => field)).toEqual(['layers'])
})
