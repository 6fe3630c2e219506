import * as z from 'zod/mini'
import { normal } from '@/statistics/distributions/normal'
import { pivotProcedure } from '@/statistics/inference/pivot'
import { bracketedRoot } from '@/statistics/numeric/bracketedRoot'
import { compensatedSum } from '@/statistics/numeric/compensatedSum'
import type { MethodDefinition } from '../terms/definition'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import type { MeasuredSample } from '../terms/sample'
import { computed, type Formula, fraction, given, joined, root, step, symbol } from '../terms/formula'
import { N } from '../working/symbols'
import { scaledPivot, type SpreadParameter } from './scale'

const MIN_READINGS = 5

const figures = z.strictObject({
  /** About a trimmed mean. */
  kurtosis: z.number(),
  /** Of ln s². */
  error: z.number(),
})

/**
 * Bonett's test of a spread, which bears populations that are not normal.
 *
 * Limits exp(ln(c s²) ∓ z c √((γ − (n − 3)/n)/(n − 1))) for the variance, with c = n/(n − z) and γ the kurtosis about
 * a trimmed mean. The statistic is the z whose limit meets the claimed value, so that test and interval agree. Problems:
 * `readings-needed`, `too-few-readings` (n < 5), `no-variation`.
 *
 * @see D. Bonett (2006), Computational Statistics & Data Analysis 50, 775-782
 */
export const bonett: MethodDefinition<'bonett', z.infer<typeof figures>, 'measured'> = {
  name: 'bonett',
  parameters: ['standard-deviation', 'variance'],
  needs: ['readings'],
  options: [],
  restsOn: 'none',
  dependsOn: 'values',
  work: { looks: 1 },
  interval: 'own',
  turnedRound: [],
  statistic: 'figure',
  symbol: 'z',
  formula: 'z at which exp(ln(c s²) ∓ z c · error) meets σ₀²',
  source: 'Bonett (2006), Computational Statistics & Data Analysis 50, 775-782',
  figures,
  make({ sample: { measured }, parameter }) {
    const { sampleSize: n, values, standardDeviation: s, variance } = measured
    if (!values) return failure(problems.readingsNeeded('bonett'))
    if (n < MIN_READINGS) return failure(problems.tooFewReadings(n, MIN_READINGS))
    if (!s) return failure(problems.noVariation(measured.path, 'bonett'))
    const kurtosis = trimmedKurtosis(measured, s)
    const error = Math.sqrt((kurtosis - (n - 3) / n) / (n - 1))
    /** ln of the limit over s²: falls as z rises from −n to n. */
    const logLimit = (z: number) => {
      const c = n / (n - Math.abs(z))
      return Math.log(c) - z * c * error
    }
    const pivot = {
      interval: 'bonett',
      estimate: s,
      differenceFrom: (value: number) => s - value,
      distribution: { name: 'normal' } as const,
      reference: normal,
      figuresAt: () => ({ kurtosis, error }),
      statisticAt: (value: number) => zMeeting(logLimit, 2 * Math.log(value / s), n),
      estimateAt: (z: number, value: number) => value * Math.exp(-logLimit(z) / 2),
      valueAt: (z: number) => (Math.abs(z) < n ? s * Math.exp(logLimit(z) / 2) : Number.NaN),
    }
    return success(pivotProcedure(scaledPivot(pivot, parameter as SpreadParameter, variance ?? s * s)))
  },
  working({ sample, part }) {
    const { kurtosis, error } = part.figures
    const errorOf = (gamma: Formula, n: Formula) =>
      root(fraction(joined(gamma, '−', fraction(joined(n, '−', given(3)), n)), joined(n, '−', given(1))))
    const gamma = symbol('γ', '\\gamma')
    return [
      step('trimmed-kurtosis', gamma, computed(kurtosis)),
      step(
        'log-variance-error',
        symbol('e'),
        errorOf(gamma, N),
        errorOf(computed(kurtosis), given(sample.n)),
        computed(error),
      ),
      step('bonett-statistic', symbol('z'), computed(part.statistic)),
    ]
  },
}

/** So near to n a z is sought. */
const NEARLY = 1 - 2 ** -40

function zMeeting(logLimit: (z: number) => number, target: number, n: number): number {
  const near = n * NEARLY
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
