import * as z from 'zod/mini'
import type { MethodDefinition } from '../terms/definition'
import { failure, success } from '../terms/outcome'
import { planOfMeans } from './planning'
import { powerInsideWithT, powerOfT } from '@/statistics/power/meanPower'
import { problems } from '../terms/problems'
import { S } from '../working/symbols'
import { ALLOWED, meanError, meanErrorSteps } from './meanError'
import { estimateAt, meanProcedure, meanStatistic } from './meanPivot'

const figures = z.strictObject(ALLOWED)

/**
 * Student's t for a mean: t = (x̄ − μ₀) / (s / √n), on n − 1 degrees of freedom; interval x̄ ± t·s/√n.
 *
 * Assumes independent readings from a near-normal population, whose standard deviation is not known. The standard error can
 * allow for a finite lot and for an uncertainty that all readings share (`meanError`). Problems: `mean-needed`,
 * `too-few-readings` (n < 2), `standard-deviation-needed`, `no-variation`, `lot-size-needed`, `measurement-needed`.
 *
 * @see Student (1908), Biometrika 6, 1-25; ISO 2602:1980; ISO 2854:1976
 */
export const t: MethodDefinition<'t', z.infer<typeof figures>, 'measured'> = {
  name: 't',
  parameters: ['mean'],
  needs: [],
  options: ['finiteLot', 'allowForMeasurement'],
  restsOn: 'mean',
  robust: 'bootstrap',
  allowsForLot: ({ options: { finiteLot } }) => finiteLot,
  dependsOn: 'moments',
  work: { looks: 1 },
  interval: 'own',
  turnedRound: [],
  statistic: 'figure',
  symbol: 't',
  formula: 't = (x̄ − μ₀) ÷ (s ÷ √n)',
  source: 'Student (1908), Biometrika 6, 1-25; ISO 2602; ISO 2854',
  figures,
  make({ sample, options }) {
    const { measured } = sample
    const { sampleSize, mean, standardDeviation } = measured
    if (mean === undefined) return failure(problems.meanNeeded())
    if (sampleSize < 2) return failure(problems.tooFewReadings(sampleSize, 2))
    if (standardDeviation === undefined) return failure(problems.standardDeviationNeeded())
    const error = meanError({ sample, standardDeviation, degreesOfFreedom: sampleSize - 1, options })
    if (!error.ok) return error
    if (error.value.standardError === 0) return failure(problems.noVariation(measured.path, 't'))
    return success(
      meanProcedure({
        interval: 't',
        sample: { ...measured, mean },
        error: error.value,
        figures: error.value.allowed,
      }),
    )
  },
  working: (worked) => [
    ...meanErrorSteps(worked, [S, worked.sample.standardDeviation!]),
    meanStatistic('t', worked),
  ],
  picture: { estimateAt },
  planning: planOfMeans({ leastSize: 2, power: powerOfT, powerInside: powerInsideWithT }),
}
