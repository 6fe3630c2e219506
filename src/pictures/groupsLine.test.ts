import { groupsLine } from './groupsLine'

test('every estimate, interval and claimed value is in the picture', () => {
  const { x, bars } = groupsLine([{ estimate: 5, lower: 4, upper: 6 }, { estimate: 9 }, {}], [2])
  expect(x.min).toBeLessThan(2)
  expect(x.max).toBeGreaterThan(9)
  expect(bars[0]).toEqual({ estimate: 5, from: 4, to: 6, isCutBelow: false, isCutAbove: false })
  expect(bars[1]).toMatchObject({ estimate: 9, from: 9, to: 9, isCutAbove: false })
  expect(bars[2]).toBeUndefined()
})

test('an interval without an end goes to the edge, and says so', () => {
  const { x, bars } = groupsLine(
    [
      { estimate: 5, upper: 6 },
      { estimate: 5, lower: 4 },
    ],
    [5],
  )
  expect(bars[0]).toMatchObject({ from: x.min, to: 6, isCutBelow: true, isCutAbove: false })
  expect(bars[1]).toMatchObject({ from: 4, to: x.max, isCutBelow: false, isCutAbove: true })
})

test('few intervals that are much wider than the others are cut', () => {
  const many = Array.from({ length: 60 }, (_, at) => ({
    estimate: at / 60,
    lower: at / 60 - 0.1,
    upper: at / 60 + 0.1,
  }))
  const { x, bars } = groupsLine([...many, { estimate: 0.5, lower: -100, upper: 100 }], [0.5])
  expect(x.max - x.min).toBeLessThan(3)
  expect(bars.at(-1)).toMatchObject({ isCutBelow: true, isCutAbove: true })
  expect(bars.filter((bar) => bar?.isCutAbove)).toHaveLength(1)
})

test('a picture of one value or of none is wide all the same', () => {
  expect(groupsLine([{ estimate: 5 }], [5]).x).toEqual({ min: 4.7, max: 5.3 })
  expect(groupsLine([{}], []).x).toEqual({ min: -0.06, max: 0.06 })
})
