import { poisson } from '../distributions/poisson'
import { firstWhole, lastWhole } from '../numeric/wholeSearch'
import type { PowerQuestion } from './question'
import type { Region } from './sharePower'

type RateQuestion = Omit<PowerQuestion, 'truth'>

/**
 * The counts at which the exact test of a rate rejects: up to `lower`, and from `upper` on; two-sided with at most α/2 in either.
 *
 * @param question.n - the exposure
 * @param known - the region for a smaller exposure, which is no further up
 * @example
 * rateRegion({ n: 10, value: 2, alternative: 'two-sided', significanceLevel: 0.05 }) // { lower: 11, upper: 30 }
 */
export function rateRegion(
  { n, value, alternative, significanceLevel }: RateQuestion,
  known: Region = { lower: -1, upper: 0 },
): Region {
  const tail = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  const { tails } = poisson(n * value)
  const isLow = (k: number) => tails(k).lower <= tail
  const isHigh = (k: number) => tails(k - 1).upper <= tail
  return {
    lower:
      alternative === 'greater'
        ? -1
        : lastWhole(
            isLow,
            known.lower,
            beyond(known.lower, (k) => !isLow(k)),
          ),
    upper: alternative === 'less' ? Infinity : firstWhole(isHigh, known.upper, beyond(known.upper, isHigh)),
  }
}

/** A count from which on a condition holds, looked for in growing steps. */
function beyond(from: number, isThere: (count: number) => boolean): number {
  let step = 1
  while (!isThere(from + step)) step *= 2
  return from + step
}

/**
 * The power of the exact test of a rate, summed over the counts at which it rejects.
 *
 * @param question.n - the exposure, fractions too
 * @param question.value, question.truth - rates per unit of it, above 0
 * @see J. Shao (2003), Mathematical Statistics, 6.1, for the power of a test
 * @example
 * powerOfRate({ n: 10, value: 2, truth: 3, alternative: 'greater', significanceLevel: 0.05 }) // 0.596918
 */
export function powerOfRate(question: PowerQuestion): number {
  return powerOf(rateRegion(question), question.n * question.truth)
}

function powerOf({ lower, upper }: Region, mean: number): number {
  const { tails } = poisson(mean)
  return Math.min(1, tails(lower).lower + (upper === Infinity ? 0 : tails(upper - 1).upper))
}

/** The search for an exposure looks at this many units of it. */
export const MAX_EXPOSURE = 1_000_000

/**
 * The exposures, in whole units, for a power of the exact test of a rate, which goes up and down with them.
 *
 * @returns the first that reaches the power, and the smallest from which on it holds, looked at up to twice as much and 100 units
 *   more; nothing where the truth is not on the alternative's side, or up to 1,000,000 units
 * @example
 * exposuresFor({ value: 2, truth: 3, alternative: 'greater', significanceLevel: 0.05, power: 0.8 })
 * // { firstN: 17, n: 17, power: 0.817716 }
 */
export function exposuresFor(
  input: Omit<PowerQuestion, 'n'> & Readonly<{ power: number }>,
): Readonly<{ firstN: number; n: number; power: number }> | undefined {
  const { alternative, value, truth, power: wanted } = input
  const isOtherSide =
    truth === value ||
    (alternative === 'less' && truth > value) ||
    (alternative === 'greater' && truth < value)
  if (isOtherSide) return undefined
  let region: Region | undefined
  let [firstN, lastShort] = [0, 0]
  for (let n = 1; n <= MAX_EXPOSURE && !(firstN > 0 && n > 2 * lastShort + 100);) {
    const own = rateRegion({ ...input, n }, region)
    const end = lastWith(own, { ...input, n })
    const powerAt = (at: number) => powerOf(own, at * truth)
    const isReached = (at: number) => powerAt(at) >= wanted
    // While the region stays, the power falls, as fewer counts lie below it, and then rises, as more lie above.
    const least = firstWhole((at) => powerAt(at + 1) >= powerAt(at), n, end)
    const isHeld = isReached(end)
    if (isReached(n)) firstN ||= n
    else if (isHeld) firstN ||= firstWhole(isReached, least, end)
    if (!isHeld) lastShort = end
    else if (!isReached(least)) lastShort = lastWhole((at) => !isReached(at), least, end)
    region = own
    n = end + 1
  }
  if (firstN === 0 || lastShort >= MAX_EXPOSURE / 2) return undefined
  const n = lastShort + 1
  return { firstN, n, power: powerOfRate({ ...input, n }) }
}

/** The last exposure, in whole units, with the region of this one. */
function lastWith(
  { lower, upper }: Region,
  { n, value, alternative, significanceLevel }: RateQuestion,
): number {
  const tail = alternative === 'two-sided' ? significanceLevel / 2 : significanceLevel
  const isSame = (exposure: number) => {
    const { tails } = poisson(exposure * value)
    const isLowSame = alternative === 'greater' || tails(lower + 1).lower > tail
    return isLowSame && (upper === Infinity || tails(upper - 1).upper <= tail)
  }
  let step = 1
  while (n + step <= MAX_EXPOSURE && isSame(n + step)) step *= 2
  return lastWhole(isSame, n, Math.min(MAX_EXPOSURE, n + step))
}
