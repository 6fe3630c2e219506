import { EMPTY_CLAIM, type ClaimDraft } from './claimDraft'
import { addressOfPlan, EMPTY_PLAN_CLAIM, type PlanDraft, planDraftFor, planDraftOf } from './planDraft'

const wordsOf = (address: string) => Object.fromEntries(new URL(address, 'http://desk').searchParams)
const CLAIM: ClaimDraft = { ...EMPTY_CLAIM, sampleId: '0195a000-0000-7000-8000-000000000000' }

test('a plan of several claims is found again by its address', () => {
  const draft: PlanDraft = {
    claims: [
      {
        ...EMPTY_PLAN_CLAIM,
        quantity: 'net mass & more',
        claimedValue: '15',
        gap: '0,1',
        burden: 'substantiate',
      },
      EMPTY_PLAN_CLAIM,
      { ...EMPTY_PLAN_CLAIM, parameter: 'rate', exposureUnit: '1,000 deliveries', method: 'score-poisson' },
    ],
    ...{ wanted: 'gap', units: '24', lotSize: '960', unitCost: '12', budget: '300', decimalMark: 'comma' },
    ...{ layers: 'north = 400; south = 560', seed: '7' },
  }
  expect(planDraftOf(wordsOf(addressOfPlan(draft)))).toEqual(draft)
})

test('what an address does not say, or says wrongly, is as usual', () => {
  const usual = planDraftOf({})
  expect(usual).toEqual({
    ...{ wanted: 'units', units: '', lotSize: '', unitCost: '', budget: '', decimalMark: 'point' },
    ...{ layers: '', seed: '1' },
    claims: [EMPTY_PLAN_CLAIM],
  })
  expect(
    planDraftOf({ parameter: 'mode', wanted: 'money', claims: 'x', '9.gap': '1', gap: ['1', '2'] }),
  ).toEqual(usual)
})

test('another sample for a claim is planned with what is known of an earlier one', () => {
  const plan = planDraftFor(
    {
      ...CLAIM,
      claimedValue: '15',
      unit: 'kg',
      significanceLevel: '0.01',
      decimalMark: 'comma',
      wording: '15 kg net',
    },
    { name: 'Sacks of line 2', standardDeviation: 0.106993 },
  )
  expect(plan.decimalMark).toBe('comma')
  expect(plan.claims).toEqual([
    {
      ...EMPTY_PLAN_CLAIM,
      ...{ claimedValue: '15', unit: 'kg', significanceLevel: '0.01' },
      ...{ scatter: '0,107', scatterFrom: 'Sacks of line 2' },
    },
  ])
  const [counted] = planDraftFor(CLAIM, { name: 'A count', standardDeviation: undefined }).claims
  expect(counted).toMatchObject({ scatter: '', scatterFrom: '' })
})
