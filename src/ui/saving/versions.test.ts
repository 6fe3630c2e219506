import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { sampleVersion } from '../sample/sampleVersion'
import { claimVersion } from '../workbench/claimVersion'
import { differencesBetween } from './versions'

const claim = { ...EMPTY_CLAIM, sampleId: '0195a000-0000-7000-8000-000000000000' }

test('only the fields that differ are shown, by names that a person knows', () => {
  const here = claimVersion({
    ...claim,
    claimedValue: '15',
    kept: [[{ column: 'depot', relation: 'is', value: '7', upTo: '' }]],
  })
  const stored = claimVersion({ ...claim, claimedValue: '14.5' })
  expect(differencesBetween(here, stored)).toEqual([
    { name: 'Claimed value', here: '15', stored: '14.5' },
    { name: 'Rows kept', here: 'depot is 7', stored: '' },
  ])
})

test('long texts are shown where they begin to differ', () => {
  const readings = Array.from({ length: 500 }, (_, at) => `14.${at}`)
  const other = readings.with(300, '99.9')
  const [difference] = differencesBetween(
    sampleVersion({ ...EMPTY_SAMPLE, readings: readings.join('\n') }),
    sampleVersion({ ...EMPTY_SAMPLE, readings: other.join('\n') }),
  )
  expect(difference?.name).toBe('Readings')
  expect(difference?.here).toContain('14.300')
  expect(difference?.stored).toContain('99.9')
  expect(difference!.stored.length).toBeLessThan(140)
})

test('every field of a draft has a line, so that no difference is hidden', () => {
  expect(claimVersion(claim)).toHaveLength(Object.keys(claim).length)
  expect(sampleVersion(EMPTY_SAMPLE)).toHaveLength(Object.keys(EMPTY_SAMPLE).length)
})
