import { binomial, logMass } from '@/statistics/distributions/binomial'
import { type Tail, type Tails, tailsFromLog } from '@/statistics/distributions/tails'
import { countTest } from '@/statistics/inference/countTest'
import { type CountLaw, exactRule, type ExactRules } from '@/statistics/inference/exactCount'
import { type Interval, intervalFrom, mapEnds } from '@/statistics/inference/interval'
import type { PointQuestion, PointTest } from '@/statistics/inference/procedure'
import { type CountSample, shareInterval } from '@/statistics/inference/shareInterval'
import { isWithin } from '@/statistics/inference/tailProbability'
import { bracketedRoot } from '@/statistics/numeric/bracketedRoot'
import { exactSizes, MAX_EXACT_UNITS, powerOfExact } from '@/statistics/power/sharePower'
import type { MethodDefinition } from '../terms/definition'
import { success } from '../terms/outcome'
import { EXACT_FIGURES } from '../terms/twoSidedRules'
import { warnings } from '../terms/warnings'
import { countSteps } from '../working/countSteps'
import { planOfShares } from './planning'
import { shareOfUnits } from './shareOfUnits'

/**
 * The exact test of a share: the count x against binomial(n, p₀).
 *
 * Two-sided by `doubled`, twice the smaller tail, or `minimum-likelihood`, the sum of every outcome at most as likely as the
 * observed one. With half of the observed outcome's probability counted (mid-p) it is less strict than its level says. Its
 * interval is that of the one-sided tests inverted: Clopper and Pearson's, or its like by mid-p.
 *
 * @see C. Clopper & E. Pearson (1934), Biometrika 26, 404-413; H. Lancaster (1961), J. American Statistical
 *   Association 56, 223-234, for mid-p
 */
export const exactBinomial: MethodDefinition<'exact-binomial', ExactRules, 'counted'> = {
  name: 'exact-binomial',
  parameters: ['proportion'],
  needs: [],
  options: ['twoSidedRule', 'midP'],
  restsOn: 'none',
  isExact: ({ observed }) => observed === 'whole',
  dependsOn: 'values',
  work: { looks: 1 },
  interval: 'own-or-chosen',
  turnedRound: ['midP'],
  statistic: 'count',
  symbol: 'x',
  formula: 'x of n against binomial(n, p₀)',
  source: 'Clopper & Pearson (1934), Biometrika 26, 404-413',
  figures: EXACT_FIGURES,
  make({ sample: { counted }, hypotheses: { alternativeSide }, options: { midP, twoSidedRule } }) {
    const rules: ExactRules = {
      twoSidedRule: twoSidedRule === 'auto' ? 'doubled' : twoSidedRule,
      observed: midP ? 'half' : 'whole',
    }
    const isMirrored = alternativeSide !== 'two-sided' || rules.twoSidedRule === 'doubled'
    const interval = midP ? midPInterval(counted) : exactInterval(counted)
    const share = counted.successes / counted.sampleSize
    return success({
      estimate: share,
      standardError: Math.sqrt((share * (1 - share)) / counted.sampleSize),
      differenceFrom: (value) => share - value,
      test: (question) => testAt(counted, rules, question),
      mirror: isMirrored ? interval : undefined,
      interval,
    })
  },
  working: ({ part }) => countSteps('units-counted', part),
  picture: {
    estimateAt: shareOfUnits,
    countsByLikelihood: ({ twoSidedRule, observed }) =>
      twoSidedRule === 'minimum-likelihood' && observed === 'whole',
  },
  warnings: ({ options }) => (options.midP ? [warnings.midP()] : []),
  planning: planOfShares({
    power: powerOfExact,
    plansRange: false,
    sizes: exactSizes,
    maxUnits: MAX_EXACT_UNITS,
  }),
}

/** A value that is an end but for its last digits is one, as p = α rejects it. */
const holdsShare: Interval['holds'] = ({ lower = 0, upper = 1 }, value) =>
  // No share lies beyond 0 and 1: they belong to an interval that ends there.
  (lower === 0 || !isWithin(value, lower)) && (upper === 1 || !isWithin(1 - value, 1 - upper))

const exactInterval = (sample: CountSample): Interval => ({
  ...shareInterval(sample, 'clopper-pearson'),
  holds: holdsShare,
})

/** The shares that the one-sided mid-p tests do not reject. */
function midPInterval({ successes: x, sampleSize: n }: CountSample): Interval {
  const beyond = (p: number, side: Tail) => {
    const tails = tailsOf(n, p)
    const half = Math.exp(massOf(n, p)(x)) / 2
    return half + (side === 'lower' ? tails(x - 1).lower : tails(x).upper)
  }
  const endAt = (tail: number, side: Tail) =>
    bracketedRoot({ f: (p) => beyond(p, side) - tail, low: 0, high: 1 })
  return {
    method: 'mid-p',
    endsAt: intervalFrom({
      lower: (tail) => (x === 0 ? 0 : endAt(tail, 'upper')),
      upper: (tail) => (x === n ? 1 : endAt(tail, 'lower')),
    }),
    holds: holdsShare,
  }
}

function testAt(
  { successes, sampleSize: n }: CountSample,
  rules: ExactRules,
  question: PointQuestion,
): PointTest<ExactRules> {
  const { value: p, alternative } = question
  return countTest({
    count: successes,
    rule: exactRule(lawOf(n, p), { alternative, rules }),
    question,
    distribution: { name: 'binomial', n, p },
    estimateLimits: (limits) => mapEnds(limits, (count) => count / n),
    figures: rules,
  })
}

const lawOf = (n: number, p: number): CountLaw => ({
  min: 0,
  max: n,
  mode: Math.min(n, Math.floor((n + 1) * p)),
  tails: tailsOf(n, p),
  logMass: massOf(n, p),
})

/** A share of 0 or 1 leaves one outcome, which the distribution's own formulas do not hold for. */
function tailsOf(n: number, p: number): (count: number) => Tails {
  if (p > 0 && p < 1) return binomial({ trials: n, probability: p }).tails
  const certain = p === 0 ? 0 : n
  return (count) => tailsFromLog(-Infinity, count < certain ? 'lower' : 'upper')
}

function massOf(n: number, p: number): (count: number) => number {
  if (p > 0 && p < 1) return (count) => logMass(count, { trials: n, probability: p })
  const certain = p === 0 ? 0 : n
  return (count) => (count === certain ? 0 : -Infinity)
}
