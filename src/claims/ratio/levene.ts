import type { Alternative } from '../claim'
import { median } from '@/statistics/describe/quantile'
import { fDistribution } from '@/statistics/distributions/fDistribution'
import { compensatedSum } from '@/statistics/numeric/compensatedSum'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '@/words/en/problems'
import type { PointQuestion, PointTest, Procedure } from '@/statistics/inference/procedure'
import { varianceRatio } from './f'
import type { MeasuredSample, TwoSamples } from '../sample'
import { upperTail } from '@/statistics/inference/tailProbability'

type Centre = 'mean' | 'median'

/**
 * Levene's test of two spreads, or Brown and Forsythe's: a one-way analysis of the absolute deviations from each
 * sample's mean, or from its median, which bears populations that are not normal.
 *
 * The first readings are divided by √ratio. F on 1 and n₁ + n₂ − 2 degrees of freedom; two-sided only, and no interval.
 *
 * @returns the procedure, or the problem `readings-needed`, `too-few-readings`, `two-sided-only` or `no-variation`
 * @see H. Levene (1960), in Contributions to Probability and Statistics, 278-292; M. Brown & A. Forsythe (1974),
 *   J. American Statistical Association 69, 364-367
 */
export function ratioLevene(
  samples: TwoSamples,
  method: 'levene' | 'brown-forsythe',
  alternative: Alternative | 'inside' | 'outside',
): Outcome<Procedure> {
  if (alternative !== 'two-sided') return failure(problems.twoSidedOnly(method))
  const centre = method === 'levene' ? 'mean' : 'median'
  const both = [samples.first, samples.second] as const
  for (const { values, sampleSize, standardDeviation, path } of both) {
    if (!values) return failure(problems.readingsNeeded(method))
    if (sampleSize < 2) return failure(problems.tooFewReadings(sampleSize, 2))
    if (!standardDeviation) return failure(problems.noVariation(path, method))
  }
  const [first, second] = both.map((sample) => absoluteDeviations(sample, centre))
  if (within(first!) + within(second!) === 0) return failure(problems.noVariation('evidence', method))
  const estimate = varianceRatio(samples)
  return success({
    method,
    estimate,
    differenceFrom: (value) => estimate - value,
    test: (question) => testAt(first!, second!, question),
  })
}

function testAt(
  first: Float64Array,
  second: Float64Array,
  { value, significanceLevel }: PointQuestion,
): PointTest {
  const scaled = first.map((deviation) => deviation / Math.sqrt(value))
  const [n1, n2] = [first.length, second.length]
  const [mean1, mean2] = [meanOf(scaled), meanOf(second)]
  const df2 = n1 + n2 - 2
  const between = ((n1 * n2) / (n1 + n2)) * (mean1 - mean2) ** 2
  const spreadWithin = (within(scaled) + within(second)) / df2
  const statistic = between / spreadWithin
  const reference = fDistribution({ numerator: 1, denominator: df2 })
  const upper = reference.quantile(significanceLevel, 'upper')
  return {
    statistic,
    distribution: { name: 'f', df1: 1, df2 },
    ...upperTail(reference.tails(statistic)),
    limits: { upper },
    estimateLimits: {},
    isBeyond: statistic >= upper,
    intermediate: { mean1, mean2, between, within: spreadWithin },
  }
}

function absoluteDeviations(
  { values, sorted, mean, meanRemainder }: MeasuredSample,
  centre: Centre,
): Float64Array {
  const middle = centre === 'median' ? median(sorted!) : undefined
  return Float64Array.from(values!, (value) =>
    Math.abs(middle === undefined ? value - mean! - meanRemainder : value - middle),
  )
}

function meanOf(values: Float64Array): number {
  return compensatedSum(values.length, (i) => values[i]!) / values.length
}

/** The sum of squares about the mean. */
function within(values: Float64Array): number {
  const mean = meanOf(values)
  return compensatedSum(values.length, (i) => (values[i]! - mean) ** 2)
}
