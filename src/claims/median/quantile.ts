import * as z from 'zod/mini'
import { median } from '@/statistics/describe/quantile'
import type { Alternative } from '@/statistics/inference/alternative'
import type { MethodDefinition } from '../terms/definition'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { countSteps } from '../working/countSteps'
import { orderStatistics, testCountAbove } from './countAbove'
import { countsAbout } from './differences'

const figures = z.strictObject({ equal: z.int().check(z.nonnegative()) })
type Figures = z.infer<typeof figures>

/**
 * The quantile test of a median: how many readings lie above c against binomial(n, ½), those that equal c counted as they
 * speak for the null hypothesis. Where none equals c it is the sign test; where some do, that one leaves them out and tells only
 * whether as many lie above as below, which is not whether the median is c.
 *
 * Assumes independent readings only, and keeps its level for discrete ones too. Problem: `readings-needed`.
 *
 * @see W. Conover (1999), Practical Nonparametric Statistics, 3.1 (intervals) and 3.2 (quantile test)
 */
export const quantile: MethodDefinition<'quantile', Figures, 'measured'> = {
  name: 'quantile',
  parameters: ['median'],
  needs: ['readings'],
  options: [],
  restsOn: 'none',
  isExact: () => true,
  takesCensored: true,
  dependsOn: 'values',
  work: { looks: 1 },
  interval: 'own',
  turnedRound: [],
  statistic: 'count',
  symbol: 'x',
  formula: 'x above c, those equal to c counted for H₀, against binomial(n, ½)',
  source: 'Conover (1999), Practical Nonparametric Statistics',
  figures,
  make({ sample: { measured } }) {
    const { values, sorted } = measured
    if (!values || !sorted) return failure(problems.readingsNeeded('quantile'))
    const estimate = median(sorted)
    const interval = orderStatistics(sorted, measured.censored)
    const mirror = measured.censored ? undefined : interval
    return success({
      estimate,
      differenceFrom: (value) => estimate - value,
      test: (question) => {
        const { above, equal } = countsAbout(values, question.value)
        const trials = values.length
        const count = countFor(question.alternative, { above, equal, trials })
        return testCountAbove({ count, trials, estimate, question, interval: mirror, figures: { equal } })
      },
      mirror,
      interval,
    })
  },
  working: ({ part }) => countSteps('readings-above', part),
}

/** Those equal to the value lie on whichever side speaks for the null hypothesis; of both sides, as near to the middle as may be. */
function countFor(
  alternative: Alternative,
  { above, equal, trials }: Readonly<{ above: number; equal: number; trials: number }>,
): number {
  const most = above + equal
  switch (alternative) {
    case 'greater':
      return above
    case 'less':
      return most
    case 'two-sided':
      return Math.min(most, Math.max(above, Math.floor(trials / 2)))
    default:
      return alternative satisfies never
  }
}
