const MAX_STEPS = 120

/**
 * The root of a continuous function that changes sign between two points.
 *
 * @param input.low, input.high - points at which f has opposite signs, or is 0
 * @returns the root, to the last digit or two that f itself can tell apart
 * @see T. Chandrupatla (1997), Advances in Engineering Software 28, 145-149
 * @example
 * bracketedRoot({ f: (x) => x * x - 2, low: 1, high: 2 }) // 1.41421
 */
export function bracketedRoot(
  input: Readonly<{ f: (x: number) => number; low: number; high: number }>,
): number {
  const { f } = input
  let [a, b] = [input.high, input.low]
  let [fa, fb] = [f(a), f(b)]
  let [c, fc] = [a, fa]
  let share = 0.5
  for (let step = 0; step < MAX_STEPS; step += 1) {
    const x = a + share * (b - a)
    const fx = f(x)
    if (Math.sign(fx) === Math.sign(fa)) [c, fc] = [a, fa]
    else [c, b, fc, fb] = [b, a, fb, fa]
    ;[a, fa] = [x, fx]
    const [best, smallest] = Math.abs(fa) < Math.abs(fb) ? [a, fa] : [b, fb]
    const min = (2 * Number.EPSILON * Math.abs(best) + Number.MIN_VALUE) / Math.abs(b - c)
    if (smallest === 0 || min > 0.5 || b === c) return best
    share = Math.min(1 - min, Math.max(min, nextShare({ a, b, c, fa, fb, fc })))
  }
  return a
}

/** Inverse quadratic interpolation where it is safe, else the middle. */
function nextShare(
  p: Readonly<{ a: number; b: number; c: number; fa: number; fb: number; fc: number }>,
): number {
  const xi = (p.a - p.b) / (p.c - p.b)
  const phi = (p.fa - p.fb) / (p.fc - p.fb)
  if (!(phi * phi < xi && (1 - phi) ** 2 < 1 - xi)) return 0.5
  const first = (p.fa / (p.fb - p.fa)) * (p.fc / (p.fb - p.fc))
  const second = ((p.c - p.a) / (p.b - p.a)) * (p.fa / (p.fc - p.fa)) * (p.fb / (p.fc - p.fb))
  return first + second
}
