import fc from 'fast-check'
import { pileReadings, stackReadings } from './stackReadings'

test('piles up what would cover each other, in the order given', () => {
  expect(stackReadings([2, 1, 1.05, 1], 0.1)).toEqual([
    { x: 2, y: 0 },
    { x: 1, y: 0 },
    { x: 1.05, y: 2 },
    { x: 1, y: 1 },
  ])
})

test('no two readings in a row are nearer than a dot is wide, and every one is there', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true })), (values) => {
      const dots = stackReadings(values, 0.05)
      expect(dots.map(({ x }) => x)).toEqual(values)
      for (const row of new Set(dots.map(({ y }) => y))) {
        const xs = dots.filter(({ y }) => y === row).map(({ x }) => x)
        const rising = xs.toSorted((a, b) => a - b)
        rising.forEach((x, index) => {
          if (index > 0) expect(x).toBeGreaterThanOrEqual(rising[index - 1]! + 0.05 - 1e-12)
        })
      }
    }),
  )
})

test('where readings are many a dot stands for several, and none is lost', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 600, maxLength: 3000 }), (values) => {
      const { dots, each } = pileReadings(values, 1)
      for (const x of new Set(values)) {
        const count = values.filter((value) => value === x).length
        expect(dots.filter((dot) => dot.x === x)).toHaveLength(Math.ceil(count / each))
      }
      expect(Math.max(...dots.map(({ y }) => y))).toBeLessThan(24)
    }),
    { numRuns: 20 },
  )
})
