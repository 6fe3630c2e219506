import { hypergeometric } from '../distributions/hypergeometric'
import { firstWhole, lastWhole } from '../numeric/wholeSearch'
import type { PowerQuestion } from './question'
import type { Region } from './sharePower'
import { stableSize, type StableSize } from './stableSize'

/** A test of how many units of a lot are marked. */
export type LotQuestion = Pick<PowerQuestion, 'n' | 'alternative' | 'significanceLevel'> &
  Readonly<{
    lotSize: number
    /** The boundary lots of the null hypothesis: of too few marked units and of too many. */
    fewest: number
    most: number
    /** How many are marked in truth. */
    marked: number
  }>

/**
 * The counts at which the exact test of a share of a lot rejects: up to `lower`, and from `upper` on; two-sided with at most α/2
 * in either.
 *
 * @param known - the region for a unit less, from which it is at most one count away
 * @example
 * lotRegion({ n: 50, alternative: 'less', significanceLevel: 0.05, lotSize: 960, fewest: 912, most: 912 })
 * // { lower: 44, upper: 51 }
 */
export function lotRegion(
  { n, alternative, significanceLevel, lotSize, fewest, most }: Omit<LotQuestion, 'marked'>,
  known?: Region,
): Region {
  const tail = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  const tailsOf = (marked: number) => hypergeometric({ lotSize, marked, sampleSize: n }).tails
  const [below, above] = [tailsOf(fewest), tailsOf(most)]
  const isLow = (k: number) => below(k).lower <= tail
  const isHigh = (k: number) => above(k - 1).upper <= tail
  const [low, high] = known ? [known.lower, known.lower + 1] : [-1, n]
  const [from, to] = known ? [known.upper, known.upper + 1] : [0, n + 1]
  return {
    lower: alternative === 'greater' ? -1 : lastWhole(isLow, low, Math.min(high, n)),
    upper: alternative === 'less' ? n + 1 : firstWhole(isHigh, from, Math.min(to, n + 1)),
  }
}

/**
 * The power of the exact test of a share of a lot, summed over the counts at which it rejects.
 *
 * @see W. Cochran (1977), Sampling Techniques, 3.6, for the distribution
 * @example
 * powerOfLot({
 *   n: 50,
 *   alternative: 'less',
 *   significanceLevel: 0.05,
 *   lotSize: 960,
 *   fewest: 912,
 *   most: 912,
 *   marked: 816,
 * })
 * // 0.787772
 */
export const powerOfLot = (question: LotQuestion): number => powerOf(lotRegion(question), question)

function powerOf({ lower, upper }: Region, { lotSize, marked, n }: LotQuestion): number {
  const { tails } = hypergeometric({ lotSize, marked, sampleSize: n })
  return Math.min(1, (lower < 0 ? 0 : tails(lower).lower) + (upper > n ? 0 : tails(upper - 1).upper))
}

/** Lots are searched unit by unit up to here. */
export const MAX_LOT_UNITS = 100_000

/**
 * The sample sizes for a power of the exact test of a share of a lot, up to the whole lot.
 *
 * @returns as `stableSize`
 * @example
 * lotSizes({
 *   alternative: 'less',
 *   significanceLevel: 0.05,
 *   lotSize: 960,
 *   fewest: 912,
 *   most: 912,
 *   marked: 816,
 *   power: 0.9,
 * })
 * // { firstN: 67, n: 75, power: 0.90122 }
 */
export function lotSizes(
  input: Omit<LotQuestion, 'n'> & Readonly<{ power: number }>,
): StableSize | undefined {
  let region: Region | undefined
  const powerAt = (n: number) => {
    region = lotRegion({ ...input, n }, region)
    return powerOf(region, { ...input, n })
  }
  const max = Math.min(input.lotSize, MAX_LOT_UNITS)
  return stableSize({ powerAt, power: input.power, max, isAll: max === input.lotSize })
}
