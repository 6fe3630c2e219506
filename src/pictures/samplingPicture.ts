import { methodOf } from '@/claims/all'
import type { Worked } from '@/claims/terms/definition'
import { type Hypotheses, valuesOf } from '@/claims/terms/hypotheses'
import type { CheckResult, TestPart } from '@/claims/result'
import { partsOf } from '@/claims/testParts'
import { distributionByName } from '@/statistics/distributions/byName'
import { stepOf } from '@/statistics/distributions/named'
import type { Reference } from '@/statistics/distributions/reference'
import type { Ends } from '@/statistics/inference/interval'
import { type DistributionShape, distributionShape, WIDEST } from './distributionShape'

/** The distribution of a test's statistic, were the null hypothesis true at its bound, with what the test makes of it. */
export type SamplingPicture = DistributionShape &
  Readonly<{
    statistic: number
    /** What is rejected: from `lower` downwards, from `upper` upwards. */
    rejected: Ends
    /** What the p-value counts, in the same way: outcomes at least as far out as the sample. */
    counted: Ends
    /** The estimate that belongs to a statistic, in the parameter's unit; absent where none does. */
    estimateAt?: (statistic: number) => number
  }>

/** Equal probabilities may differ in the last digits: METHODS, exact binomial. */
const LIKELIHOOD_SLACK = 1e-7

/** What of a result is drawn. */
export type Pictured = Pick<CheckResult, 'kind' | 'hypotheses' | 'sample' | 'test'>

/**
 * The picture of a test, from its result alone.
 *
 * @param place - 0, or 1 for the upper limit of a tolerance
 * @returns no picture where neither a distribution of a known name nor resamples stand behind the test
 */
export function samplingPicture(result: Pictured, place: 0 | 1 = 0): SamplingPicture | undefined {
  const { test, hypotheses, sample, kind: parameter } = result
  const part = partsOf(test)[place]
  if (part && isOfResamples(part.figures))
    return resampledPicture(part.figures.drawn, { part, side: sideOf(hypotheses, place) })
  if (!part?.distribution) return undefined
  const { statistic, distribution } = part
  const { picture = {} } = methodOf(test.method)
  const known = picture.reference?.(part.figures) ?? distributionByName(distribution)
  const side = sideOf(hypotheses, place)
  const step = picture.reference?.(part.figures) ? undefined : stepOf(distribution)
  const rejected = endsOf(part.criticalValues, side, known)
  const isByLikelihood = picture.countsByLikelihood?.(part.figures) ?? false
  const worked: Worked<unknown> = { parameter, sample, value: valuesOf(hypotheses)[place]!, part }
  const { estimateAt } = picture
  return {
    ...distributionShape(known, { step, statistic, ends: rejected }),
    statistic,
    rejected,
    counted: countedBy(statistic, side, { known, step, isByLikelihood }),
    ...(estimateAt ? { estimateAt: (x: number) => estimateAt(worked, x) } : {}),
  }
}

type Drawn = Readonly<{ from: number; width: number; counts: readonly number[] }>

const isOfResamples = (figures: unknown): figures is Readonly<{ drawn: Drawn }> =>
  typeof figures === 'object' && figures !== null && 'drawn' in figures

