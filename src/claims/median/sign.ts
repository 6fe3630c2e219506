import * as z from 'zod/mini'
import { median } from '@/statistics/describe/quantile'
import { MAX_EXACT_UNITS } from '@/statistics/power/sharePower'
import { powerOfSign, signSizes } from '@/statistics/power/signPower'
import type { MethodDefinition } from '../terms/definition'
import { valuesOf } from '../terms/hypotheses'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { countSteps } from '../working/countSteps'
import { orderStatistics, testCountAbove } from './countAbove'
import { countsAbout } from './differences'

const figures = z.strictObject({})
/** Beyond so many standard deviations every reading lies on one side. */
const FARTHEST = 50
type Figures = z.infer<typeof figures>

/**
 * The sign test of a median: how many readings lie above c, of those that differ from c, against binomial(m, ½); the
 * interval runs between two order statistics.
 *
 * Assumes independent readings only, and that none equals c but by rounding: of those that do it says nothing. Problems: `readings-needed`, `no-variation` (every reading is c).
 *
 * @see W. Conover (1999), Practical Nonparametric Statistics, 3.1 and 3.4
 */
export const sign: MethodDefinition<'sign', Figures, 'measured'> = {
  name: 'sign',
  parameters: ['median'],
  needs: ['readings'],
  options: [],
  restsOn: 'none',
  leavesOutEqual: true,
  robust: 'quantile',
  isExact: () => true,
  takesCensored: true,
  dependsOn: 'values',
  work: { looks: 1 },
  interval: 'own',
  turnedRound: [],
  statistic: 'count',
  symbol: 'x',
  formula: 'x above c, of those not equal to c, against binomial(n, ½)',
  source: 'Conover (1999), Practical Nonparametric Statistics',
  figures,
  make({ sample: { measured }, hypotheses }) {
    const { values, sorted } = measured
    if (!values || !sorted) return failure(problems.readingsNeeded('sign'))
    const differing = (value: number) => values.length - countsAbout(values, value).equal
    const claimedValues = valuesOf(hypotheses)
    const empty = claimedValues.find((value) => differing(value) === 0)
    if (empty !== undefined) return failure(problems.allEqualToClaim(empty))
    const estimate = median(sorted)
    const interval = orderStatistics(sorted, measured.censored)
    const isMirrored =
      !measured.censored && claimedValues.every((value) => differing(value) === values.length)
    const mirror = isMirrored ? interval : undefined
    return success({
      estimate,
      differenceFrom: (value) => estimate - value,
      test: (question) => {
        const { above: count, equal } = countsAbout(values, question.value)
        const trials = values.length - equal
        return testCountAbove({ count, trials, estimate, question, interval: mirror, figures: {} })
      },
      mirror,
      interval,
    })
  },
  working: ({ part }) => countSteps('readings-above', part),
  planning: {
    leastSize: 1,
    power: powerOfSign,
    sizes: signSizes,
    maxUnits: MAX_EXACT_UNITS,
    plansRange: false,
    isBothWays: false,
    seek: {
      firstStep: (_, n, standardDeviation) => standardDeviation / Math.sqrt(n),
      farthest: (_from, _direction, standardDeviation) => standardDeviation * FARTHEST,
    },
  },
}
