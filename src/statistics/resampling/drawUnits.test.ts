import { chiSquare } from '../distributions/chiSquare'
import { drawUnits } from './drawUnits'

test('the same units for the same seed, each once and in order', () => {
  // Drawn anew by a program of its own in Python.
  expect(drawUnits({ lotSize: 1200, count: 5, seed: 7 })).toEqual([56, 381, 541, 996, 1058])
  expect(drawUnits({ lotSize: 6, count: 6, seed: 3 })).toEqual([1, 2, 3, 4, 5, 6])
  const many = drawUnits({ lotSize: 1_000_000_000, count: 1000, seed: 4 })
  expect(new Set(many).size).toBe(1000)
  expect(many).toEqual(many.toSorted((a, b) => a - b))
  expect(many.at(-1)).toBeLessThanOrEqual(1_000_000_000)
})

test('every choice of units is as likely as any other', () => {
  const draws = 100_000
  const counts = new Map<string, number>()
  for (let seed = 0; seed < draws; seed += 1) {
    const key = drawUnits({ lotSize: 6, count: 3, seed }).join(' ')
    counts.set(key, (counts.get(key) ?? 0) + 1)
  }
  expect(counts.size).toBe(20)
  const expected = draws / 20
  const statistic = [...counts.values()].reduce((sum, count) => sum + (count - expected) ** 2 / expected, 0)
  expect(chiSquare(19).tails(statistic).upper).toBeGreaterThan(0.001)
})
