import fc from 'fast-check'
import { partsOfCount, readCount } from './count'

test.each([
  ['18 of 40', 40, 18],
  ['18/40', 40, 18],
  ['18 out of 40', 40, 18],
  ['45 % of 40', 40, 18],
  ['45% of 40', 40, 18],
  ['0 of 12', 12, 0],
  ['100 % of 3', 3, 3],
  ['12.5 % of 16', 16, 2],
  ['45 per cent of 40', 40, 18],
  ['216 of 1,200', 1200, 216],
  ['216/1200', 1200, 216],
  ['216 1200', 1200, 216],
  ['18 40', 40, 18],
  ['1,216 out of 2,400', 2400, 1216],
  ['1 216 of 2 400', 2400, 1216],
  ['216 of 1.200', 1200, 216],
  ['216 of 40,000', 40_000, 216],
  ['12.5 % of 1,600', 1600, 200],
])('“%s”', (text, n, successes) => {
  expect(readCount(text, 'point')).toEqual({ ok: true, value: { n, successes } })
})

test('a share of no whole count is asked about, with the counts that are near', () => {
  const asked = readCount('33 % of 40', 'point')
  expect(!asked.ok && asked.problem).toMatchObject({
    code: 'count-not-whole',
    message: expect.stringContaining(
      'is 13.2, which is no whole count: 13 of 40 is 32.5 %, 14 of 40 is 35 %',
    ),
  })
})

test.each([
  '',
  '18',
  'of 40',
  '41 of 40',
  '101 % of 40',
  '1.5 of 4',
  '-1 of 4',
  '3 of 0',
  '3 of 4.5',
  '216 200',
  '1 200 400',
  '1.216,5 of 2400',
  '18 of 40.000',
])('“%s” is refused', (text) => expect(readCount(text, 'point').ok).toBe(false))

test('every count is read back from its share', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 100_000 }), fc.nat(), (n, any) => {
      const successes = any % (n + 1)
      expect(readCount(`${(100 * successes) / n} % of ${n}`, 'point')).toEqual({
        ok: true,
        value: { n, successes },
      })
    }),
  )
})

test.each([
  ['216 of 1,200', '216', '1,200'],
  ['216/1200', '216', '1200'],
  ['216 1200', '216', '1200'],
  ['45 % of 40', '45 %', '40'],
  ['216', '216', ''],
  ['216 of', '216 of', ''],
  ['', '', ''],
])('“%s” has two parts', (text, part, whole) => expect(partsOfCount(text)).toEqual([part, whole]))
