import type { Groups } from '@/statistics/describe/clusterMean'
import type { Design } from './terms/design'
import { failure, type Outcome, success } from './terms/outcome'
import { type ClaimProblem, problems } from './terms/problems'
import type { Evidence } from './terms/request'

type Readings = Extract<Evidence, { kind: 'readings' }>

/**
 * The clusters or the strata that evidence names, those of the readings tested.
 *
 * @param isTested - whether the reading at a place is
 * @returns undefined where it names none
 */
export function designOf(
  evidence: Readings,
  isTested: (index: number) => boolean,
): Outcome<Design | undefined, ClaimProblem> {
  const { cluster, clustersInLot, stratum, strata, finiteFactor } = evidence
  if (cluster && stratum) return failure(problems.clustersAndStrata())
  if (!cluster && clustersInLot !== undefined)
    return failure(problems.groupsNeeded('cluster', 'clustersInLot'))
  if (!stratum && strata) return failure(problems.groupsNeeded('stratum', 'strata'))
  if (!stratum && finiteFactor !== undefined) return failure(problems.groupsNeeded('stratum', 'finiteFactor'))
  if (cluster) return clustersOf(evidence, cluster, isTested)
  return stratum ? strataOf(evidence, stratum, isTested) : success(undefined)
}

function clustersOf(
  { values, clustersInLot: inLot }: Readings,
  labels: readonly string[],
  isTested: (index: number) => boolean,
): Outcome<Design, ClaimProblem> {
  if (labels.length !== values.length)
    return failure(problems.groupsOfOtherLength('cluster', labels.length, values.length))
  const design = grouped(labels.filter((_, index) => isTested(index)))
  const { count } = design.groups
  if (count < 2) return failure(problems.tooFewClusters(count))
  if (inLot !== undefined && inLot < count) return failure(problems.clustersBeyondLot(inLot, count))
  return success({ ...design, kind: 'clusters', inLot })
}

function strataOf(
  { values, strata, finiteFactor = true, lotSize }: Readings,
  labels: readonly string[],
  isTested: (index: number) => boolean,
): Outcome<Design, ClaimProblem> {
  if (labels.length !== values.length)
    return failure(problems.groupsOfOtherLength('stratum', labels.length, values.length))
  if (!strata) return failure(problems.strataNeeded())
  const sizes = new Map(Object.entries(strata))
  const whole = [...sizes.values()].reduce((sum, size) => sum + size, 0)
  if (lotSize !== undefined && lotSize !== whole) return failure(problems.strataSizes(whole, lotSize))
  const tested = labels.filter((_, index) => isTested(index))
  const unknown = labels.findIndex((label) => !sizes.has(label))
  if (unknown >= 0) return failure(problems.stratumWithoutSize(labels[unknown]!, unknown))
  const seen = new Map<string, number>()
  for (const label of tested) seen.set(label, (seen.get(label) ?? 0) + 1)
  for (const [name, size] of sizes) {
    const count = seen.get(name) ?? 0
    if (count < 2) return failure(problems.tooFewInStratum(name, count))
    if (size < count) return failure(problems.stratumTooSmall(name, size, count))
  }
  const design = grouped(tested)
  return success({
    ...design,
    kind: 'strata',
    sizes: design.names.map((name) => sizes.get(name)!),
    layers: finiteFactor ? 'finite' : 'endless',
  })
}

function grouped(labels: readonly string[]): Readonly<{ names: readonly string[]; groups: Groups }> {
  const places = new Map<string, number>()
  const codes = Uint32Array.from(labels, (label) => {
    const known = places.get(label)
    if (known !== undefined) return known
    places.set(label, places.size)
    return places.size - 1
  })
  return { names: [...places.keys()], groups: { codes, count: places.size } }
}
