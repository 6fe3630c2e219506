import {
  addressOfReckoning,
  DISTRIBUTION_NAMES,
  reckonDraftFor,
  reckonDraftOf,
  withDistribution,
} from './reckonDraft'

test('the address of a reckoning is found again, and wrong words in one are as usual', () => {
  for (const name of DISTRIBUTION_NAMES) {
    const draft = { ...withDistribution(reckonDraftOf({}), name), tail: 'both', level: '2 %' } as const
    const address = new URL(addressOfReckoning(draft), 'http://x')
    expect(address.pathname).toBe('/reckoner')
    expect(reckonDraftOf(Object.fromEntries(address.searchParams))).toEqual(draft)
  }
  // Half a character has no place in an address.
  expect(addressOfReckoning({ ...reckonDraftOf({}), text: '\ud83d' })).toContain('p=%EF%BF%BD')
  expect(reckonDraftOf({ of: 'constructor', tail: 'toString', x: 'y'.repeat(900) })).toMatchObject({
    name: 't',
    tail: 'lower',
    text: 'y'.repeat(40),
  })
})

test('another distribution keeps what both have, and no point of the other', () => {
  const draft = withDistribution(reckonDraftOf({ df: '7', x: '-2' }), 'noncentral-t')
  expect(draft).toMatchObject({ fields: { df: '7', ncp: '1' }, given: 'probability', text: '5 %' })
  expect(withDistribution(reckonDraftOf({ p: '1 %' }), 'normal')).toMatchObject({ fields: {}, text: '1 %' })
})

test('a test’s own statistic, on the side that it looks at', () => {
  const t = { name: 't', df: 23 } as const
  expect(reckonDraftFor(t, { statistic: 2, alternative: 'greater' })).toMatchObject({
    tail: 'upper',
    given: 'point',
    text: '2',
  })
  expect(reckonDraftFor(t, { statistic: 2, alternative: 'two-sided' })).toMatchObject({ tail: 'both' })
  expect(
    reckonDraftFor(
      { name: 'signed-rank', n: 3, ranks: [1, 2.5, 2.5] },
      { statistic: 2, alternative: 'less' },
    ),
  ).toBeUndefined()
})
