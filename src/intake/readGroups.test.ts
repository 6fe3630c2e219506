import { readGroups } from './readGroups'

const SAMPLE = {
  groupedBy: 'clusters',
  groupColumn: 'pallet',
  clustersInLot: '',
  strataSizes: '',
  decimalMark: 'point',
} as const
const TAKEN = { labels: ['a', 'a', 'b', 'b'], rows: [0, 1, 4, 5], isSetAside: () => false }

test('names the cluster of each reading, and how many there are in the lot where that is stated', () => {
  expect(readGroups(SAMPLE, TAKEN)).toEqual({ groups: { cluster: ['a', 'a', 'b', 'b'] } })
  expect(readGroups({ ...SAMPLE, clustersInLot: '40' }, TAKEN)).toEqual({
    groups: { cluster: ['a', 'a', 'b', 'b'], clustersInLot: 40 },
  })
  expect(readGroups({ ...SAMPLE, groupedBy: 'none' }, TAKEN)).toEqual({})
})

test('a layer has the size that its line says', () => {
  const strata = { ...SAMPLE, groupedBy: 'strata' } as const
  expect(readGroups({ ...strata, strataSizes: 'a = 400\n\nb=250\nno reading of it = 9' }, TAKEN)).toEqual({
    groups: { stratum: ['a', 'a', 'b', 'b'], strata: { a: 400, b: 250, 'no reading of it': 9 } },
  })
  expect(readGroups({ ...strata, strataSizes: 'a = 400' }, TAKEN)).toMatchObject({
    missing: [{ field: 'strataSizes', message: expect.stringContaining('“b”') as string }],
  })
  for (const strataSizes of ['a', 'a = x', 'a = 0', 'a = 1.5', '= 4', 'a = 4\na = 5'])
    expect(readGroups({ ...strata, strataSizes }, TAKEN)).toMatchObject({
      problems: [{ field: 'strataSizes' }],
    })
})

test('a row without a name stops the claim, but for one that is set aside', () => {
  const taken = { ...TAKEN, labels: ['a', 'a', '', 'b'] }
  expect(readGroups(SAMPLE, taken)).toMatchObject({
    problems: [{ field: 'groupColumn', message: expect.stringContaining('Row 5 has no entry') as string }],
  })
  expect(readGroups(SAMPLE, { ...taken, isSetAside: (at) => at === 2 })).toMatchObject({ groups: {} })
})

test('what is missing is asked for', () => {
  expect(readGroups({ ...SAMPLE, groupColumn: '' }, TAKEN).missing).toHaveLength(1)
  expect(readGroups(SAMPLE, { ...TAKEN, labels: undefined }).missing).toHaveLength(1)
  for (const clustersInLot of ['x', '1', '2.5'])
    expect(readGroups({ ...SAMPLE, clustersInLot }, TAKEN).problems).toHaveLength(1)
})
