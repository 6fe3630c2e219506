import { readTrailChoice, trailQuery } from './trailChoice'

const ID = '0190163d-8694-739b-aea5-000000000001'
const NOTHING = { text: '', action: '', about: '', page: 0 }

test('an address without a choice shows everything, from the last entry', () => {
  expect(readTrailChoice({})).toEqual(NOTHING)
  expect(trailQuery(readTrailChoice({}))).toBe('?')
})

test('what is chosen is in the address, and is read back', () => {
  const choice = { text: 'A. Officer & co', action: 'signed', about: ID, page: 3 } as const
  const query = trailQuery(choice)
  expect(query).toBe(`?text=A.+Officer+%26+co&action=signed&about=${ID}&page=3`)
  expect(readTrailChoice(Object.fromEntries(new URLSearchParams(query)))).toEqual(choice)
})

test.each([
  ['an action that is none', { action: 'toString' }],
  ['a thing that is none', { about: "' or 1=1" }],
  ['a page before the first', { page: '-1' }],
  ['a page that is no number', { page: 'x' }],
  ['a page between two', { page: '1.5' }],
  ['a page beyond all', { page: '1e9' }],
  ['what is stated twice', { text: ['a', 'b'], page: ['1', '2'] }],
])('%s is left out', (_, parameters) => expect(readTrailChoice(parameters)).toEqual(NOTHING))

test('a text is as long as the page lets one type, without what no database takes', () => {
  expect(readTrailChoice({ text: `a\0${'b'.repeat(500)}` }).text).toBe(`a${'b'.repeat(199)}`)
})
