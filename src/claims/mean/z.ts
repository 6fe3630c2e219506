import { z as zod } from 'zod'
import { chiSquare } from '@/statistics/distributions/chiSquare'
import { normal } from '@/statistics/distributions/normal'
import { powerInsideWithZ, powerOfZ } from '@/statistics/power/meanPower'
import type { MethodDefinition } from '../terms/definition'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { warnings } from '../terms/warnings'
import { computed, fraction, given, root, step } from '../terms/formula'
import { N, SIGMA, STANDARD_ERROR } from '../working/symbols'
import { estimateAt, meanProcedure, meanStatistic } from './meanPivot'
import { planOfMeans } from './planning'

const figures = zod.strictObject({ knownStandardDeviation: zod.number() })

/** A known standard deviation is unusual outside the interval that leaves this out: common practice, no source. */
const UNUSUAL = 0.001

/**
 * The z test of a mean with a known standard deviation: z = (x̄ − μ₀) / (σ / √n), normal; interval x̄ ± z·σ/√n.
 *
 * Assumes independent readings, a population standard deviation that is truly known, and a near-normal population or a
 * large sample. Problems: `mean-needed`, `known-standard-deviation-needed`, `too-few-readings` (n < 1).
 *
 * @see ISO 2854:1976
 */
export const z: MethodDefinition<'z', zod.infer<typeof figures>, 'measured'> = {
  name: 'z',
  parameters: ['mean'],
  needs: ['known-standard-deviation'],
  options: ['knownStandardDeviation'],
  restsOn: 'mean',
  robust: 'bootstrap',
  dependsOn: 'moments',
  work: { looks: 1 },
  interval: 'own',
  turnedRound: [],
  statistic: 'figure',
  symbol: 'z',
  formula: 'z = (x̄ − μ₀) ÷ (σ ÷ √n)',
  source: 'ISO 2854',
  figures,
  make({ sample: { measured }, options: { knownStandardDeviation } }) {
    const { sampleSize, mean } = measured
    if (mean === undefined) return failure(problems.meanNeeded())
    if (knownStandardDeviation === undefined) return failure(problems.knownStandardDeviationNeeded())
    if (sampleSize < 1) return failure(problems.tooFewReadings(sampleSize, 1))
    return success(
      meanProcedure({
        interval: 'z',
        sample: { ...measured, mean },
        standardError: knownStandardDeviation / Math.sqrt(sampleSize),
        distribution: { name: 'normal' },
        reference: normal,
        figures: { knownStandardDeviation },
      }),
    )
  },
  working: (worked) => [
    step(
      'standard-error',
      STANDARD_ERROR,
      fraction(SIGMA, root(N)),
      fraction(given(worked.part.figures.knownStandardDeviation), root(given(worked.sample.n))),
      computed(worked.sample.standardError!),
    ),
    meanStatistic('z', worked),
  ],
  picture: { estimateAt },
  warnings({ options: { knownStandardDeviation: stated }, sample: { measured } }) {
    const { standardDeviation, sampleSize } = measured
    if (stated === undefined || !standardDeviation || sampleSize < 2) return []
    const [from, to] = usualSpread(standardDeviation, sampleSize)
    return stated < from || stated > to
      ? [warnings.unusualKnownSpread({ stated, standardDeviation, from, to })]
      : []
  },
  planning: planOfMeans({
    leastSize: 1,
    power: powerOfZ,
    powerInside: powerInsideWithZ,
    isSpreadKnown: true,
  }),
}

/** The 99.9 % interval of a normal population's standard deviation. */
function usualSpread(s: number, n: number): readonly [number, number] {
  const { quantile } = chiSquare(n - 1)
  const end = (tail: 'lower' | 'upper') => s * Math.sqrt((n - 1) / quantile(UNUSUAL / 2, tail))
  return [end('upper'), end('lower')]
}
