import { optionsFor, optionsIn, PARTS, queryOf, type ReportOptions, USUAL_OPTIONS } from './reportOptions'

test.each<ReportOptions>([
  USUAL_OPTIONS,
  { ...USUAL_OPTIONS, decimals: 0 },
  { ...USUAL_OPTIONS, language: 'comma', decimals: 12 },
  { ...USUAL_OPTIONS, parts: ['cover', 'cross-examination'] },
  { ...USUAL_OPTIONS, parts: [] },
  { ...USUAL_OPTIONS, unstated: 'named' },
])('the address of %j gives the same options', (options) => {
  const query = new URLSearchParams(queryOf(options))
  expect(optionsFor(optionsIn(Object.fromEntries(query)), 1)).toEqual(options)
})

test('only what is not usual is in an address', () => {
  expect(queryOf(USUAL_OPTIONS)).toBe('')
  expect(queryOf({ ...USUAL_OPTIONS, decimals: 2 })).toBe('?decimals=2')
})

test.each([
  { decimals: '13' },
  { decimals: '-1' },
  { decimals: 'x' },
  { numbers: 'roman' },
  { unstated: 'x' },
])('%j is no choice, and the usual one is taken', (stated) =>
  expect(optionsFor(optionsIn(stated), 1)).toEqual(USUAL_OPTIONS),
)

test('parts that are none are left out', () => {
  expect(optionsIn({ parts: 'summary,pictures,everything' }).parts).toEqual(['summary', 'pictures'])
  expect(optionsIn({}).parts).toBeUndefined()
  expect(USUAL_OPTIONS.parts).toEqual(PARTS.slice(0, -1))
  expect(optionsIn({ parts: PARTS.join() }).parts).toEqual(PARTS)
})

test('of more than twelve claims only a summary and the findings are reported unasked', () => {
  const none = optionsIn({})
  expect(optionsFor(none, 12)).toEqual(USUAL_OPTIONS)
  expect(optionsFor(none, 13).parts).toEqual(['cover', 'summary', 'sources'])
  expect(optionsFor(optionsIn({ parts: 'cover,test' }), 13).parts).toEqual(['cover', 'test'])
  expect(queryOf(optionsFor(none, 13), 13)).toBe('')
  expect(queryOf(USUAL_OPTIONS, 13)).toContain('parts=cover%2Csummary%2Chypotheses')
  expect(optionsFor(optionsIn({ parts: USUAL_OPTIONS.parts.join() }), 13)).toEqual(USUAL_OPTIONS)
})
