import { normal } from '@/statistics/distributions/normal'
import { median } from '@/statistics/describe/quantile'
import { compensatedSum } from '@/statistics/numeric/compensatedSum'
import { firstWhole } from '@/statistics/numeric/wholeSearch'
import { failure, type Outcome, success } from './outcome'
import { problems } from '@/words/en/problems'
import { ends, holds, intervalFrom, type IntervalOf, MIRRORED_SIDES } from '@/statistics/inference/interval'
import type { PointQuestion, PointTest, Procedure } from '@/statistics/inference/procedure'
import { type Resampled, resample } from '@/statistics/resampling/resample'
import type { MeasuredSample } from './sample'
import { doubledSmaller, fromLog } from '@/statistics/inference/tailProbability'

/** Draws beyond which a check would keep a person waiting for minutes. */
const MOST_DRAWS = 2e9

/**
 * The bootstrap test and interval of a mean, a median or a spread.
 *
 * The interval is BCa. The p-value of a mean counts studentised resamples as far out as the sample: of B, m as far out
 * give (m + 1)/(B + 1). That of a median or a spread is the level at which the end of the BCa interval meets the claimed
 * value: shifted resamples reject a true median three times as often as they say (docs/COVERAGE.md). The same seed
 * gives the same figures.
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
  const corrected = biasCorrected(resamples.statistics, estimated)
  const interval = { method: 'bca', endsAt: corrected.endsAt, holds }
  if (parameter !== 'mean') {
    return success({
      method: 'bootstrap',
      estimate,
      differenceFrom: (value) => estimate - value,
      test: (question) => testByInterval({ estimate, parameter, corrected, question }),
      mirror: interval,
      interval,
    })
  }
  const standardError = sample.standardDeviation / Math.sqrt(n)
  const studentized = resamples.studentized!
  return success({
    method: 'bootstrap',
    estimate,
    standardError,
    differenceFrom: (value) => estimate - value + sample.meanRemainder,
    test: (question) => testStudentized({ estimate, studentized, standardError, question }),
    interval,
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
    const sorted = sample.sorted!
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

type BiasCorrected = Readonly<{
  endsAt: IntervalOf
  /** The level at which the lower end of the interval, or the upper one, meets a value. */
  tailAt: (value: number, side: 'lower' | 'upper') => number
}>

/** The BCa interval: quantiles of the resamples, at levels corrected for bias and for skewness. */
function biasCorrected(statistics: Float64Array, { estimate, offset, leftOut }: Estimated): BiasCorrected {
  const centre = estimate - offset
  const count = statistics.length
  const below = (countBelow(statistics, centre, 'without') + countBelow(statistics, centre, 'with')) / 2
  const bias = normal.quantile(Math.min(count - 0.5, Math.max(0.5, below)) / count, 'lower')
  const acceleration = accelerationOf(leftOut)
  const endAt = (tail: number, side: 'lower' | 'upper') => {
    const z = bias + normal.quantile(tail, side)
    const room = 1 - acceleration * z
    const place = (count + 1) * normal.tails(bias + z / room).lower - 1
    // Nothing rarer than one resample in all can be told.
    const isTold = tail * (count + 1) >= 1 - 1e-12
    if (!(isTold && room > 0 && place >= 0 && place <= count - 1)) return undefined
    const [low, high] = [statistics[Math.floor(place)]!, statistics[Math.ceil(place)]!]
    return offset + low + (place - Math.floor(place)) * (high - low)
  }
  const tailAt = (value: number, side: 'lower' | 'upper') => {
    const share = (placeOf(statistics, value - offset, side) + 1) / (count + 1)
    const u = normal.quantile(share, 'lower') - bias
    const room = 1 + acceleration * u
    const tail = room > 0 ? normal.tails(u / room - bias)[side] : 0
    return Math.max(1 / (count + 1), tail)
  }
  const endsAt = intervalFrom({
    lower: (tail) => endAt(tail, 'lower'),
    upper: (tail) => endAt(tail, 'upper'),
  })
  return { endsAt, tailAt }
}

/**
 * Where a value stands among ascending numbers, counted from 0, between two of them by its distance from each; of equal
 * ones the first for a lower end, the last for an upper.
 */
