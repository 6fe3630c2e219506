import { incompleteGamma, logGammaKernel } from './incompleteGamma'
import { memoized } from '../numeric/memoized'
import { positiveQuantile } from './positiveQuantile'
import { type Continuous, memoizedQuantile } from './tails'

/**
 * The chi-square distribution: P(X ≤ x) = P(ν/2, x/2), the regularised incomplete gamma function.
 *
 * @param degreesOfFreedom - ν > 0, fractional too
 * @see Abramowitz & Stegun (1964) 26.4.19; NIST DLMF 8.2
 * @example
 * chiSquare(10).quantile(0.05, 'upper') // 18.307
 */
export const chiSquare = memoized(64, (degreesOfFreedom: number): Continuous => {
  const a = degreesOfFreedom / 2
  const tails = (x: number) => incompleteGamma(a, x / 2)
  const logDensity = (x: number) => logGammaKernel(a, x / 2) - Math.log(x)
  return {
    density: (x) => (x > 0 ? Math.exp(logDensity(x)) : x < 0 ? 0 : densityAtZero(degreesOfFreedom)),
    tails,
    quantile: memoizedQuantile((probability, tail) =>
      positiveQuantile({ probability, tail, tails, logDensity, start: degreesOfFreedom }),
    ),
  }
})

function densityAtZero(degreesOfFreedom: number): number {
  if (degreesOfFreedom === 2) return 0.5
  return degreesOfFreedom < 2 ? Infinity : 0
}
