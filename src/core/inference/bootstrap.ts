import { normal } from '../distributions/normal'
import { median } from '../describe/quantile'
import { compensatedSum } from '../numeric/compensatedSum'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '../wording/problems'
import { ends, holds, intervalFrom, type IntervalOf } from './interval'
import type { PointQuestion, PointTest, Procedure } from './procedure'
import { type Resampled, type Resamples, resample } from './resample'
import type { MeasuredSample } from './sample'
import { doubledSmaller, fromLog } from './tailProbability'

/** Draws beyond which a check would keep a person waiting for minutes. */
const MOST_DRAWS = 2e9

/**
 * The bootstrap test and interval of a mean, a median or a spread.
 *
 * The interval is BCa. The p-value counts resamples at least as far out as the sample: for a mean studentised, for a
 * median shifted so that it equals the claimed value, for a spread scaled so. Of B resamples, m as far out give
 * (m + 1)/(B + 1). The same seed gives the same figures.
 *
 * @param plan.count - B, how many resamples
 * @returns the procedure, or the problem `readings-needed`, `too-few-readings`, `no-variation` or `too-many-draws`
 * @see B. Efron (1987), J. American Statistical Association 82, 171-185; A. Davison & D. Hinkley (1997), Bootstrap
 *   Methods and their Application, 4.4 and 5.3.2
 */
export function bootstrap(
  sample: MeasuredSample,
  parameter: Resampled,
  plan: Readonly<{ count: number; seed: number }>,
): Outcome<Procedure> {
  const { values, sampleSize: n } = sample
  if (!values) return failure(problems.readingsNeeded('bootstrap'))
  if (n < 2) return failure(problems.tooFewReadings(n, 2))
  if (!sample.standardDeviation) return failure(problems.noVariation(sample.path, 'bootstrap'))
  if (n * plan.count > MOST_DRAWS) return failure(problems.tooManyDraws(n, plan.count, MOST_DRAWS))
  const estimated = estimateOf(sample, parameter)
  const resamples = resample(estimated.drawnFrom, parameter, plan)
  const { estimate } = estimated
  const interval = biasCorrected(resamples.statistics, estimated)
  const standardError = sample.standardDeviation / Math.sqrt(n)
  return success({
    method: 'bootstrap',
    estimate,
    standardError: parameter === 'mean' ? standardError : undefined,
    differenceFrom: (value) =>
      parameter === 'mean' ? estimate - value + sample.meanRemainder : estimate - value,
    test: (question) => testAt({ estimate, parameter, resamples, standardError, question }),
    interval: { method: 'bca', endsAt: interval, holds },
  })
}

type Estimated = Readonly<{
  estimate: number
  /** What was taken from the readings before resampling. */
  offset: number
  drawnFrom: Float64Array
  /** The estimate without each reading in turn. */
  leftOut: Float64Array
}>

function estimateOf(sample: MeasuredSample, parameter: Resampled): Estimated {
  const { sampleSize: n, mean, meanRemainder } = sample
  if (parameter === 'median') {
    const sorted = Float64Array.from(sample.values!).sort()
    const leftOut = sorted.map((_, left) => {
      const at = (place: number) => sorted[place < left ? place : place + 1]!
      return at(Math.ceil((n - 1) / 2) - 1) / 2 + at(Math.floor((n - 1) / 2)) / 2
    })
    return { estimate: median(sorted), offset: 0, drawnFrom: sorted, leftOut }
  }
  const centred = Float64Array.from(sample.values!, (value) => value - mean! - meanRemainder)
  if (parameter === 'mean') {
    return {
      estimate: mean!,
      offset: mean!,
      drawnFrom: centred,
      leftOut: centred.map((value) => -value / (n - 1)),
    }
  }
  const squares = compensatedSum(n, (i) => centred[i]! ** 2)
  const scaled = (variance: number) => (parameter === 'variance' ? variance : Math.sqrt(variance))
  const without = (value: number) => Math.max(0, squares - (value * value * n) / (n - 1)) / Math.max(1, n - 2)
  return {
    estimate: scaled(squares / (n - 1)),
    offset: 0,
    drawnFrom: centred,
    leftOut: centred.map((value) => scaled(without(value))),
  }
}

