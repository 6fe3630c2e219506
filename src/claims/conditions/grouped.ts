import { clusterMean } from '@/statistics/describe/clusterMean'
import { stratifiedMean } from '@/statistics/describe/stratifiedMean'
import { type Condition, conditions } from '../terms/condition'
import type { MethodDefinition } from '../terms/definition'
import type { Design } from '../terms/design'
import { asCounted, type Sample, unitsTaken } from '../terms/sample'
import { valuesIn } from '../grouped/valuesOf'

/** From so many clusters on their scatter is told well enough: common practice, no source. */
const ENOUGH_CLUSTERS = 10

type Resting = Pick<MethodDefinition, 'needs'>

const isFor = (design: Design | undefined, { needs }: Resting): boolean =>
  design !== undefined && needs.includes(design.kind)

/** Whether a test takes the clusters as what was drawn, so that units of one may be alike. */
export const isTakenAsClusters = ({ design }: Sample, method: Resting): boolean =>
  design?.kind === 'clusters' && isFor(design, method)

/** What the groups do to the test: one that does not know them is not to be relied on. */
export function asGrouped(sample: Sample, method: Resting): readonly Condition[] {
  const { design } = sample
  if (!design) return []
  const figures = { groups: design.groups.count, n: unitsTaken(sample) }
  if (design.kind === 'strata') return isFor(design, method) ? [] : [conditions.strataIgnored(figures)]
  if (!isFor(design, method)) return [conditions.clustersIgnored(figures)]
  return [
    figures.groups < ENOUGH_CLUSTERS
      ? conditions.clustersFew({ ...figures, needed: ENOUGH_CLUSTERS })
      : conditions.clustersEnough(figures),
  ]
}

/** Values taken one by one that come to the same mean and standard error; undefined where the test does not know the groups. */
export function linearisedOf(sample: Sample, method: Resting): readonly number[] | undefined {
  const { design } = sample
  if (!design || !isFor(design, method) || sample.kind === 'two' || sample.kind === 'events') return undefined
  const known = sample.kind === 'limited' ? asCounted(sample) : sample
  const values = known && valuesIn(known)
  if (!values) return undefined
  return design.kind === 'clusters'
    ? clusterMean(values, design.groups).linearised
    : stratifiedMean(values, design).linearised
}