/** The resamples themselves, as steps: how many of them come to each estimate, were the claimed value true. */
function resampledPicture(
  { from, width, counts }: Drawn,
  { part, side }: Readonly<{ part: TestPart; side: Side }>,
): SamplingPicture | undefined {
  if (!(width > 0)) return undefined
  const to = from + width * counts.length
  const { statistic } = part
  const reach = (WIDEST - 1) * (to - from)
  const near = Math.min(to + reach, Math.max(from - reach, statistic))
  const heightAt = (x: number) =>
    x < from || x > to ? 0 : (counts[Math.min(counts.length - 1, Math.floor((x - from) / width))] ?? 0)
  const total = counts.reduce((sum, count) => sum + count, 0)
  const below = (x: number) =>
    counts.reduce((sum, count, at) => sum + count * Math.min(1, Math.max(0, (x - from) / width - at)), 0) /
    total
  /** The estimate below which a share of the resamples lies. */
  const quantile = (share: number) => {
    let sum = 0
    for (const [at, count] of counts.entries()) {
      if (count > 0 && sum + count >= share * total)
        return from + width * (at + (share * total - sum) / count)
      sum += count
    }
    return to
  }
  const middle = quantile(0.5)
  const [first, second] = part.criticalValues
  const isLower = side === 'less' || (side === 'two-sided' && first !== undefined && first < middle)
  const rejected =
    first === undefined
      ? {}
      : second !== undefined
        ? { lower: first, upper: second }
        : isLower
          ? { lower: first }
          : { upper: first }
  const isLow = side === 'less' || (side === 'two-sided' && statistic < middle)
  const tail = isLow ? below(statistic) : 1 - below(statistic)
  const other =
    side !== 'two-sided' || tail <= 0 ? {} : isLow ? { upper: quantile(1 - tail) } : { lower: quantile(tail) }
  const edges = counts.flatMap((y, at) => [
    { x: from + width * at, y },
    { x: from + width * (at + 1), y },
  ])
  return {
    ...{ shape: 'curve', barWidth: 0, heightAt, statistic, rejected },
    points: [{ x: from, y: 0 }, ...edges, { x: to, y: 0 }],
    min: Math.min(from, near, ...part.criticalValues),
    max: Math.max(to, near, ...part.criticalValues),
    counted: isLow ? { lower: statistic, ...other } : { upper: statistic, ...other },
  }
}

type Side = 'less' | 'greater' | 'two-sided'

function sideOf({ alternativeSide }: Hypotheses, place: 0 | 1): Side {
  if (alternativeSide === 'inside') return place === 0 ? 'greater' : 'less'
  if (alternativeSide === 'outside') return place === 0 ? 'less' : 'greater'
  return alternativeSide
}

/** One critical value belongs to the side that is looked at; of a two-sided test, to the side that it lies on. */
function endsOf(limits: readonly number[], side: Side, known: Reference): Ends {
  const [first, second] = limits
  if (first === undefined) return {}
  if (second !== undefined) return { lower: first, upper: second }
  const isLower = side === 'less' || (side === 'two-sided' && first < known.quantile(0.5, 'lower'))
  return isLower ? { lower: first } : { upper: first }
}

/** Outcomes at least as far out: of a two-sided test, those beyond the statistic and as improbable ones beyond the other end. */
function countedBy(
  statistic: number,
  side: Side,
  {
    known,
    step = 0,
    isByLikelihood,
  }: Readonly<{ known: Reference; step: number | undefined; isByLikelihood: boolean }>,
): Ends {
  if (side === 'less') return { lower: statistic }
  if (side === 'greater') return { upper: statistic }
  const atMost = known.tails(statistic).lower
  const atLeast = known.tails(statistic - step).upper
  const isLow = atMost <= atLeast
  if (isByLikelihood) return countedByLikelihood(statistic, isLow, known)
  const tail = Math.min(0.5, isLow ? atMost : atLeast)
  if (tail <= 0 || tail >= 0.5) return isLow ? { lower: statistic } : { upper: statistic }
  const other = known.quantile(tail, isLow ? 'upper' : 'lower')
  if (step === 0) return isLow ? { lower: statistic, upper: other } : { lower: other, upper: statistic }
  // The outcome at the quantile itself may be as far out, or a little less.
  const isAsFar = (probability: number) => probability <= tail * (1 + LIKELIHOOD_SLACK)
  return isLow
    ? { lower: statistic, upper: isAsFar(known.tails(other - step).upper) ? other : other + step }
    : { lower: isAsFar(known.tails(other).lower) ? other : other - step, upper: statistic }
}

/** Of an exact test that adds up every outcome no more probable than the one seen: where those begin on the other side. */
function countedByLikelihood(count: number, isLow: boolean, { density, quantile }: Reference): Ends {
  const max = density(count) * (1 + LIKELIHOOD_SLACK)
  const far = quantile(1e-15, isLow ? 'upper' : 'lower')
  const step = isLow ? 1 : -1
  for (let k = count + step; isLow ? k <= far : k >= far; k += step) {
    if (density(k) <= max) return isLow ? { lower: count, upper: k } : { lower: k, upper: count }
  }
  return isLow ? { lower: count } : { upper: count }
}
