import { claimLineShape } from './claimLine'

const dot = { radius: 5, width: 100 }

test('equal readings stand above one another, in as many rows as there are', () => {
  const { dots, rows, each } = claimLineShape({ values: [1, 2, 2, 2, 3], claimed: [2] }, dot)
  expect(each).toBe(1)
  expect(dots.map(({ y }) => y).toSorted()).toEqual([0, 0, 0, 1, 2])
  expect(rows).toBe(3)
})

test('readings stand side by side where their dots have room, and above one another where they have not', () => {
  // The line is 11 wide for 100, so that a dot of radius 5 takes 1.1.
  const rowsOf = (value: number) =>
    claimLineShape({ values: [0, value, 10], claimed: [5] }, dot).dots.map(({ y }) => y)
  expect(rowsOf(1.11)).toEqual([0, 0, 0])
  expect(rowsOf(1.09)).toEqual([0, 1, 0])
})

test('a line without readings has no rows, and reaches a twentieth beyond what is on it', () => {
  const shape = claimLineShape({ values: [], claimed: [10], estimate: 12, lower: 11 }, dot)
  expect(shape).toEqual({ x: { min: 9.9, max: 12.1 }, dots: [], each: 1, rows: 0, ends: [11] })
})

test('a bound reaches from its end to the edge on its open side', () => {
  const bounded = (open: 'above' | 'below') =>
    claimLineShape({ values: [], claimed: [10], bound: { value: 12, open } }, dot)
  expect(bounded('above').bound).toEqual([12, 12.1])
  expect(bounded('below').bound).toEqual([12, 9.9])
})

test('a single value on a line has room on either side', () => {
  const around = (value: number) => claimLineShape({ values: [], claimed: [value] }, dot).x
  expect(around(20)).toEqual({ min: 19, max: 21 })
  expect(around(0)).toEqual({ min: -1, max: 1 })
})
