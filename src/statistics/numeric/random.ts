/**
 * Random whole numbers from 0 to 2³² − 1, the same for the same seed on every machine: xoshiro128**, its state filled
 * from the seed by splitmix32.
 *
 * @param seed - a whole number
 * @returns fills a buffer with the next numbers; many at once are much faster than one by one
 * @see D. Blackman & S. Vigna (2021), Scrambled Linear Pseudorandom Number Generators, ACM TOMS 47, 36
 * @example
 * ((words) => (randomWords(1)(words), words[0] / 2 ** 32))(new Uint32Array(1)) // 0.0915695
 */
export function randomWords(seed: number): (buffer: Uint32Array) => void {
  const state = stateFrom(seed)
  return (buffer) => {
    let [a, b, c, d] = [state[0]!, state[1]!, state[2]!, state[3]!]
    for (let i = 0; i < buffer.length; i += 1) {
      const product = Math.imul(b, 5)
      buffer[i] = Math.imul((product << 7) | (product >>> 25), 9)
      const shifted = b << 9
      c ^= a
      d ^= b
      b ^= c
      a ^= d
      c ^= shifted
      d = (d << 11) | (d >>> 21)
    }
    state[0] = a
    state[1] = b
    state[2] = c
    state[3] = d
  }
}

/**
 * Sums of as many values as there are, drawn from them with replacement: one draw for each word of `randomWords`, which
 * this does at once because the words need not be kept.
 *
 * @param values - fewer than 2³¹
 * @returns makes the next sum, and that of the squares, in the order of the draws
 * @example
 * sumsOfDraws(Float64Array.of(1, 2), 1)().sum // 3
 */
export function sumsOfDraws(
  values: Float64Array,
  seed: number,
): () => Readonly<{ sum: number; squares: number }> {
  const state = stateFrom(seed)
  return () => nextSums(state, values)
}

/** A function of its own, and the reading after the state's step: in another order the same takes three times as long. */
function nextSums(state: Int32Array, values: Float64Array): Readonly<{ sum: number; squares: number }> {
  const n = values.length
  const step = n / 2 ** 32
  let [a, b, c, d] = [state[0]!, state[1]!, state[2]!, state[3]!]
  let [sum, squares] = [0, 0]
  for (let i = 0; i < n; i += 1) {
    const product = Math.imul(b, 5)
    const word = Math.imul((product << 7) | (product >>> 25), 9)
    const shifted = b << 9
    c ^= a
    d ^= b
    b ^= c
    a ^= d
    c ^= shifted
    d = (d << 11) | (d >>> 21)
    const value = values[((word >>> 0) * step) | 0]!
    sum += value
    squares += value * value
  }
  state.set([a, b, c, d])
  return { sum, squares }
}

function stateFrom(seed: number): Int32Array {
  // A seed beyond 32 bits has its upper half mixed in.
  let state = (seed ^ Math.imul(Math.floor(seed / 2 ** 32), 0x85ebca6b)) | 0
  const next = () => {
    state = (state + 0x9e3779b9) | 0
    let mixed = state ^ (state >>> 16)
    mixed = Math.imul(mixed, 0x21f0aaad)
    mixed ^= mixed >>> 15
    mixed = Math.imul(mixed, 0x735a2d97)
    return mixed ^ (mixed >>> 15)
  }
  return Int32Array.of(next(), next(), next(), next())
}

/**
 * Normal deviates made of random words, two of each pair of them.
 *
 * @param words - as many as deviates, or one more
 * @param drawn - filled with them
 * @see G. Box & M. Muller (1958), Annals of Mathematical Statistics 29, 610-611
 * @example
 * ((drawn) => (drawNormal(Uint32Array.of(2 ** 31, 0), drawn), drawn[0]))(new Float64Array(1)) // 1.17741
 */
export function drawNormal(words: Uint32Array, drawn: Float64Array): void {
  for (let i = 0; i < drawn.length; i += 2) {
    const distance = Math.sqrt(-2 * Math.log((words[i]! + 0.5) / 2 ** 32))
    const angle = (2 * Math.PI * words[i + 1]!) / 2 ** 32
    drawn[i] = distance * Math.cos(angle)
    if (i + 1 < drawn.length) drawn[i + 1] = distance * Math.sin(angle)
  }
}
