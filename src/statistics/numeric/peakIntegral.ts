/** Parts of the integrand below e⁻⁴² of its peak do not reach the last digit. */
const NEGLIGIBLE = 42
const AGREEMENT = 1e-14
const MAX_HALVINGS = 12
/** More than any integrand needs whose width a double can tell from its place. */
const MAX_TERMS = 20_000

/**
 * ln ∫ exp(f) over the whole line, for a smooth f that rises to one peak and falls away from it.
 *
 * The trapezoidal rule about the peak, its step halved until two sums agree: for such an integrand it converges
 * geometrically, and since every term is positive nothing cancels, however small the integral.
 *
 * @param input.f - the log of the integrand; −Infinity where it vanishes
 * @param input.near - a point from which the peak can be climbed to
 * @param input.width - about the width of the peak
 * @returns −Infinity or NaN where f has no finite value near the peak
 * @see L. Trefethen & J. Weideman (2014), The Exponentially Convergent Trapezoidal Rule, SIAM Review 56, 385-458
 * @example
 * logPeakIntegral({ f: (x) => (-x * x) / 2, near: 1, width: 1 }) // 0.918939
 */
export function logPeakIntegral(
  input: Readonly<{ f: (x: number) => number; near: number; width: number }>,
): number {
  const { f } = input
  const { peak, spread } = climb(input)
  const highest = f(peak)
  if (!(spread > 0) || !Number.isFinite(highest)) return highest
  const sumFrom = (offset: number, step: number) => {
    let sum = offset === 0 ? 1 : 0
    for (const direction of [-1, 1]) {
      for (let k = offset === 0 ? 1 : 0; k < MAX_TERMS; k += 1) {
        const height = f(peak + direction * (offset + k * step)) - highest
        sum += Math.exp(height)
        if (!(height > -NEGLIGIBLE)) break
      }
    }
    return sum
  }
  // A large exponent is itself uncertain by its last digit, and no sum can agree better than that.
  const agreement = Math.max(AGREEMENT, 4 * Number.EPSILON * Math.abs(highest))
  let step = spread / 2
  let sum = sumFrom(0, step)
  for (let halving = 0; halving < MAX_HALVINGS; halving += 1) {
    const between = sumFrom(step / 2, step)
    const isSettled = Math.abs(between - sum) <= agreement * (between + sum)
    sum += between
    step /= 2
    if (isSettled) break
  }
  return highest + Math.log(sum * step)
}

/** The peak, nearly, and how far from it f falls by about a half on its steeper side. */
function climb({
  f,
  near,
  width,
}: Readonly<{ f: (x: number) => number; near: number; width: number }>): Readonly<{
  peak: number
  spread: number
}> {
  let peak = near
  let highest = f(peak)
  let stride = width * 16
  for (;;) {
    const [left, right] = [f(peak - stride), f(peak + stride)]
    if (left > highest || right > highest) {
      const [move, height] = left > right ? [-stride, left] : [stride, right]
      peak += move
      highest = height
      // Far from the peak the steps grow, so that it is reached at all.
      stride *= 2
    } else if (Math.min(left, right) > highest - 0.5 || stride === 0) return { peak, spread: stride }
    else stride /= 2
  }
}
