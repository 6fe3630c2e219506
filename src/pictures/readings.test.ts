import fc from 'fast-check'
import { describeShortly } from '@/statistics/describe/describe'
import { boxPicture, drawnOf, histogramPicture, orderPicture, quantilePicture } from './readings'

const evidence = (values: readonly number[], setAside: readonly number[] = []) => ({
  values,
  rows: values.map((_, place) => 2 * place),
  setAside,
  problems: [],
  missing: [],
})
function looked(values: readonly number[], setAside: readonly number[] = []) {
  const drawn = drawnOf(evidence(values, setAside), 'kg')
  const sorted = Float64Array.from(drawn.values).sort()
  return { drawn, look: { sorted, figures: describeShortly(drawn.values, sorted) } }
}

const VALUES = [15, 14.9, 15.1, 15, 14.8, 15.2, 15, 18]

test('what is set aside is crossed, and in no figure', () => {
  const { drawn, look } = looked(VALUES, [7])
  expect(look.figures).toMatchObject({ n: 7, max: 15.2 })
  const crossed = orderPicture(drawn).points.filter(({ isSetAside }) => isSetAside)
  expect(crossed).toEqual([{ x: 15, y: 18, row: 14, isSetAside: true }])
  expect(boxPicture(drawn, look).points).toEqual([{ x: 18, y: 0.5, row: 14, isSetAside: true }])
  expect(histogramPicture(drawn, look.sorted, 0.1).bars.reduce((sum, { y }) => sum + y, 0)).toBe(7)
})

test('a reading has its place in every picture, by its row', () => {
  const { drawn, look } = looked(VALUES)
  expect(orderPicture(drawn).placeOf(14)).toEqual({ x: 15, y: 18 })
  expect(boxPicture(drawn, look).placeOf(14)).toEqual({ x: 18, y: 0.5 })
  expect(histogramPicture(drawn, look.sorted, 1).placeOf(14)).toEqual({ x: 18, y: 0 })
  expect(quantilePicture(drawn, look).placeOf(14)).toMatchObject({ y: 18 })
  expect(orderPicture(drawn).placeOf(3)).toBeUndefined()
})

test('whiskers reach to the last readings within the fences, and those beyond are drawn', () => {
  const { drawn, look } = looked(VALUES)
  const { lines, points } = boxPicture(drawn, look)
  const whiskers = lines.slice(2, 4).flat()
  expect(Math.min(...whiskers.map(({ x }) => x))).toBe(14.8)
  expect(Math.max(...whiskers.map(({ x }) => x))).toBe(15.2)
  expect(points.map(({ x }) => x)).toEqual([18])
})

test('however many readings there are, few points are drawn, and the greatest and the least among them', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2000, max: 30_000 }), (n) => {
      const values = Array.from({ length: n }, (_, i) => Math.sin(i * 12.9898) * 43)
      const { drawn, look } = looked(values)
      const pictures = [orderPicture(drawn), quantilePicture(drawn, look)]
      for (const { points } of pictures) {
        expect(points.length).toBeLessThanOrEqual(1600)
        const ys = points.map(({ y }) => y)
        expect(Math.max(...ys)).toBe(look.figures.max)
        expect(Math.min(...ys)).toBe(look.figures.min)
        for (const { row, y } of points) expect(values[row / 2]).toBe(y)
      }
    }),
    { numRuns: 10 },
  )
})
