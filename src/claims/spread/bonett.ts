import { normal } from '@/statistics/distributions/normal'
import { bracketedRoot } from '@/statistics/numeric/bracketedRoot'
import { compensatedSum } from '@/statistics/numeric/compensatedSum'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '@/words/en/problems'
import { type Pivot, pivotProcedure } from '@/statistics/inference/pivot'
import type { Procedure } from '@/statistics/inference/procedure'
import type { MeasuredSample } from '../sample'
import { scaledPivot, type SpreadParameter } from './scale'

const LEAST_READINGS = 5

/**
 * Bonett's test of a spread, which bears populations that are not normal.
 *
 * Limits exp(ln(c s²) ∓ z c √((γ − (n − 3)/n)/(n − 1))) for the variance, with c = n/(n − z) and γ the kurtosis about
 * a trimmed mean. The statistic is the z whose limit meets the claimed value, so that test and interval agree.
 *
 * @param sample - the readings, at least five
 * @returns the procedure, or the problem `too-few-readings`, `readings-needed` or `no-variation`
 * @see D. Bonett (2006), Computational Statistics & Data Analysis 50, 775-782
 */
export function spreadBonett(sample: MeasuredSample, parameter: SpreadParameter): Outcome<Procedure> {
  const { sampleSize: n, values, standardDeviation: s } = sample
  if (!values) return failure(problems.readingsNeeded('bonett'))
  if (n < LEAST_READINGS) return failure(problems.tooFewReadings(n, LEAST_READINGS))
  if (!s) return failure(problems.noVariation(sample.path, 'bonett'))
  const kurtosis = trimmedKurtosis(sample, s)
  const error = Math.sqrt((kurtosis - (n - 3) / n) / (n - 1))
  /** ln of the limit over s²: falls as z rises from −n to n. */
  const logLimit = (z: number) => {
    const c = n / (n - Math.abs(z))
    return Math.log(c) - z * c * error
  }
  const pivot: Pivot = {
    method: 'bonett',
    estimate: s,
    differenceFrom: (value) => s - value,
    distribution: { name: 'normal' },
    reference: normal,
    intermediateAt: () => ({ kurtosis, error }),
    statisticAt: (value) => zMeeting(logLimit, 2 * Math.log(value / s), n),
    estimateAt: (z, value) => value * Math.exp(-logLimit(z) / 2),
    valueAt: (z) => (Math.abs(z) < n ? s * Math.exp(logLimit(z) / 2) : Number.NaN),
  }
  return success(pivotProcedure(scaledPivot(pivot, parameter, sample.variance ?? s * s)))
}

function zMeeting(logLimit: (z: number) => number, target: number, n: number): number {
  const near = n * (1 - 2 ** -40)
  const [low, high] = target > 0 ? [-near, 0] : [0, near]
  return target === 0 ? 0 : bracketedRoot({ f: (z) => logLimit(z) - target, low, high })
}

/** n Σ(x − m)⁴ / (Σ(x − x̄)²)², m being the mean without the ⌊n / (2√(n − 4))⌋ readings at either end. */
function trimmedKurtosis({ values, sampleSize: n, mean, meanRemainder }: MeasuredSample, s: number): number {
  const deviations = Float64Array.from(values!, (value) => (value - mean! - meanRemainder) / s)
  const cut = Math.floor(n / (2 * Math.sqrt(n - 4)))
  const middle = deviations.toSorted().subarray(cut, n - cut)
  const m = compensatedSum(middle.length, (i) => middle[i]!) / middle.length
  return (n / (n - 1) ** 2) * compensatedSum(n, (i) => (deviations[i]! - m) ** 4)
}
