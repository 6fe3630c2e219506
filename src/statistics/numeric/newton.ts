const MAX_STEPS = 200
const RELATIVE_STEP = 2e-16

/**
 * Finds where a continuous, strictly falling function of x > 0 crosses zero.
 *
 * Works on the scale of ln x: brackets the root from `start` by growing steps, then takes Newton's steps from
 * within the bracket, halving it wherever one would leave it. The scale suits log tails, which bend little there.
 *
 * @param input.value - the function, positive to the left of the root
 * @param input.slope - its derivative by ln x
 * @param input.start - a first guess, positive
 * @returns x, or 0 or Infinity where the root lies outside the range of a double
 * @example
 * solveFalling({ value: (x) => 2 - x, slope: (x) => -x, start: 1 }) // 2
 */
export function solveFalling(
  input: Readonly<{ value: (x: number) => number; slope: (x: number) => number; start: number }>,
): number {
  const bracket = bracketRoot(input.value, Math.log(input.start))
  let { low, high } = bracket
  let at = high
  for (let step = 0; step < MAX_STEPS; step += 1) {
    const x = Math.exp(at)
    const value = input.value(x)
    if (value === 0) return x
    if (value > 0) low = at
    else high = at
    let next = at - value / input.slope(x)
    if (!(next > low && next < high)) next = (low + high) / 2
    if (Math.abs(next - at) <= RELATIVE_STEP * Math.max(1, Math.abs(at)) || next === low || next === high) {
      return finish(input, Math.exp(next))
    }
    at = next
  }
  return Math.exp(at)
}

/** ln x has only so many digits where it is large; one step on x itself gives back those that exp lost. */
function finish(
  input: Readonly<{ value: (x: number) => number; slope: (x: number) => number }>,
  x: number,
): number {
  const refined = x * (1 - input.value(x) / input.slope(x))
  return Number.isFinite(refined) ? refined : x
}

function bracketRoot(value: (x: number) => number, start: number): Readonly<{ low: number; high: number }> {
  let [low, high] = [start, start]
  if (value(Math.exp(start)) > 0) {
    for (let step = 0.5; value(Math.exp(high)) > 0 && high < 710; step *= 2) [low, high] = [high, high + step]
  } else {
    for (let step = 0.5; value(Math.exp(low)) <= 0 && low > -745; step *= 2) [low, high] = [low - step, low]
  }
  return { low, high }
}
