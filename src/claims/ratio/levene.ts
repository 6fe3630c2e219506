import * as z from 'zod/mini'
import { median } from '@/statistics/describe/quantile'
import { fDistribution } from '@/statistics/distributions/fDistribution'
import type { PointQuestion, PointTest } from '@/statistics/inference/procedure'
import { upperTail } from '@/statistics/inference/tailProbability'
import { compensatedSum } from '@/statistics/numeric/compensatedSum'
import type { MethodDefinition } from '../terms/definition'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import type { MeasuredSample } from '../terms/sample'
import { computed, type Formula, fraction, given, joined, squared, step, symbol } from '../terms/formula'
import { ratioOfVariances } from './f'

type Centre = 'mean' | 'median'

const figures = z.strictObject({
  /** The mean distances from each centre. */
  mean1: z.number(),
  mean2: z.number(),
  between: z.number(),
  within: z.number(),
})
type Figures = z.infer<typeof figures>

/** Levene's test of two spreads: distances from each sample's mean. */
export const levene = leveneAbout('levene', 'mean', {
  formula: 'F = between ÷ within, of |x − mean|',
  source: 'Levene (1960), in Contributions to Probability and Statistics',
})

/** Brown and Forsythe's: distances from each sample's median. */
export const brownForsythe = leveneAbout('brown-forsythe', 'median', {
  formula: 'F = between ÷ within, of |x − median|',
  source: 'Brown & Forsythe (1974), J. American Statistical Association 69, 364-367',
})

/**
 * A one-way analysis of the absolute deviations from each sample's centre, which bears populations that are not normal.
 *
 * The first readings are divided by √ratio. F on 1 and n₁ + n₂ − 2 degrees of freedom; two-sided only, and no interval.
 * Problems: `two-sided-only`, `readings-needed`, `too-few-readings`, `no-variation`.
 *
 * @see H. Levene (1960), in Contributions to Probability and Statistics, 278-292; M. Brown & A. Forsythe (1974),
 *   J. American Statistical Association 69, 364-367
 */
function leveneAbout<Name extends 'levene' | 'brown-forsythe'>(
  name: Name,
  centre: Centre,
  told: Readonly<{ formula: string; source: string }>,
): MethodDefinition<Name, Figures, 'two'> {
  return {
    name,
    ...told,
    parameters: ['variance-ratio'],
    needs: ['readings', 'two-sided'],
    options: [],
    restsOn: 'none',
    dependsOn: 'values',
    work: { looks: 1 },
    interval: 'none',
    turnedRound: [],
    statistic: 'figure',
    symbol: 'F',
    figures,
    make({ sample: { two }, hypotheses: { alternativeSide } }) {
      if (alternativeSide !== 'two-sided') return failure(problems.twoSidedOnly(name))
      for (const { values, sampleSize, standardDeviation, path } of [two.first, two.second]) {
        if (!values) return failure(problems.readingsNeeded(name))
        if (sampleSize < 2) return failure(problems.tooFewReadings(sampleSize, 2))
        if (!standardDeviation) return failure(problems.noVariation(path, name))
      }
      const first = absoluteDeviations(two.first, centre)
      const second = absoluteDeviations(two.second, centre)
      if (within(first) + within(second) === 0) return failure(problems.noVariation('evidence', name))
      const estimate = ratioOfVariances(two)
      return success({
        estimate,
        differenceFrom: (value) => estimate - value,
        test: (question) => testAt(first, second, question),
      })
    },
    working({ sample, part }) {
      const { mean1, mean2, between, within } = part.figures
      const [n1, n2] = [sample.first.n, sample.second.n]
      const [d1, d2] = [symbol('d₁', '\\bar d_1'), symbol('d₂', '\\bar d_2')]
      const betweenOf = (one: Formula, two: Formula, first: Formula, second: Formula) =>
        joined(
          fraction(joined(one, '·', two), joined(one, '+', two)),
          '·',
          squared(joined(first, '−', second)),
        )
      return [
        step(`first-distance-from-${centre}`, d1, computed(mean1)),
        step(`second-distance-from-${centre}`, d2, computed(mean2)),
        step(
          'spread-between',
          symbol('B'),
          betweenOf(symbol('n₁', 'n_1'), symbol('n₂', 'n_2'), d1, d2),
          betweenOf(given(n1), given(n2), computed(mean1), computed(mean2)),
          computed(between),
        ),
        { ...step('spread-within', symbol('V'), computed(within)), figures: { df: n1 + n2 - 2 } },
        step(
          'statistic',
          symbol('F'),
          fraction(symbol('B'), symbol('V')),
          fraction(computed(between), computed(within)),
          computed(part.statistic),
        ),
      ]
    },
  }
}

function testAt(
  first: Float64Array,
  second: Float64Array,
  { value, significanceLevel }: PointQuestion,
): PointTest<Figures> {
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
    figures: { mean1, mean2, between, within: spreadWithin },
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
