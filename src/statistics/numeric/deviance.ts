/**
 * The deviance term k ln(k/m) + m − k, without the cancellation that the formula as written suffers for k near m.
 *
 * @param k - observed, positive
 * @param m - expected, positive; same unit as k
 * @returns a number ≥ 0 with a relative error of a few 1e-16
 * @see C. Loader (2000), Fast and Accurate Computation of Binomial Probabilities, bd0
 * @example
 * deviance(5, 4) // 0.115718
 */
export function deviance(k: number, m: number): number {
  const difference = k - m
  const ratio = difference / (k + m)
  if (Math.abs(ratio) >= 0.1) return k * Math.log(k / m) + m - k

  const square = ratio * ratio
  let sum = difference * ratio
  let term = 2 * k * ratio
  for (let odd = 3; ; odd += 2) {
    term *= square
    const next = sum + term / odd
    if (!(Math.abs(next - sum) > 0)) return next
    sum = next
  }
}
