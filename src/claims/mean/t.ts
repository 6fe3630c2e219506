import { z } from 'zod'
import { studentT } from '@/statistics/distributions/studentT'
import type { MethodDefinition } from '../terms/definition'
import { failure, success } from '../terms/outcome'
import { planOfMeans } from './planning'
import { powerInsideWithT, powerOfT } from '@/statistics/power/meanPower'
import { problems } from '../terms/problems'
import { computed, fraction, given, root, step } from '../terms/formula'
import { N, S, STANDARD_ERROR } from '../working/symbols'
import { estimateAt, meanProcedure, meanStatistic } from './meanPivot'

const figures = z.strictObject({})

/**
 * Student's t for a mean: t = (x̄ − μ₀) / (s / √n), on n − 1 degrees of freedom; interval x̄ ± t·s/√n.
 *
 * Assumes independent readings from a near-normal population, whose standard deviation is not known. Problems:
 * `mean-needed`, `too-few-readings` (n < 2), `standard-deviation-needed`, `no-variation`.
 *
 * @see Student (1908), Biometrika 6, 1-25; ISO 2602:1980; ISO 2854:1976
 */
export const t: MethodDefinition<'t', z.infer<typeof figures>, 'measured'> = {
  name: 't',
  parameters: ['mean'],
  needs: [],
  options: [],
  restsOn: 'mean',
  robust: 'bootstrap',
  dependsOn: 'moments',
  work: { looks: 1 },
  interval: 'own',
  turnedRound: [],
  statistic: 'figure',
  symbol: 't',
  formula: 't = (x̄ − μ₀) ÷ (s ÷ √n)',
  source: 'Student (1908), Biometrika 6, 1-25; ISO 2602; ISO 2854',
  figures,
  make({ sample: { measured } }) {
    const { sampleSize, mean, standardDeviation } = measured
    if (mean === undefined) return failure(problems.meanNeeded())
    if (sampleSize < 2) return failure(problems.tooFewReadings(sampleSize, 2))
    if (standardDeviation === undefined) return failure(problems.standardDeviationNeeded())
    if (standardDeviation === 0) return failure(problems.noVariation(measured.path, 't'))
    return success(
      meanProcedure({
        interval: 't',
        sample: { ...measured, mean },
        standardError: standardDeviation / Math.sqrt(sampleSize),
        distribution: { name: 't', df: sampleSize - 1 },
        reference: studentT(sampleSize - 1),
        figures: {},
      }),
    )
  },
  working: (worked) => [
    step(
      'standard-error',
      STANDARD_ERROR,
      fraction(S, root(N)),
      fraction(given(worked.sample.standardDeviation!), root(given(worked.sample.n))),
      computed(worked.sample.standardError!),
    ),
    meanStatistic('t', worked),
  ],
  picture: { estimateAt },
  planning: planOfMeans({ leastSize: 2, power: powerOfT, powerInside: powerInsideWithT }),
}
