import { critical } from '@/answers/critical'
import { reckon } from '@/answers/reckon'
import { addressOfReckoning, DISTRIBUTION_NAMES, reckonDraftFor, reckonDraftOf } from '@/desk/reckonDraft'
import { pointLines, shownShare, spokenReckoning } from '@/words/en/reckonWords'
import { handleOf } from './handleOf'
import { reckoning } from './reckoning'

const plain = (text: string) => text.replaceAll('\u202f', ' ').replaceAll('\u2212', '-')

/** The reckoning of an address, and its sentence. */
function asked(words: Readonly<Record<string, string>>) {
  const draft = reckonDraftOf(words)
  const { read, known, found, problem } = reckoning(draft)
  const spoken =
    known && found ? plain(spokenReckoning(draft, { ...found, isWhole: known.isWhole })) : undefined
  const messages = read.problems.map(({ message }) => message)
  return { draft, read, known, found, problem, spoken, messages }
}

test.each([
  [{}, 'Of a t distribution with 23 degrees of freedom, 5 % lies below -1.71387.'],
  [{ tail: 'upper' }, 'Of a t distribution with 23 degrees of freedom, 5 % lies above 1.71387.'],
  [
    { tail: 'both' },
    'Of a t distribution with 23 degrees of freedom, 5 % lies beyond -2.06866 and 2.06866, half of it on either side.',
  ],
  [
    { of: 'normal', x: '1.96', tail: 'upper' },
    'Of a standard normal distribution, 2.49979 % lies above 1.96.',
  ],
  [
    { of: 'normal', x: '\u22121,96', tail: 'both' },
    'Of a standard normal distribution, 4.99958 % lies beyond -1.96 and 1.96, half of it on either side.',
  ],
  [
    { of: 'f', df1: '5', df2: '10', tail: 'upper' },
    'Of an F distribution with 5 and 10 degrees of freedom, 5 % lies above 3.32583.',
  ],
  [
    { of: 'binomial', n: '20', chance: '50 %' },
    'Of a binomial distribution of 20 units, of which each counts with a chance of 50 %, at most 5 % lies at or below 5. In fact it is 2.06947 %.',
  ],
  [
    { of: 'binomial', n: '20', chance: '0.5', tail: 'both' },
    'Of a binomial distribution of 20 units, of which each counts with a chance of 0.5, at most 5 % lies at or beyond 5 and 15. In fact it is 4.13895 %.',
  ],
  [
    { of: 'binomial', n: '20', chance: '0.5', tail: 'both', x: '5' },
    'Of a binomial distribution of 20 units, of which each counts with a chance of 0.5, 4.13895 % is twice what lies at or beyond 5.',
  ],
  [
    { of: 'hypergeometric', n: '3', lotSize: '10', marked: '4', tail: 'upper', x: '3' },
    'Of a hypergeometric distribution of 3 units out of a lot of 10, of which 4 count, 3.33333 % lies at or above 3.',
  ],
  [{ of: 'normal', x: '-40' }, 'Of a standard normal distribution, 3.655894e-350 lies below -40.'],
] as const)('%j reads “%s”', (words, sentence) => {
  expect(asked(words as Record<string, string>).spoken).toBe(sentence)
})

test('every figure is the core’s own', () => {
  for (const name of DISTRIBUTION_NAMES)
    for (const tail of ['lower', 'upper', 'both'] as const) {
      const { found, known } = asked({ of: name, tail })
      const { distribution } = known!
      expect(critical({ critical: { distribution, levels: [0.1, 0.05, 0.01, 0.001] } })).toMatchObject({
        critical: known!.levels,
      })
      const { lower, upper, both } = known!.levels[1]!
      const ends = { lower: [lower], upper: [upper], both: [both.lower, both.upper] }[tail].filter(
        (end) => end,
      )
      expect([found!.ends.lower, found!.ends.upper].filter((x) => x !== undefined)).toEqual(
        ends.map((end) => end!.x),
      )
      expect(found!.share.pValue).toBe(ends.reduce((sum, end) => sum + end!.probability, 0))
      expect(found!.points.map((point) => reckon({ reckon: { distribution, x: point.x } }))).toMatchObject(
        found!.points.map((point) => ({ reckon: point })),
      )
    }
})

