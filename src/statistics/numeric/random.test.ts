import { randomWords, sumsOfDraws } from './random'

describe('sums of draws', () => {
  test.each([
    [7, 1],
    [1000, 20261101],
    [1, 5],
  ])('of %i values from seed %i are those of the words one by one', (n, seed) => {
    const values = Float64Array.from({ length: n }, (_, i) => Math.sin(i * 12.9898))
    const words = new Uint32Array(n)
    const fill = randomWords(seed)
    const next = sumsOfDraws(values, seed)
    for (let resample = 0; resample < 5; resample += 1) {
      fill(words)
      let [sum, squares] = [0, 0]
      for (const word of words) {
        const value = values[Math.floor((word * n) / 2 ** 32)]!
        sum += value
        squares += value * value
      }
      expect(next()).toEqual({ sum, squares })
    }
  })
})
