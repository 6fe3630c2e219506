import type { CheckDocument } from '@/claims/terms/request'
import { testedBy } from '@tests/reference/answers'

const values = [14.93, 15.02, 14.88, 14.91, 14.97, 14.86, 15.04, 14.9, 14.95, 14.99]

function itemsOf(claim: object, evidence: object = {}): readonly string[] {
  const document = {
    claim: {
      ...{ parameter: 'proportion', relation: 'at-least', value: 0.9, quantity: 'sacks', unit: 'kg' },
      limit: { side: 'at-least', value: 14.9 },
      ...claim,
    },
    evidence: { kind: 'readings', values, ...evidence },
  } as CheckDocument
  const { finding } = testedBy(document)
  return 'items' in finding ? (finding.items ?? []) : []
}
/** The limit that a sentence names. */
const limitIn = (sentence: string) => Number(/read at (?:least|most) ([\d.]+)/.exec(sentence)![1])

test('a tolerance limit is rounded away from what it would claim', () => {
  for (const side of ['at-least', 'at-most'] as const) {
    const claim = { limit: { side, value: 14.9 } }
    const result = testedBy({
      claim: { parameter: 'proportion', relation: 'at-least', value: 0.9, ...claim },
      evidence: { kind: 'readings', values },
    } as CheckDocument)
    if (result.kind !== 'proportion') throw new Error('no share')
    const { limit } = result.toleranceLimits!.normal!
    const said = limitIn(itemsOf(claim)[0]!)
    expect(side === 'at-least' ? said <= limit : said >= limit).toBe(true)
    expect(Math.abs(said - limit)).toBeLessThan(0.01)
  }
})

test('the limit whatever the shape is a reading, or so many readings as it takes', () => {
  expect(itemsOf({})[1]).toMatch(/10 of them give no such limit; it takes 29 readings or more\./)
  expect(itemsOf({ value: 0.7 })[1]).toMatch(
    /at least 70.% of sacks read at least 14\.86.kg, whatever their shape\./,
  )
})

test('what is not told of items is said, and what groups do to the limits', () => {
  expect(itemsOf({}, { measurement: { reading: 0.02 } }).at(-1)).toMatch(/4 of the 10 items are told neither/)
  const cluster = values.map((_, at) => `${at % 5}`)
  expect(itemsOf({}, { cluster }).at(-1)).toMatch(/taken one by one, and they were not/)
  const guarded = itemsOf(
    { limit: { side: 'at-least', value: 14.9, guardFactor: 2 } },
    { measurement: { reading: 0.01 } },
  )
  expect(guarded[0]).toMatch(/held against 14\.88.kg: the limit of 14\.9.kg/)
})