test('a level beside the usual ones', () => {
  expect(asked({ level: '2.5 %' }).known!.levels.map(({ level }) => level)).toEqual([
    0.1, 0.05, 0.01, 0.001, 0.025,
  ])
  const odd = asked({ level: '25' })
  expect(odd.read.problems).toMatchObject([{ field: 'level', wouldDo: ['25 %'] }])
  expect(odd.found).toBeDefined()
})

test('what can’t be reckoned says why, and the rest stays', () => {
  expect(asked({ df: '' })).toMatchObject({
    known: undefined,
    read: { missing: ['number of degrees of freedom'] },
  })
  expect(asked({ df: 'many' }).messages).toEqual([
    expect.stringMatching(/^The number of degrees of freedom is “many”/),
  ])
  expect(asked({ df: '0' }).messages).toEqual([
    'The number of degrees of freedom is 0; it has to be at least 0.001.',
  ])
  expect(asked({ of: 'binomial', n: '2.5' }).messages).toEqual([
    expect.stringMatching(/^The number of units is 2.5/),
  ])
  expect(asked({ of: 'hypergeometric', n: '9', lotSize: '5', marked: '2' }).messages).toEqual([
    'The number of units is 9; it has to be at most the lot size, 5.',
  ])
  expect(asked({ x: '' })).toMatchObject({ found: undefined, known: {}, read: { missing: ['point'] } })
  expect(asked({ p: '120 %' }).messages).toEqual([expect.stringMatching(/^The probability is “120 %”/)])
  expect(asked({ of: 'binomial', n: '3', chance: '0.5', p: '1 %' }).problem).toMatch(
    /no value|farthest value/,
  )
  expect(asked({ of: 'binomial', n: '3', chance: '0.5', p: '1 %' }).known).toBeDefined()
})

test('the handle is on the end that is typed, or on the upper one', () => {
  const ends = { lower: -2, upper: 2 }
  expect(handleOf(reckonDraftOf({ x: '-2' }), ends)).toBe(-2)
  expect(handleOf(reckonDraftOf({ x: '2' }), ends)).toBe(2)
  expect(handleOf(reckonDraftOf({}), ends)).toBe(2)
  expect(handleOf(reckonDraftOf({}), { lower: -2 })).toBe(-2)
  expect(handleOf(reckonDraftOf({}), {})).toBeUndefined()
})

test('the figures at a point, of whole numbers with what lies below, at and above', () => {
  const point = (words: Record<string, string>) => {
    const { found, known } = asked(words)
    return pointLines(found!.points[0]!, known!.isWhole).map(({ name, shown }) => plain(`${name}: ${shown}`))
  }
  expect(point({ of: 'binomial', n: '20', chance: '0.5', x: '5' })).toEqual([
    'below 5: 0.590897 %',
    'exactly 5: 1.47858 %',
    'at or below 5: 2.06947 %',
    'at or above 5: 99.4091 %',
    'above 5: 97.9305 %',
    'twice the smaller tail: 4.13895 %',
  ])
  expect(point({ of: 'normal', x: '1.96' })).toEqual([
    'below 1.96: 97.5002 %',
    'above 1.96: 2.49979 %',
    'twice the smaller tail: 4.99958 %',
  ])
  // What is exactly nothing has no logarithm, and what a double has no room for has one only.
  expect(point({ of: 'binomial', n: '5', chance: '0.5', x: '5' })).toContain('above 5: 0 %')
  expect(point({ of: 'normal', x: '-40' })).toContain('below -40: 3.655894e-350')
  expect(plain(shownShare({ pValue: 1e-5 }))).toBe('0.001 %')
  expect(plain(shownShare({ pValue: 1 - 1e-9 }))).toBe('> 99.9999 %')
  expect(plain(shownShare({ pValue: 1 }))).toBe('100 %')
  expect(shownShare({ pValue: 1e-9 })).toBe('1.000000e\u22129')
})

test('a test’s own statistic is reckoned from its address', () => {
  const t = { name: 't', df: 23 } as const
  expect(
    asked(
      Object.fromEntries(
        new URL(addressOfReckoning(reckonDraftFor(t, { statistic: -3.25, alternative: 'less' })!), 'http://x')
          .searchParams,
      ),
    ).spoken,
  ).toBe('Of a t distribution with 23 degrees of freedom, 0.176491 % lies below -3.25.')
})
