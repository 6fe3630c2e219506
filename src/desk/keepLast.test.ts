import { keepLast } from './keepLast'

test('the one that was kept first goes where there are too many, and one that is kept again counts as kept last', () => {
  const kept = new Map<string, number>()
  for (const [key, value] of [
    ['a', 1],
    ['b', 2],
    ['a', 3],
    ['c', 4],
  ] as const)
    keepLast(kept, key, value, 2)
  expect([...kept]).toEqual([
    ['a', 3],
    ['c', 4],
  ])
})
