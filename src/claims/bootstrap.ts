import * as z from 'zod/mini'
import { median } from '@/statistics/describe/quantile'
import { ends, holds, MIRRORED_SIDES } from '@/statistics/inference/interval'
import type { PointQuestion, PointTest, Procedure } from '@/statistics/inference/procedure'
import { doubledSmaller, fromLog } from '@/statistics/inference/tailProbability'
import { compensatedSum } from '@/statistics/numeric/compensatedSum'
import {
  biasCorrected,
  type BiasCorrected,
  countBelow,
  type Jackknifed,
} from '@/statistics/resampling/biasCorrected'
import { binned } from '@/statistics/resampling/binned'
import { type Resampled, resample } from '@/statistics/resampling/resample'
import type { MethodDefinition } from './terms/definition'
import { failure, success } from './terms/outcome'
import { problems } from './terms/problems'
import type { Parameter } from './terms/names'
import type { MeasuredSample } from './terms/sample'
import { computed, fraction, given, joined, step, symbol } from './terms/formula'

/** Draws beyond which a check would keep a person waiting for minutes. */
const MAX_DRAWS = 2e9
/** Part by which a count of resamples that is exactly a level may round below it. */
const ROUNDING = 1e-12

/** Fewer readings than these have too few resamples that differ to tell a rare one by: docs/COVERAGE.md. */
const LEAST: Readonly<Record<Resampled, number>> = {
  mean: 10,
  median: 10,
  'standard-deviation': 30,
  variance: 30,
}

/** How many readings a bootstrap of a parameter needs. */
export const leastResampled = (parameter: Parameter): number => LEAST[parameter as Resampled]

/** The estimates of the resamples, were the claimed value true, counted in stretches of one width. */
const drawn = z.strictObject({ from: z.number(), width: z.number(), counts: z.readonly(z.array(z.number())) })
/** So many stretches are drawn: common practice, no source. */
const STRETCHES = 60

const figures = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('studentised'),
    /** B, and how many of the resamples lie as low and as high as the sample. */
    count: z.number(),
    atMost: z.number(),
    atLeast: z.number(),
    drawn,
  }),
  z.strictObject({ by: z.literal('interval'), drawn }),
])
type Figures = z.infer<typeof figures>

/**
 * The bootstrap test and interval of a mean, a median or a spread.
 *
 * The interval is BCa. The p-value of a mean counts studentised resamples as far out as the sample: of B, m as far out
 * give (m + 1)/(B + 1). That of a median or a spread is the level at which the end of the BCa interval meets the claimed
 * value: shifted resamples reject a true median three times as often as they say (docs/COVERAGE.md). That of a median is
 * never below 2^(−n), the least of a sign test. It takes 10 readings for a mean or a median, 30 for a spread. The same seed
 * gives the same figures. Problems: `readings-needed`, `too-few-readings`, `no-variation`, `too-many-draws`.
 *
 * @see B. Efron (1987), J. American Statistical Association 82, 171-185; A. Davison & D. Hinkley (1997), Bootstrap
 *   Methods and their Application, 4.4 and 5.3.2
 */
export const bootstrap: MethodDefinition<'bootstrap', Figures, 'measured'> = {
  name: 'bootstrap',
  parameters: ['mean', 'standard-deviation', 'variance', 'median'],
  needs: ['readings', 'enough-readings'],
  options: ['resamples'],
  restsOn: 'none',
  dependsOn: 'places',
  work: { looks: 1, isResampled: true },
  interval: 'own',
  turnedRound: [],
  statistic: 'estimate',
  symbol: 'estimate',
  formula: 'p = (resamples as far out + 1) ÷ (resamples + 1)',
  source: 'Efron (1987), J. American Statistical Association 82, 171-185; Davison & Hinkley (1997)',
  figures,
  make({ parameter, sample: { measured }, options: { resamples: count, seed } }) {
    const { values, sampleSize: n } = measured
    if (parameter === 'mean' && measured.mean === undefined) return failure(problems.meanNeeded())
    if (!values) return failure(problems.readingsNeeded('bootstrap'))
    const least = leastResampled(parameter)
    if (n < least) return failure(problems.tooFewToResample(n, least, parameter))
    if (!measured.standardDeviation) return failure(problems.noVariation(measured.path, 'bootstrap'))
    if (n * count > MAX_DRAWS) return failure(problems.tooManyDraws(n, count, MAX_DRAWS))
    return success(procedureOf(measured, parameter as Resampled, { count, seed }))
  },
  working({ part: { statistic, figures: own } }) {
    const estimate = step('estimate', symbol('estimate', '\\text{estimate}'), given(statistic))
    if (own.by === 'interval') return [estimate]
    const { count, atMost, atLeast } = own
    const share = (as: number) =>
      fraction(joined(given(as), '+', given(1)), joined(given(count), '+', given(1)))
    const shareStep = (name: 'resamples-as-low' | 'resamples-as-high', as: number) => {
      const word = name === 'resamples-as-low' ? 'low' : 'high'
      const probability = symbol(`P(${word})`, `P_{\\text{${word}}}`)
      return step(name, probability, share(as), computed((as + 1) / (count + 1)))
    }
    return [estimate, shareStep('resamples-as-low', atMost), shareStep('resamples-as-high', atLeast)]
  },
}

