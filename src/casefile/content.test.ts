import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { contentClaimSchema } from './content'

const instant = '2026-11-05T08:00:00.000Z'
const recordOf = (draft: unknown) => ({
  ...{ id: 'c3a4f0de-3b5c-4b8e-9d5e-0a1b2c3d4e5f', revision: 1, createdAt: instant, updatedAt: instant },
  draft,
})
const SAMPLE_ID = '0d9c8b7a-6f5e-4d3c-8b2a-190817263544'

test('what a claim of an earlier version does not say is as it is in an empty one, and what it says stays', () => {
  const { draft } = contentClaimSchema.parse(
    recordOf({ sampleId: SAMPLE_ID, claimedValue: '15', relation: 'at-most' }),
  )
  expect(draft).toEqual({ ...EMPTY_CLAIM, sampleId: SAMPLE_ID, claimedValue: '15', relation: 'at-most' })
})

test.each([[null], [[]], ['15 kg'], [undefined]])('%j is no claim', (draft) => {
  expect(contentClaimSchema.safeParse(recordOf(draft)).success).toBe(false)
})
