import { binomial } from '../distributions/binomial'
import { normal } from '../distributions/normal'
import { firstWhole, lastWhole } from '../numeric/wholeSearch'
import type { PowerQuestion } from './question'
import { inTails } from './meanPower'
import { stableSize, type StableSize } from './stableSize'

/**
 * The power of the score test of a share by the normal formula: the limit by the variance under p₀, the chance beyond
 * it by the variance under the true share.
 *
 * @param question.value, question.truth - shares between 0 and 1
 * @see J. Fleiss, B. Levin & M. Paik (2003), Statistical Methods for Rates and Proportions, 2.5
 * @example
 * powerOfScore({ n: 200, value: 0.9, truth: 0.85, alternative: 'less', significanceLevel: 0.05 })
 * // 0.725194
 */
export function powerOfScore({ n, value, truth, alternative, significanceLevel }: PowerQuestion): number {
  const tail = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  const margin = normal.quantile(tail, 'upper') * Math.sqrt(value * (1 - value))
  const shift = (truth - value) * Math.sqrt(n)
  const spread = Math.sqrt(truth * (1 - truth))
  return inTails(
    alternative,
    () => normal.tails((-margin - shift) / spread).lower,
    () => normal.tails((margin - shift) / spread).upper,
  )
}

export type Region = Readonly<{ lower: number; upper: number }>

/**
 * The counts at which the exact test rejects: up to `lower`, and from `upper` on; two-sided with at most α/2 in either.
 *
 * @param known - the region for a unit less, from which it is at most one count away
 * @example
 * exactRegion({ n: 20, value: 0.5, alternative: 'two-sided', significanceLevel: 0.05 })
 * // { lower: 5, upper: 15 }
 */
export function exactRegion(
  { n, value, alternative, significanceLevel }: Omit<PowerQuestion, 'truth'>,
  known?: Region,
): Region {
  const tail = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  const { tails } = binomial({ trials: n, probability: value })
  const isLow = (k: number) => tails(k).lower <= tail
  const isHigh = (k: number) => tails(k - 1).upper <= tail
  const [low, high] = known ? [known.lower, known.lower + 1] : [-1, n]
  const [from, to] = known ? [known.upper, known.upper + 1] : [0, n + 1]
  return {
    lower: alternative === 'greater' ? -1 : lastWhole(isLow, low, Math.min(high, n)),
    upper: alternative === 'less' ? n + 1 : firstWhole(isHigh, from, Math.min(to, n + 1)),
  }
}

/**
 * The chance of a count in the region when the true share is `truth`.
 *
 * @example
 * powerOfRegion({ lower: 5, upper: 15 }, 20, 0.7) // 0.416414
 */
export function powerOfRegion({ lower, upper }: Region, n: number, truth: number): number {
  const { tails } = binomial({ trials: n, probability: truth })
  return (lower < 0 ? 0 : tails(lower).lower) + (upper > n ? 0 : tails(upper - 1).upper)
}

/**
 * The power of the exact test of a share, summed over the counts at which it rejects.
 *
 * @param question.value, question.truth - shares between 0 and 1
 * @see J. Fleiss, B. Levin & M. Paik (2003), 2.5
 * @example
 * powerOfExact({ n: 20, value: 0.5, truth: 0.7, alternative: 'greater', significanceLevel: 0.05 })
 * // 0.416371
 */
export function powerOfExact(question: PowerQuestion): number {
  return Math.min(1, powerOfRegion(exactRegion(question), question.n, question.truth))
}

/** The exact test is searched unit by unit up to here. */
export const MAX_EXACT_UNITS = 100_000

/**
 * The sample sizes for a power of the exact test, which goes up and down from unit to unit.
 *
 * @returns the first n that reaches the power, and the smallest from which on it holds; nothing up to 100,000 units
 * @example
 * exactSizes({ value: 0.5, truth: 0.8, alternative: 'greater', significanceLevel: 0.05, power: 0.8 })
 * // { firstN: 18, n: 18, power: 0.867084 }
 */
export function exactSizes(
  input: Omit<PowerQuestion, 'n'> & Readonly<{ power: number }>,
): StableSize | undefined {
  const { alternative, value, truth, significanceLevel } = input
  const isOtherSide =
    truth === value ||
    (alternative === 'less' && truth > value) ||
    (alternative === 'greater' && truth < value)
  // There the power is at most the level, whatever the size.
  if (isOtherSide && input.power > significanceLevel) return undefined
  let region: Region | undefined
  const powerAt = (n: number) => {
    region = exactRegion({ ...input, n }, region)
    return powerOfRegion(region, n, truth)
  }
  return stableSize({ powerAt, power: input.power, max: MAX_EXACT_UNITS })
}
