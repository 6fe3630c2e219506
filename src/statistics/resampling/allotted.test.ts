import { allotted } from './allotted'

test.each<readonly [readonly number[], number, readonly number[]]>([
  [[400, 560], 35, [15, 20]],
  [[1, 1, 1], 2, [1, 1, 0]],
  [[3, 2, 2], 3, [1, 1, 1]],
  [[5], 5, [5]],
  [[10, 0], 4, [4, 0]],
  [[1, 1, 1], 0, [0, 0, 0]],
  // Beyond 2^53 in the products.
  [[1_000_000_000, 1_000_000_000, 1], 1_000_000, [500_000, 500_000, 0]],
])('%j units of %i', (sizes, count, shares) => {
  expect(allotted(sizes, count)).toEqual(shares)
})