function procedureOf(
  sample: MeasuredSample,
  parameter: Resampled,
  plan: Readonly<{ count: number; seed: number }>,
): Procedure<Figures> {
  const estimated = estimateOf(sample, parameter)
  const { estimate } = estimated
  const own = estimated.estimate - estimated.offset
  const resamples = resample(estimated.drawnFrom, parameter, { ...plan, own })
  // No sign test of so few readings could tell more.
  const least = parameter === 'median' ? 2 ** -sample.sampleSize : 0
  const corrected = biasCorrected(resamples.statistics, { ...estimated, least })
  const interval = { method: 'bca', endsAt: corrected.endsAt, holds }
  if (parameter !== 'mean') {
    return {
      estimate,
      differenceFrom: (value) => estimate - value,
      test: (question) =>
        testByInterval({ estimate, parameter, corrected, resampled: resamples.statistics, question }),
      mirror: interval,
      interval,
    }
  }
  const standardError = sample.standardDeviation! / Math.sqrt(sample.sampleSize)
  const studentized = resamples.studentized!
  return {
    estimate,
    standardError,
    differenceFrom: (value) => estimate - value + sample.meanRemainder,
    test: (question) => testStudentized({ estimate, studentized, standardError, question }),
    interval,
  }
}

type Estimated = Jackknifed & Readonly<{ drawnFrom: Float64Array }>

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

/** The estimates at which the decision turns move with the value: a median by shifts, a spread in proportion. */
function testByInterval(
  input: Readonly<{
    estimate: number
    parameter: Exclude<Resampled, 'mean'>
    corrected: BiasCorrected
    resampled: Float64Array
    question: PointQuestion
  }>,
): PointTest<Figures> {
  const { estimate, parameter, corrected, question } = input
  const { value, alternative, significanceLevel } = question
  const low = fromLog(Math.log(corrected.tailAt(value, 'upper')))
  const high = fromLog(Math.log(corrected.tailAt(value, 'lower')))
  const { lower, upper } = corrected.endsAt({ beyond: significanceLevel, sides: MIRRORED_SIDES[alternative] })
  const moved = (end: number) =>
    parameter === 'median' ? value + (estimate - end) : value * (estimate / end)
  const limits = ends({
    lower: upper === undefined ? undefined : moved(upper),
    upper: lower === undefined ? undefined : moved(lower),
  })
  // A resample without any spread stands for a claimed one without end.
  const estimates = input.resampled.map(moved).filter(Number.isFinite)
  return {
    statistic: estimate,
    ...{ less: low, greater: high, 'two-sided': doubledSmaller(low, high) }[alternative],
    limits,
    estimateLimits: limits,
    isBeyond: (lower !== undefined && value <= lower) || (upper !== undefined && value >= upper),
    figures: { by: 'interval', drawn: binned(estimates, STRETCHES) },
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
): PointTest<Figures> {
  const { estimate, studentized, standardError, question } = input
  const { value, alternative, significanceLevel } = question
  const count = studentized.length
  const observed = (estimate - value) / standardError
  const atMost = countBelow(studentized, observed, 'with')
  const atLeast = count - countBelow(studentized, observed, 'without')
  const probability = (as: number) => fromLog(Math.log((as + 1) / (count + 1)), (as + 1) / (count + 1))
  const level = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  /** So many resamples may lie as far out for the sample still to be rejected. */
  const allowed = Math.floor(level * (count + 1) * (1 + ROUNDING)) - 1
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
    figures: {
      ...{ by: 'studentised', count, atMost, atLeast },
      drawn: binned(studentized.map((t) => value + t * standardError).filter(Number.isFinite), STRETCHES),
    },
  }
}
