import type { FindingOutcome } from '@/claims/finding'
import {
  addressOf,
  DIRECTION_WORDS,
  type DocketChoice,
  FINDING_WORDS,
  moreWords,
  ORDER_WORDS,
  readChoice,
  STATE_WORDS,
} from './docketView'

const USUAL = readChoice({})
const keysOf = <T extends string>(words: Readonly<Record<T, string>>) => Object.keys(words) as T[]

test('the address of every choice is read as that choice', () => {
  const choices: DocketChoice[] = [
    ...keysOf(STATE_WORDS).map((state) => ({ ...USUAL, state })),
    ...keysOf(FINDING_WORDS).map((outcome) => ({ ...USUAL, outcome })),
    ...keysOf(ORDER_WORDS).map((order) => ({ ...USUAL, order, page: 3 })),
    ...keysOf(DIRECTION_WORDS).map((direction) => ({ ...USUAL, direction, text: 'a & b = "c" % ü' })),
  ]
  for (const choice of choices) {
    const query = new URL(addressOf(choice), 'http://localhost').searchParams
    expect(readChoice(Object.fromEntries(query))).toEqual(choice)
  }
})

test('the usual choice has an address without a query', () => {
  expect(addressOf(USUAL)).toBe('/')
})

test.each([
  { state: 'lost' },
  { outcome: 'constructor' },
  { order: '__proto__' },
  { page: '-1' },
  { page: '1e99' },
  { page: '0.5' },
  { state: ['open', 'closed'] },
])('%j is no choice, and the usual one is taken', (parameters) => {
  expect(readChoice(parameters)).toEqual(USUAL)
})

test('a search without end is cut, and the character that no database keeps is left out', () => {
  expect(readChoice({ text: `a\0b${'x'.repeat(500)}` }).text).toBe(`ab${'x'.repeat(198)}`)
})

test('claims that are not shown are told by their findings', () => {
  const claim = (outcome: FindingOutcome | null, isComputing = false) => ({ outcome, isComputing })
  const many = [claim('supported'), claim('contradicted'), claim('supported'), claim(null), claim(null, true)]
  expect(moreWords(many)).toBe('And 5 more claims: 2 supported, 1 contradicted, 1 open, 1 being computed')
  expect(moreWords([claim('not-contradicted')])).toBe('And one more claim: 1 not contradicted')
})
