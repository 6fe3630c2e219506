import { caseWordsSchema, EMPTY_CASE } from './caseWords'
import { claimDraftSchema, EMPTY_CLAIM } from './claimDraft'
import { columnNamed, EMPTY_SAMPLE, sampleDraftSchema } from './sampleDraft'

const columns = (count: number) => Array.from({ length: count }, (_, at) => columnNamed(`c${at}`, 'number'))
const isSample = (draft: object) => sampleDraftSchema.safeParse({ ...EMPTY_SAMPLE, ...draft }).success
const claim = { ...EMPTY_CLAIM, sampleId: '0190163d-8694-739b-aea5-966c26f8ad91' }
const isClaim = (draft: object) => claimDraftSchema.safeParse({ ...claim, ...draft }).success

test('a sample has four hundred columns at most, and a hundred thousand rows set aside', () => {
  expect(isSample({ columns: columns(400) })).toBe(true)
  expect(isSample({ columns: columns(401) })).toBe(false)
  const aside = (count: number) => Array.from({ length: count }, (_, row) => ({ row, reason: '', by: '' }))
  expect(isSample({ setAside: aside(100_000) })).toBe(true)
  expect(isSample({ setAside: aside(100_001) })).toBe(false)
  expect(isSample({ setAside: [{ row: -1, reason: '', by: '' }] })).toBe(false)
})

test('a list of conditions holds one at least, and fifty at most', () => {
  const conditions = (count: number) =>
    Array.from({ length: count }, () => ({ column: 'line', relation: 'is', value: '2', upTo: '' }))
  const isKept = (...counts: number[]) => isClaim({ kept: counts.map(conditions) })
  expect([isKept(1), isKept(2), isKept(50), isKept(1, 2)]).toEqual([true, true, true, true])
  expect([isKept(0), isKept(51), isKept(1, 0)]).toEqual([false, false, false])
})

test('words have room for five hundred characters, remarks for twenty thousand', () => {
  expect(isClaim({ unit: 'x'.repeat(500) })).toBe(true)
  expect(isClaim({ unit: 'x'.repeat(501) })).toBe(false)
  expect(isClaim({ remarks: 'x'.repeat(20_000) })).toBe(true)
  expect(isClaim({ remarks: 'x'.repeat(20_001) })).toBe(false)
  const isCase = (words: object) => caseWordsSchema.safeParse({ ...EMPTY_CASE, ...words }).success
  expect(isCase({ reference: 'x'.repeat(100), notes: 'x'.repeat(20_000) })).toBe(true)
  expect(isCase({ reference: 'x'.repeat(101) })).toBe(false)
})

test('what a database can’t keep is refused: NUL, and half of a character', () => {
  for (const unit of ['a\0b', 'a\ud800', '\udc00b']) expect(isClaim({ unit })).toBe(false)
  expect(isClaim({ unit: 'µ 重 😀' })).toBe(true)
})
