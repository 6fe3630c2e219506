import { farthestCount, logPoissonMass, poisson } from '@/statistics/distributions/poisson'
import type { Tail } from '@/statistics/distributions/tails'
import { countTest } from '@/statistics/inference/countTest'
import { type CountLaw, exactRule, type ExactRules } from '@/statistics/inference/exactCount'
import { type Interval, intervalFrom, mapEnds } from '@/statistics/inference/interval'
import type { PointQuestion, PointTest } from '@/statistics/inference/procedure'
import { type EventSample, holdsRate, rateInterval } from '@/statistics/inference/rateInterval'
import { bracketedRoot } from '@/statistics/numeric/bracketedRoot'
import type { MethodDefinition } from '../terms/definition'
import { valuesOf } from '../terms/hypotheses'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { MAX_UNITS } from '../terms/request'
import { EXACT_FIGURES } from '../terms/twoSidedRules'
import { warnings } from '../terms/warnings'
import { countSteps } from '../working/countSteps'
import { planOfRates } from './planning'

/**
 * The exact test of a rate: the events x against Poisson(λ₀t).
 *
 * Two-sided by `minimum-likelihood`, the sum of every outcome at most as likely as the observed one, or `doubled`, twice the
 * smaller tail, which is usual with mid-p. Its interval is that of the one-sided tests inverted: Garwood's, or its like by mid-p.
 * Problems: `expected-outside` (more events are expected than are worked with).
 *
 * @see F. Garwood (1936), Biometrika 28, 437-442; H. Lancaster (1961), J. American Statistical Association 56, 223-234
 */
export const exactPoisson: MethodDefinition<'exact-poisson', ExactRules, 'events'> = {
  name: 'exact-poisson',
  parameters: ['rate'],
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
  formula: 'x events against Poisson(λ₀ t)',
  source: 'Garwood (1936), Biometrika 28, 437-442',
  figures: EXACT_FIGURES,
  make({ sample, hypotheses, options: { midP, twoSidedRule } }) {
    const own = sample.events
    const outside = valuesOf(hypotheses)
      .map((value) => value * own.exposure)
      .find((expected) => !(expected > 0 && expected <= MAX_UNITS))
    if (outside !== undefined) return failure(problems.expectedOutside(outside))
    const usual = midP ? 'doubled' : 'minimum-likelihood'
    const rules: ExactRules = {
      twoSidedRule: twoSidedRule === 'auto' ? usual : twoSidedRule,
      observed: midP ? 'half' : 'whole',
    }
    const isMirrored = hypotheses.alternativeSide !== 'two-sided' || rules.twoSidedRule === 'doubled'
    const interval = midP ? midPInterval(own) : rateInterval(own, 'garwood')
    const rate = own.events / own.exposure
    return success({
      estimate: rate,
      standardError: Math.sqrt(own.events) / own.exposure,
      differenceFrom: (value) => rate - value,
      test: (question) => testAt(own, rules, question),
      mirror: isMirrored ? interval : undefined,
      interval,
    })
  },
  working: ({ part }) => countSteps('events-counted', part),
  picture: {
    estimateAt: ({ sample }, count) => count / sample.exposure,
    countsByLikelihood: ({ twoSidedRule, observed }) =>
      twoSidedRule === 'minimum-likelihood' && observed === 'whole',
  },
  warnings: ({ options }) => (options.midP ? [warnings.midP()] : []),
  planning: planOfRates,
}

function testAt(
  { events, exposure }: EventSample,
  rules: ExactRules,
  question: PointQuestion,
): PointTest<ExactRules> {
  const mean = question.value * exposure
  return countTest({
    count: events,
    rule: exactRule(lawOf(mean), { alternative: question.alternative, rules }),
    question,
    distribution: { name: 'poisson', mean },
    estimateLimits: (limits) => mapEnds(limits, (count) => count / exposure),
    figures: rules,
  })
}

const lawOf = (mean: number): CountLaw => ({
  min: 0,
  max: farthestCount(mean),
  mode: Math.floor(mean),
  tails: poisson(mean).tails,
  logMass: (count) => logPoissonMass(count, mean),
})

/** Nothing is expected: smaller than any mean that is asked for. */
const LEAST_MEAN = 1e-300

/** The rates that the one-sided mid-p tests do not reject. */
function midPInterval({ events: x, exposure }: EventSample): Interval {
  const beyond = (mean: number, side: Tail) => {
    const { tails, mass } = poisson(mean)
    return mass(x) / 2 + (side === 'lower' ? tails(x - 1).lower : tails(x).upper)
  }
  const endAt = (tail: number, side: Tail) => {
    const f = (mean: number) => beyond(mean, side) - tail
    let high = x + 1
    while (side === 'lower' ? f(high) > 0 : f(high) < 0) high *= 2
    return bracketedRoot({ f, low: LEAST_MEAN, high }) / exposure
  }
  return {
    method: 'mid-p',
    endsAt: intervalFrom({
      lower: (tail) => (x === 0 ? 0 : endAt(tail, 'upper')),
      upper: (tail) => endAt(tail, 'lower'),
    }),
    holds: holdsRate,
  }
}
