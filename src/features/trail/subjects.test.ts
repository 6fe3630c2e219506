import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { subjectsOf } from './subjects'

test('claims and samples are called as they are on their own pages', () => {
  const claim = { ...EMPTY_CLAIM, id: 'c', quantity: 'net mass', claimedValue: '15', wording: '15 kg net' }
  const subjects = subjectsOf(
    [claim],
    [
      { id: 'named', name: 'Sacks of line 2', fileName: 'log.csv' },
      { id: 'filed', name: '', fileName: 'log.csv' },
      { id: 'neither', name: '', fileName: null },
    ],
  )
  expect(subjects).toEqual({
    c: 'claim: Mean net mass at least 15 (“15 kg net”)',
    named: 'sample: Sacks of line 2',
    filed: 'sample: log.csv',
    neither: 'sample: Sample 3',
  })
})
