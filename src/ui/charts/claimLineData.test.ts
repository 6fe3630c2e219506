import fc from 'fast-check'
import type { ClaimLineFigures } from '@/pictures/claimLine'
import { claimLineData } from './claimLineData'
import type { Colours } from './useColours'

/** Each colour is its own name. */
const colours = new Proxy({} as Colours, { get: (_, name) => String(name) })
const pointsOf = (figures: ClaimLineFigures, label: string) =>
  claimLineData(figures, colours)
    .datasets.filter((row) => row.label === label)
    .map((row) => row.data as readonly { x: number; y: number }[])

const finite = fc.double({ min: -1e6, max: 1e6, noNaN: true })
const figures = fc.record({
  values: fc.array(finite, { maxLength: 60 }),
  estimate: finite,
  lower: finite,
  upper: finite,
  bound: fc.option(fc.record({ value: finite, open: fc.constantFrom('above' as const, 'below' as const) }), {
    nil: undefined,
  }),
  claimed: fc.array(finite, { minLength: 1, maxLength: 2 }),
})

test('whatever is drawn lies within the picture, and every reading is drawn', () => {
  fc.assert(
    fc.property(figures, (given) => {
      const { x, y, each, datasets } = claimLineData(given, colours)
      expect(x.max).toBeGreaterThan(x.min)
      for (const { data } of datasets)
        for (const point of data as readonly { x: number; y: number }[]) {
          expect(point.x).toBeGreaterThanOrEqual(x.min)
          expect(point.x).toBeLessThanOrEqual(x.max)
          expect(point.y).toBeGreaterThanOrEqual(y.min)
          expect(point.y).toBeLessThanOrEqual(y.max)
        }
      const [dots] = pointsOf(given, 'Reading')
      expect(dots!.length * each).toBeGreaterThanOrEqual(given.values.length)
      expect(dots!.length).toBeLessThanOrEqual(given.values.length)
    }),
  )
})

test('a claimed value is a line from below to above, and a tolerance two', () => {
  const shared = { values: [14.9, 15.1], estimate: 15, lower: 14.8, upper: 15.2 }
  const lines = pointsOf({ ...shared, claimed: [14.9, 15.15] }, 'Claimed value')
  const { y } = claimLineData({ ...shared, claimed: [14.9, 15.15] }, colours)
  expect(lines).toEqual([
    [
      { x: 14.9, y: y.min },
      { x: 14.9, y: y.max },
    ],
    [
      { x: 15.15, y: y.min },
      { x: 15.15, y: y.max },
    ],
  ])
})

test('an interval with one end is one tick, and what was not computed is not drawn', () => {
  const bound = { values: [], estimate: undefined, lower: 0.88, upper: undefined, claimed: [0.95] }
  expect(pointsOf(bound, 'Interval')[0]!.map(({ x }) => x)).toEqual([0.88])
  expect(pointsOf(bound, 'Estimate')).toEqual([])
})

test('a picture without readings has no room for them', () => {
  const alone = { values: [], estimate: 0.93, lower: 0.88, upper: 0.96, claimed: [0.95] }
  expect(claimLineData(alone, colours).y.max).toBeLessThan(0)
  expect(claimLineData({ ...alone, values: [0.9] }, colours).y.max).toBeGreaterThan(1)
})

test('figures that are all the same have a picture too', () => {
  const { x } = claimLineData(
    { values: [15, 15], estimate: 15, lower: 15, upper: 15, claimed: [15] },
    colours,
  )
  expect([x.min < 15, x.max > 15]).toEqual([true, true])
})
