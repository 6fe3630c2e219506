import { plain } from '@tests/plain'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { claimTitle } from './claimTitle'

test('a claim has a title while it is still being written', () => {
  expect(claimTitle(EMPTY_CLAIM)).toBe('Claim without a value')
  expect(plain(claimTitle({ ...EMPTY_CLAIM, claimedValue: '15', unit: 'kg', wording: '15 kg net' }))).toBe(
    'Mean at least 15 kg (“15 kg net”)',
  )
  const within = { ...EMPTY_CLAIM, relation: 'within', claimedValue: '15', unit: 'kg' } as const
  expect(plain(claimTitle(within))).toBe('Mean within a tolerance of 15 kg')
  const tolerance = { toleranceBelow: '0.1', toleranceAbove: '0.1' }
  expect(plain(claimTitle({ ...within, ...tolerance }))).toBe('Mean within 0.1 kg of 15 kg')
  expect(plain(claimTitle({ ...within, ...tolerance, toleranceAbove: '0.15' }))).toBe(
    'Mean within 0.1 kg below and 0.15 kg above 15 kg',
  )
  const share = { ...within, parameter: 'proportion', quantity: 'x', claimedValue: '95 %' } as const
  expect(plain(claimTitle({ ...share, toleranceBelow: '2 %', toleranceAbove: '2 %' }))).toBe(
    'Share of x within 2 % below and 2 % above 95 %',
  )
  expect(plain(claimTitle({ ...within, relation: 'equal-to' }))).toBe('Mean equal to 15 kg')
  expect(plain(claimTitle({ ...within, ...tolerance, relation: 'at-most' }))).toBe('Mean at most 15 kg')
})
