import { createHash } from 'node:crypto'
import { type ChainedEntry, chained, type TrailEntry, verifyChain } from './chain'
import { changeBetween, changeOver } from './change'

const sha256 = (text: string) => createHash('sha256').update(text, 'utf8').digest('hex')

const entry = (detail: string): Omit<TrailEntry, 'number'> => ({
  id: '0190163d-8694-739b-aea5-966c26f8ad91',
  caseId: '0190163d-8694-739b-aea5-966c26f8ad90',
  at: '2026-11-03T10:42:00.000Z',
  who: 'A. Officer',
  action: 'changed',
  claimId: null,
  sampleId: null,
  detail,
  before: '{"party":""}',
  after: '{"party":"Somebody"}',
})

function chainOf(...details: readonly string[]): ChainedEntry[] {
  const chain: ChainedEntry[] = []
  for (const detail of details) {
    const last = chain.at(-1)
    chain.push(chained(entry(detail), { length: chain.length, hash: last?.hash ?? '' }, sha256))
  }
  return chain
}

const CHAIN = chainOf('one', 'two', 'three')
const HEAD = { length: 3, hash: CHAIN[2]!.hash }

test('the hash of an entry is that of everything else in it, as sha256sum makes it', () => {
  // Computed with sha256sum from coreutils over the text that docs/CASE-FILE.md gives for an entry.
  const text =
    '{"action":"changed","after":"{\\"party\\":\\"Somebody\\"}","at":"2026-11-03T10:42:00.000Z","before":"{\\"party\\":\\"\\"}","caseId":"0190163d-8694-739b-aea5-966c26f8ad90","claimId":null,"detail":"one","id":"0190163d-8694-739b-aea5-966c26f8ad91","number":1,"previous":"","sampleId":null,"who":"A. Officer"}'
  expect(CHAIN[0]!.hash).toBe(sha256(text))
})

test('a chain as it was written holds', () => {
  expect(verifyChain(CHAIN, sha256, HEAD)).toEqual({ holds: true, ...HEAD })
  expect(verifyChain([], sha256, { length: 0, hash: '' })).toEqual({ holds: true, length: 0, hash: '' })
})

const [first, second, third] = CHAIN as [ChainedEntry, ChainedEntry, ChainedEntry]

test.each<readonly [string, readonly ChainedEntry[], number, string]>([
  ['an altered word', [first, { ...second, detail: 'Two' }, third], 2, 'altered'],
  ['an altered name', [{ ...first, who: 'B. Other' }, second, third], 1, 'altered'],
  ['a missing entry', [first, third], 2, 'out-of-order'],
  ['a missing first entry', [second, third], 1, 'out-of-order'],
  ['two that changed places', [second, first, third], 1, 'out-of-order'],
  ['one that was put in', [first, first, second, third], 2, 'out-of-order'],
  ['a missing last entry', [first, second], 3, 'cut-short'],
  ['another chain from the start', chainOf('other', 'two', 'three'), 4, 'cut-short'],
])('tells of %s', (_, entries, number, why) => {
  expect(verifyChain(entries, sha256, HEAD)).toEqual({ holds: false, number, why })
})

test('a change holds only the fields that differ', () => {
  const change = changeBetween({ a: '1', b: [1, 2], c: null }, { a: '1', b: [1], c: 'x', d: undefined })
  expect(change).toEqual({ before: '{"b":[1,2],"c":null}', after: '{"b":[1],"c":"x"}' })
  expect(changeBetween({ a: { y: 1, x: 2 } }, { a: { x: 2, y: 1 } })).toBeUndefined()
})

test('of a long text a change holds only the stretch that differs', () => {
  const [start, end] = ['14.9\n'.repeat(400), '15.1\n'.repeat(400)]
  const change = changeBetween({ readings: `${start}7${end}` }, { readings: `${start}15.02${end}` })
  expect(JSON.parse(change!.before)).toEqual({ readings: { from: start.length, text: '7' } })
  expect(JSON.parse(change!.after)).toEqual({ readings: { from: start.length, text: '15.02' } })
})

test('a stretch that is put in twice the same is told once', () => {
  const text = 'ab'.repeat(600)
  const change = changeBetween({ text }, { text: `${text}ab` })
  expect(JSON.parse(change!.before)).toEqual({ text: { from: 1200, text: '' } })
  expect(JSON.parse(change!.after)).toEqual({ text: { from: 1200, text: 'ab' } })
})

const step = (before: object, after: object) => changeBetween({ ...before }, { ...after })!

test('what was typed in steps comes to one change of each field', () => {
  const steps = [
    step({ quantity: '' }, { quantity: 'ma' }),
    step({ quantity: 'ma' }, { quantity: 'mass' }),
    step({ value: '3' }, { value: '3.5', unit: 'kg' }),
  ]
  expect(changeOver(steps)).toEqual({
    before: '{"quantity":"","unit":null,"value":"3"}',
    after: '{"quantity":"mass","unit":"kg","value":"3.5"}',
  })
})

test('steps are not taken together where that would hide one', () => {
  const there = step({ level: '0.05' }, { level: '0.1' })
  const back = step({ level: '0.1' }, { level: '0.05' })
  expect(changeOver([there])).toEqual({ before: '{"level":"0.05"}', after: '{"level":"0.1"}' })
  expect(changeOver([there, back])).toBeUndefined()
  expect(changeOver([there, back, step({ level: '0.05' }, { level: '0.01' })])).toBeUndefined()
  const long = 'x'.repeat(2000)
  expect(changeOver([step({ notes: long }, { notes: `${long}y` })])).toBeUndefined()
})
