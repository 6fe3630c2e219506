import fc from 'fast-check'
import { stackReadings } from './stackReadings'

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
