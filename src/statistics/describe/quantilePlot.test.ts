import fc from 'fast-check'
import { quantilePlot } from './quantilePlot'

// The medians of five normal order statistics by Blom's positions, (i − 3/8)/(n + 1/4): z of 0.1190476…, 0.3095238…, 0.5;
// found by halving with Python's math.erfc.
test('five readings stand at the positions that Blom gives', () => {
  const points = quantilePlot([3, 1, 2, 5, 4], Float64Array.of(1, 2, 3, 4, 5), 100)
  expect(points.map(({ place }) => place)).toEqual([1, 2, 0, 4, 3])
  expect(points.map(({ value }) => value)).toEqual([1, 2, 3, 4, 5])
  expect(points[0]!.z).toBeCloseTo(-1.1797611176, 9)
  expect(points[1]!.z).toBeCloseTo(-0.4972005707, 9)
  expect(points[2]!.z).toBeCloseTo(0, 15)
})

test('equal readings are taken in the order in which they stand', () => {
  const points = quantilePlot([2, 1, 2, 1, 2], Float64Array.of(1, 1, 2, 2, 2), 10)
  expect(points.map(({ place }) => place)).toEqual([1, 3, 0, 2, 4])
})

test('those between the ends are taken evenly, from the first on', () => {
  const sorted = Float64Array.from({ length: 300 }, (_, i) => i)
  const points = quantilePlot([...sorted], sorted, 200)
  // 260 ranks between the ends for 160 points: each 1.625 ranks on, counted down.
  expect(points.slice(20, 25).map(({ value }) => value)).toEqual([20, 21, 23, 24, 26])
  expect(points.slice(178, 182).map(({ value }) => value)).toEqual([276, 278, 280, 281])
})

test('many readings are thinned out, their ends kept', () => {
  fc.assert(
    fc.property(fc.integer({ min: 300, max: 3000 }), (n) => {
      const values = Array.from({ length: n }, (_, i) => (i * 7919) % n)
      const points = quantilePlot(values, Float64Array.from(values).sort(), 200)
      expect(points).toHaveLength(200)
      expect(points.slice(0, 20).map(({ value }) => value)).toEqual(Array.from({ length: 20 }, (_, i) => i))
      expect(points.at(-1)?.value).toBe(n - 1)
      points.forEach(({ z, place, value }, at) => {
        expect(values[place]).toBe(value)
        if (at > 0) expect(z).toBeGreaterThan(points[at - 1]!.z)
      })
    }),
    { numRuns: 20 },
  )
})