function placeOf(sorted: Float64Array, value: number, side: 'lower' | 'upper'): number {
  const above = countBelow(sorted, value, side === 'lower' ? 'without' : 'with')
  if (side === 'upper' && above > 0 && sorted[above - 1] === value) return above - 1
  if (above === 0 || above === sorted.length || sorted[above] === value)
    return Math.min(above, sorted.length - 1)
  const [low, high] = [sorted[above - 1]!, sorted[above]!]
  return above - 1 + (value - low) / (high - low)
}

/** Σ(θ̄ − θᵢ)³ / (6 (Σ(θ̄ − θᵢ)²)^(3/2)), over the estimates without one reading each. */
function accelerationOf(leftOut: Float64Array): number {
  const n = leftOut.length
  const mean = compensatedSum(n, (i) => leftOut[i]!) / n
  const squares = compensatedSum(n, (i) => (mean - leftOut[i]!) ** 2)
  return squares === 0 ? 0 : compensatedSum(n, (i) => (mean - leftOut[i]!) ** 3) / (6 * squares ** 1.5)
}

/** The estimates at which the decision turns move with the value: a median by shifts, a spread in proportion. */
function testByInterval(
  input: Readonly<{
    estimate: number
    parameter: Exclude<Resampled, 'mean'>
    corrected: BiasCorrected
    question: PointQuestion
  }>,
): PointTest {
  const { estimate, parameter, corrected, question } = input
  const { value, alternative, significanceLevel } = question
  const low = fromLog(Math.log(corrected.tailAt(value, 'upper')))
  const high = fromLog(Math.log(corrected.tailAt(value, 'lower')))
  const { lower, upper } = corrected.endsAt({ beyond: significanceLevel, sides: MIRRORED_SIDES[alternative] })
  const moved = (end: number | undefined) => {
    if (end === undefined) return undefined
    return parameter === 'median' ? value + (estimate - end) : value * (estimate / end)
  }
  const limits = ends({ lower: moved(upper), upper: moved(lower) })
  return {
    statistic: estimate,
    ...{ less: low, greater: high, 'two-sided': doubledSmaller(low, high) }[alternative],
    limits,
    estimateLimits: limits,
    isBeyond: (lower !== undefined && value <= lower) || (upper !== undefined && value >= upper),
  }
}

function testStudentized(
  input: Readonly<{
    estimate: number
    /** Ascending. */
    studentized: Float64Array
    standardError: number
    question: PointQuestion
  }>,
): PointTest {
  const { estimate, studentized, standardError, question } = input
  const { value, alternative, significanceLevel } = question
  const count = studentized.length
  const observed = (estimate - value) / standardError
  const atMost = countBelow(studentized, observed, 'with')
  const atLeast = count - countBelow(studentized, observed, 'without')
  const probability = (as: number) => fromLog(Math.log((as + 1) / (count + 1)), (as + 1) / (count + 1))
  const level = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  /** So many resamples may lie as far out for the sample still to be rejected. */
  const allowed = Math.floor(level * (count + 1) * (1 + 1e-12)) - 1
  const isThere = allowed >= 0 && allowed < count
  const estimateAt = (place: number) => value + studentized[place]! * standardError
  const limits = ends({
    lower: alternative === 'greater' || !isThere ? undefined : estimateAt(allowed),
    upper: alternative === 'less' || !isThere ? undefined : estimateAt(count - 1 - allowed),
  })
  const isLess = alternative !== 'greater' && isThere && atMost <= allowed
  const isGreater = alternative !== 'less' && isThere && atLeast <= allowed
  const [low, high] = [probability(atMost), probability(atLeast)]
  return {
    statistic: estimate,
    ...{ less: low, greater: high, 'two-sided': doubledSmaller(low, high) }[alternative],
    limits,
    estimateLimits: limits,
    isBeyond: isLess || isGreater,
    intermediate: { count, atMost, atLeast },
  }
}

/** How many ascending numbers lie below a value, without those equal to it or with them. */
function countBelow(sorted: Float64Array, value: number, counted: 'without' | 'with'): number {
  const isPast = (at: number) => (counted === 'without' ? sorted[at]! >= value : sorted[at]! > value)
  return firstWhole(isPast, 0, sorted.length)
}
