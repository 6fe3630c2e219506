import { type Tails } from '../distributions/tails'
import { memoized } from '../numeric/memoized'
import { logSum } from '../numeric/logSum'
import { firstWhole, lastWhole } from '../numeric/wholeSearch'
import type { Alternative } from './alternative'
import { type CountRule, tailRule } from './countTest'
import { fromLog, lowerTail, upperTail } from './tailProbability'

/** How a count is distributed where the null hypothesis is true. */
export type CountLaw = Readonly<{
  min: number
  /** Beyond it no count has a probability that a double holds. */
  max: number
  /** The likeliest count. */
  mode: number
  tails: (count: number) => Tails
  logMass: (count: number) => number
}>

/** What an exact test adds up. */
export type ExactRules = Readonly<{
  /** Two-sided: every outcome no likelier than the one seen, or twice the smaller tail. */
  twoSidedRule: 'minimum-likelihood' | 'doubled'
  /** How much of the observed outcome's probability is counted: half of it by the mid-p rule. */
  observed: 'whole' | 'half'
}>

/** More counts than the search for a limit looks at. */
const COUNTS = 512

/** Outcomes count as no likelier than the observed one up to this share more: what rounding may add. */
const LOG_SLACK = Math.log1p(1e-7)

/**
 * The p-value of a count by an exact test.
 *
 * @see H. Lancaster (1961), J. American Statistical Association 56, 223-234, for mid-p
 * @example
 * exactRule(
 *   { min: 0, max: 884, mode: 4, tails: poisson(4).tails, logMass: (k) => logPoissonMass(k, 4) },
 *   { alternative: 'less', rules: { twoSidedRule: 'doubled', observed: 'whole' } },
 * ).pValueOf(1).pValue
 * // 0.0915782
 */
export function exactRule(
  law: CountLaw,
  { alternative, rules }: Readonly<{ alternative: Alternative; rules: ExactRules }>,
): CountRule {
  if (alternative === 'two-sided' && rules.twoSidedRule === 'minimum-likelihood')
    return likelihoodRule(law, rules.observed)
  const { min, max, logMass } = law
  // The decision's limits are looked for from one count to the next.
  const tails = memoized(COUNTS, law.tails)
  const shared = { alternative, min, max }
  if (rules.observed === 'whole') {
    return tailRule({
      ...shared,
      atMost: (count) => lowerTail(tails(count)),
      atLeast: (count) => upperTail(tails(count - 1)),
    })
  }
  const logHalf = (count: number) => logMass(count) - Math.LN2
  return tailRule({
    ...shared,
    atMost: (count) => fromLog(logSum(tails(count - 1).logLower, logHalf(count))),
    atLeast: (count) => fromLog(logSum(tails(count).logUpper, logHalf(count))),
  })
}

function likelihoodRule(
  { min, max, mode, tails, logMass }: CountLaw,
  observed: ExactRules['observed'],
): CountRule {
  const pValueOf = (count: number) => {
    const most = logMass(count) + LOG_SLACK
    const isAsRare = (other: number) => logMass(other) <= most
    if (isAsRare(mode)) return fromLog(observed === 'half' ? Math.log1p(-Math.exp(logMass(count)) / 2) : 0)
    const below = lastWhole(isAsRare, min - 1, mode)
    const above = firstWhole(isAsRare, mode, Math.max(max, count) + 1)
    const logWhole = logSum(tails(below).logLower, tails(above - 1).logUpper)
    const share = observed === 'half' ? Math.log1p(-0.5 * Math.exp(logMass(count) - logWhole)) : 0
    return fromLog(Math.min(0, logWhole + share))
  }
  return { min, max, centre: mode, pValueOf }
}
