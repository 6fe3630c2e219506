import * as z from 'zod/mini'
import { studentT } from '@/statistics/distributions/studentT'
import { stratifiedMean } from '@/statistics/describe/stratifiedMean'
import { estimateAt, meanProcedure } from '../mean/meanPivot'
import type { MethodDefinition } from '../terms/definition'
import { computed, type Formula, joined, root, step, symbol } from '../terms/formula'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { STANDARD_ERROR } from '../working/symbols'
import { groupedStatistic } from './groupedStatistic'
import { valuesIn } from './valuesOf'

const figures = z.strictObject({
  /** W·ȳ of each layer, in their order, and W²·s²/n·(1 − n/N). */
  parts: z.readonly(z.array(z.number())),
  variances: z.readonly(z.array(z.number())),
  layers: z.enum(['finite', 'endless']),
})

/**
 * The test of a mean, or of a share counted from rows, of a lot sampled in layers of known sizes: t = (Σ W·ȳ − θ₀) / √v,
 * v = Σ W²·s²/n·(1 − n/N), on v² / Σ (W²·s²/n·(1 − n/N))² / (n − 1) degrees of freedom (Satterthwaite, fractional).
 *
 * Problems: `groups-needed`, `lot-measured-whole`, `no-variation`.
 *
 * @see W. Cochran (1977), Sampling Techniques, 5.4 and 5A
 */
export const stratifiedT: MethodDefinition<
  'stratified-t',
  z.infer<typeof figures>,
  'measured' | 'counted'
> = {
  name: 'stratified-t',
  parameters: ['mean', 'proportion'],
  needs: ['strata'],
  options: [],
  restsOn: 'mean',
  allowsForLot: ({ sample: { design } }) => design?.kind === 'strata' && design.layers === 'finite',
  dependsOn: 'places',
  work: { looks: 3 },
  interval: 'own',
  turnedRound: [],
  statistic: 'figure',
  symbol: 't',
  formula: 't = (Σ W·ȳ − θ₀) ÷ √v,  v = Σ W²·s² ÷ n·(1 − n ÷ N)',
  source: 'Cochran (1977), Sampling Techniques, 5.4 and 5A',
  figures,
  make({ sample }) {
    const { design } = sample
    const values = valuesIn(sample)
    if (design?.kind !== 'strata' || !values) return failure(problems.designNeeded('stratum', 'stratified-t'))
    const made = stratifiedMean(values, design)
    const { standardError, degreesOfFreedom: df, strata } = made
    const isWhole = strata.every(({ size, moments: { sampleSize } }) => size === sampleSize)
    if (design.layers === 'finite' && isWhole)
      return failure(problems.lotMeasuredWhole('strata', 'stratified-t'))
    if (standardError === 0) return failure(problems.groupsAlike('stratified-t'))
    const whole = strata.reduce((sum, { size }) => sum + size, 0)
    return success(
      meanProcedure({
        interval: 'stratified-t',
        sample: made,
        error: {
          standardError,
          distribution: { name: 't', df },
          reference: studentT(df),
          ofSample: {
            strata: strata.map(({ size, moments: { sampleSize: n, mean, standardDeviation = 0 } }, at) => ({
              ...{ name: design.names[at]!, size, n, mean, standardDeviation },
            })),
          },
        },
        figures: {
          parts: strata.map(({ size, moments: { mean } }) => (size / whole) * mean),
          variances: strata.map(({ variance }) => variance),
          layers: design.layers,
        },
      }),
    )
  },
  working(worked) {
    const { sample, part } = worked
    const { parts, variances, layers } = part.figures
    const added = (terms: readonly number[]) =>
      terms.map(computed).reduce((sum: Formula, term: Formula) => joined(sum, '+', term))
    const estimate = symbol('ȳ_W', '\\bar{y}_W')
    const inLot = layers === 'finite' ? ['·(1 − n/N)', ' \\left(1 - \\frac{n}{N}\\right)'] : ['', '']
    return [
      step(
        'weighted-mean',
        estimate,
        symbol('Σ W·ȳ', '\\sum W \\bar{y}'),
        added(parts),
        computed(parts.reduce((sum, one) => sum + one, 0)),
      ),
      step(
        'standard-error-of-strata',
        STANDARD_ERROR,
        root(symbol(`Σ W²·s²/n${inLot[0]}`, `\\sum W^2 \\frac{s^2}{n}${inLot[1]}`)),
        root(added(variances)),
        computed(sample.standardError!),
      ),
      groupedStatistic(worked, estimate),
    ]
  },
  picture: { estimateAt },
}