/** The BCa interval: quantiles of the resamples, at levels corrected for bias and for skewness. */
function biasCorrected(statistics: Float64Array, { estimate, offset, leftOut }: Estimated): IntervalOf {
  const centre = estimate - offset
  const count = statistics.length
  const below = (countBelow(statistics, centre, 'without') + countBelow(statistics, centre, 'with')) / 2
  const share = below / count
  if (!(share > 0 && share < 1)) return () => ({})
  const bias = normal.quantile(share, 'lower')
  const acceleration = accelerationOf(leftOut)
  const at = (tail: number, side: 'lower' | 'upper') => {
    const z = bias + normal.quantile(tail, side)
    const corrected = bias + z / (1 - acceleration * z)
    const place = (count + 1) * normal.tails(corrected).lower - 1
    if (!(place >= 0 && place <= count - 1)) return undefined
    const [low, high] = [statistics[Math.floor(place)]!, statistics[Math.ceil(place)]!]
    return offset + low + (place - Math.floor(place)) * (high - low)
  }
  return intervalFrom({ lower: (tail) => at(tail, 'lower'), upper: (tail) => at(tail, 'upper') })
}

/** Σ(θ̄ − θᵢ)³ / (6 (Σ(θ̄ − θᵢ)²)^(3/2)), over the estimates without one reading each. */
function accelerationOf(leftOut: Float64Array): number {
  const n = leftOut.length
  const mean = compensatedSum(n, (i) => leftOut[i]!) / n
  const squares = compensatedSum(n, (i) => (mean - leftOut[i]!) ** 2)
  return squares === 0 ? 0 : compensatedSum(n, (i) => (mean - leftOut[i]!) ** 3) / (6 * squares ** 1.5)
}

type Tested = Readonly<{
  estimate: number
  parameter: Resampled
  resamples: Resamples
  standardError: number
  question: PointQuestion
}>

function testAt({ estimate, parameter, resamples, standardError, question }: Tested): PointTest {
  const { alternative, significanceLevel } = question
  const { pivots, observed, estimateAt } = pivotsOf({
    estimate,
    parameter,
    resamples,
    standardError,
    question,
  })
  const count = pivots.length
  const atMost = countBelow(pivots, observed, 'with')
  const atLeast = count - countBelow(pivots, observed, 'without')
  const probability = (as: number) => fromLog(Math.log((as + 1) / (count + 1)), (as + 1) / (count + 1))
  const pValue = {
    less: () => probability(atMost),
    greater: () => probability(atLeast),
    'two-sided': () => doubledSmaller(probability(atMost), probability(atLeast)),
  }[alternative]()
  const level = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  /** So many resamples may lie as far out for the sample still to be rejected. */
  const allowed = Math.floor(level * (count + 1) * (1 + 1e-12)) - 1
  const isThere = allowed >= 0 && allowed < count
  const limits = ends({
    lower: alternative === 'greater' || !isThere ? undefined : estimateAt(pivots[allowed]!),
    upper: alternative === 'less' || !isThere ? undefined : estimateAt(pivots[count - 1 - allowed]!),
  })
  const isLess = alternative !== 'greater' && isThere && atMost <= allowed
  const isGreater = alternative !== 'less' && isThere && atLeast <= allowed
  return {
    statistic: estimate,
    ...pValue,
    limits,
    estimateLimits: limits,
    isBeyond: isLess || isGreater,
    intermediate: { count, atMost, atLeast },
  }
}

/** The resamples under the null hypothesis, ascending, what the sample itself gives there, and the way back. */
function pivotsOf({ estimate, parameter, resamples, standardError, question: { value } }: Tested): Readonly<{
  pivots: Float64Array
  observed: number
  estimateAt: (pivot: number) => number
}> {
  const { statistics, studentized } = resamples
  switch (parameter) {
    case 'mean':
      return {
        pivots: studentized!,
        observed: (estimate - value) / standardError,
        estimateAt: (t) => value + t * standardError,
      }
    case 'median':
      return {
        pivots: statistics,
        observed: estimate + (estimate - value),
        estimateAt: (median) => value + (median - estimate),
      }
    case 'standard-deviation':
    case 'variance':
      return {
        pivots: statistics,
        observed: estimate * (estimate / value),
        estimateAt: (spread) => value * (spread / estimate),
      }
    default:
      return parameter satisfies never
  }
}

/** How many ascending numbers lie below a value, without those equal to it or with them. */
function countBelow(sorted: Float64Array, value: number, counted: 'without' | 'with'): number {
  let [low, high] = [0, sorted.length]
  while (low < high) {
    const middle = (low + high) >> 1
    const isBelow = counted === 'without' ? sorted[middle]! < value : sorted[middle]! <= value
    if (isBelow) low = middle + 1
    else high = middle
  }
  return low
}
