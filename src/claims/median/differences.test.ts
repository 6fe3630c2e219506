import { countsAbout } from './differences'

test.each([
  // 100.1 − 100 loses digits that reading 100.1 explains, wherever in the list that stands.
  [[100.1, 0.09999999999999432], 0.1, { above: 1, equal: 1 }],
  [[0.09999999999999432, 100.1], 0.1, { above: 1, equal: 1 }],
  [[0.09999999999999432, 0.2], 0.1, { above: 1, equal: 0 }],
  // A limit stands without end, and nothing is rounded in it.
  [[Infinity, -Infinity, 1, 1.0000001], 1, { above: 2, equal: 1 }],
  [[0, 0, -1], 0, { above: 0, equal: 2 }],
  [[0, 0], 0, { above: 0, equal: 2 }],
  [[], 1, { above: 0, equal: 0 }],
])('of %p about %p', (values, value, counts) => {
  expect(countsAbout(values, value)).toEqual(counts)
})
