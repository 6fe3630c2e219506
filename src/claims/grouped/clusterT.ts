import * as z from 'zod/mini'
import { studentT } from '@/statistics/distributions/studentT'
import { clusterMean } from '@/statistics/describe/clusterMean'
import { estimateAt, meanProcedure } from '../mean/meanPivot'
import type { MethodDefinition } from '../terms/definition'
import { computed, fraction, given, joined, root, step, symbol } from '../terms/formula'
import { failure, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { N, STANDARD_ERROR } from '../working/symbols'
import { groupedStatistic } from './groupedStatistic'
import { valuesIn } from './valuesOf'

const figures = z.strictObject({
  /** Σ (yᵢ − R·nᵢ)² over the clusters. */
  squares: z.number(),
  clustersInLot: z.optional(z.number()),
})

const M = symbol('m')
const ONE = symbol('1')

/**
 * The test of a mean, or of a share counted from rows, of readings taken in clusters: t = (R − θ₀) / √v on m − 1 degrees of
 * freedom, by the ratio estimator over the totals of the m clusters; interval R ± t·√v.
 *
 * Readings of one cluster may bear on each other; the clusters are what was drawn. Where the clusters of the lot are
 * stated, v is times 1 − m/M. Problems: `groups-needed`, `too-few-clusters`, `lot-measured-whole`, `no-variation`.
 *
 * @see W. Cochran (1977), Sampling Techniques, 6.4 and 9A
 */
export const clusterT: MethodDefinition<'cluster-t', z.infer<typeof figures>, 'measured' | 'counted'> = {
  name: 'cluster-t',
  parameters: ['mean', 'proportion'],
  needs: ['clusters'],
  options: [],
  restsOn: 'mean',
  allowsForLot: ({ sample: { design } }) => design?.kind === 'clusters' && design.inLot !== undefined,
  dependsOn: 'places',
  work: { looks: 3 },
  interval: 'own',
  turnedRound: [],
  statistic: 'figure',
  symbol: 't',
  formula: 't = (R − θ₀) ÷ √v,  v = m ÷ (m − 1) · Σ(yᵢ − R·nᵢ)² ÷ n²',
  source: 'Cochran (1977), Sampling Techniques, 6.4 and 9A',
  figures,
  make({ sample }) {
    const { design } = sample
    const values = valuesIn(sample)
    if (design?.kind !== 'clusters' || !values) return failure(problems.designNeeded('cluster', 'cluster-t'))
    const made = clusterMean(values, design.groups)
    const { count: clusters } = design.groups
    const { inLot } = design
    if (inLot === clusters) return failure(problems.lotMeasuredWhole('clustersInLot', 'cluster-t'))
    const standardError =
      made.standardError * (inLot === undefined ? 1 : Math.sqrt((inLot - clusters) / inLot))
    if (standardError === 0) return failure(problems.groupsAlike('cluster-t'))
    const designEffect = made.designEffect && made.designEffect * (standardError / made.standardError) ** 2
    return success(
      meanProcedure({
        interval: 'cluster-t',
        sample: made,
        error: {
          standardError,
          distribution: { name: 't', df: clusters - 1 },
          reference: studentT(clusters - 1),
          ofSample: {
            clusters,
            ...(designEffect ? { designEffect, effectiveSampleSize: values.length / designEffect } : {}),
          },
        },
        figures: { squares: made.squares, ...(inLot === undefined ? {} : { clustersInLot: inLot }) },
      }),
    )
  },
  working(worked) {
    const { sample, part } = worked
    const { squares, clustersInLot } = part.figures
    const clusters = sample.clusters!
    const formula = (m: typeof M, q: typeof M, n: typeof M, lot: typeof M) => {
      const inLot = joined(ONE, '−', fraction(m, lot))
      const scatter = joined(fraction(m, joined(m, '−', ONE)), '·', q)
      return fraction(root(clustersInLot === undefined ? scatter : joined(scatter, '·', inLot)), n)
    }
    return [
      step(
        'cluster-squares',
        symbol('Q'),
        symbol('Σ (yᵢ − R·nᵢ)²', '\\sum (y_i - R n_i)^2'),
        computed(squares),
      ),
      step(
        'standard-error-of-clusters',
        STANDARD_ERROR,
        formula(M, symbol('Q'), N, symbol('M')),
        formula(given(clusters), computed(squares), given(sample.n), given(clustersInLot ?? 0)),
        computed(sample.standardError!),
      ),
      groupedStatistic(worked, symbol('R')),
    ]
  },
  picture: { estimateAt },
}
