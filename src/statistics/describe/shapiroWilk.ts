import { normal } from '../distributions/normal'
import { upperTail } from '../inference/tailProbability'
import { compensatedSum } from '../numeric/compensatedSum'
import { memoized } from '../numeric/memoized'
import { polynomial } from '../numeric/polynomial'

/** Between these sizes Royston's approximation was fitted. */
export const SHAPIRO_WILK_SIZES = { min: 3, max: 5000 } as const

export type ShapiroWilk = Readonly<{ w: number; pValue: number }>

/**
 * Shapiro and Wilk's test that readings come from a normal population, by Royston's approximation (AS R94).
 *
 * @param sorted - 3 to 5000 readings, ascending, not all equal
 * @returns W, between 0 and 1, and P(W ≤ w)
 * @see P. Royston (1995), Applied Statistics 44, 547-551; its constants from memory, checked against a second library
 * @example
 * shapiroWilk([1, 2, 3, 4, 5, 6, 20]) // { w: 0.708683, pValue: 0.00460798 }
 */
export function shapiroWilk(sorted: ArrayLike<number>): ShapiroWilk {
  const n = sorted.length
  const weights = weightsFor(n)
  const scale = sorted[n - 1]! / 2 - sorted[0]! / 2
  const centre = sorted[0]! / 2 + sorted[n - 1]! / 2
  const at = (i: number) => (sorted[i]! - centre) / scale
  const mean = compensatedSum(n, at) / n
  const squares = compensatedSum(n, (i) => (at(i) - mean) ** 2)
  const contrast = compensatedSum(weights.length, (i) => weights[i]! * (at(n - 1 - i) - at(i)))
  // Rounding can take it past 1.
  const w = Math.min(1, (contrast * contrast) / squares)
  return { w, pValue: pValueOf(w, n) }
}

/** Half of the weights, the largest first; they depend on n alone. */
const weightsFor = memoized(32, (n: number): readonly number[] =>
  n === 3 ? [Math.SQRT1_2] : approximateWeights(n),
)

function approximateWeights(n: number): readonly number[] {
  const scores = Array.from({ length: Math.floor(n / 2) }, (_, i) =>
    normal.quantile((i + 1 - 0.375) / (n + 0.25), 'upper'),
  )
  const squares = 2 * scores.reduce((sum, score) => sum + score * score, 0)
  const u = 1 / Math.sqrt(n)
  const corrected = [
    polynomial([0, 0.221157, -0.147981, -2.07119, 4.434685, -2.706056], u) + scores[0]! / Math.sqrt(squares),
    ...(n > 5
      ? [
          polynomial([0, 0.042981, -0.293762, -1.752461, 5.682633, -3.582633], u) +
            scores[1]! / Math.sqrt(squares),
        ]
      : []),
  ]
  const taken = corrected.reduce((sum, _, i) => sum + 2 * scores[i]! ** 2, 0)
  const remainder = corrected.reduce((sum, weight) => sum - 2 * weight * weight, 1)
  const divisor = Math.sqrt((squares - taken) / remainder)
  return [...corrected, ...scores.slice(corrected.length).map((score) => score / divisor)]
}

function pValueOf(w: number, n: number): number {
  if (n === 3) return Math.max(0, (6 / Math.PI) * (Math.asin(Math.sqrt(w)) - Math.asin(Math.sqrt(0.75))))
  if (w === 1) return 1
  const y = Math.log1p(-w)
  const upper = (z: number) => upperTail(normal.tails(z)).pValue ?? 0
  if (n <= 11) {
    const limit = polynomial([-2.273, 0.459], n)
    // Beyond what the approximation can transform the sample is as far from normal as can be.
    if (y >= limit) return 0
    const mean = polynomial([0.544, -0.39978, 0.025054, -0.0006714], n)
    const deviation = Math.exp(polynomial([1.3822, -0.77857, 0.062767, -0.0020322], n))
    return upper((-Math.log(limit - y) - mean) / deviation)
  }
  const logSize = Math.log(n)
  const mean = polynomial([-1.5861, -0.31082, -0.083751, 0.0038915], logSize)
  const deviation = Math.exp(polynomial([-0.4803, -0.082676, 0.0030302], logSize))
  return upper((y - mean) / deviation)
}
