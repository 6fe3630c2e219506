import type { Moments } from '@/statistics/describe/moments'
import type { Homogeneity } from '@/statistics/describe/homogeneity'
import type { CheckProblem } from '../prepareCheck'
import { sampleOf } from '../sampleOf'
import { failure, type Outcome, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { type CheckDocument, DEFAULT_LEVEL } from '../terms/request'
import { adjustedLines, betweenLines, checkedLine, controlledLine, type GroupFigures } from './judged'
import type { Lots } from './lotsRequest'

export type LotFigures = GroupFigures & Readonly<{ day?: string }>

export type ComputedLots = Readonly<{
  /** By day, those without one last; else in the order given. */
  lots: readonly LotFigures[]
  between?: Homogeneity
  /** The readings of all lots as one sample, with the lot as what was drawn; where it was asked for. */
  pooled?: CheckDocument
}>

type Lot = Lots['lots'][number]

/**
 * One claim held against each of several lots by itself, their p-values adjusted for being several, and whether the lots differ.
 * Their readings are pooled only where that is asked for, and then with the lot as what was drawn.
 *
 * @returns `one-of-two` or `missing` (a claim with evidence, or controls), `label-twice`, `pool-needs-readings`, or what is wrong
 *   with the claim itself
 */
export function compareLots(request: Lots): Outcome<ComputedLots, CheckProblem> {
  const { claim, test, adjust } = request
  const ordered = request.lots.toSorted((a, b) =>
    (a.day ?? '~') < (b.day ?? '~') ? -1 : (a.day ?? '~') > (b.day ?? '~') ? 1 : 0,
  )
  const labels = new Set<string>()
  for (const { label, evidence, content } of ordered) {
    if (labels.has(label)) return failure(problems.lotTwice(label))
    labels.add(label)
    if (
      (evidence === undefined) === (content === undefined) ||
      (evidence !== undefined) !== (claim !== undefined)
    )
      return failure(problems.lotWithoutEvidence(label, claim !== undefined))
  }
  const lines = ordered.map((lot) => lineOf(request, lot))
  const refused = lines.find(({ why }) => why && /^(claim|test)\b/.test(why.path))?.why
  if (refused) return failure({ ...refused, path: `lots.${refused.path}` })
  const judged = adjustedLines(lines, { adjust, level: test?.significanceLevel ?? DEFAULT_LEVEL })
  const between = claim && betweenLines(claim.parameter, judged, (at) => momentsOf(ordered[at]!, claim))
  const pooled = request.pool && claim ? pooledOf(request, ordered) : undefined
  if (pooled && !pooled.ok) return pooled
  return success({
    lots: judged.map((line, at) => ({ ...line, ...(ordered[at]!.day ? { day: ordered[at]!.day } : {}) })),
    ...(between ? { between } : {}),
    ...(pooled ? { pooled: pooled.value } : {}),
  })
}

function lineOf({ claim, test }: Lots, { label, evidence, content }: Lot): GroupFigures {
  const setAside = (content ?? (evidence?.kind === 'readings' ? evidence : undefined))?.setAside?.length ?? 0
  const known = { label, n: 0, ...(setAside > 0 ? { setAside } : {}) }
  return content
    ? controlledLine(known, content)
    : checkedLine(known, { claim: claim!, evidence: evidence!, ...(test ? { test } : {}) })
}

/** Of readings taken one by one, or of their summary figures. */
function momentsOf({ evidence }: Lot, claim: NonNullable<Lots['claim']>): Moments | undefined {
  const sample = evidence && sampleOf(evidence, claim)
  if (!sample?.ok || sample.value.kind !== 'measured' || sample.value.design) return undefined
  const { mean, ...rest } = sample.value.measured
  return mean === undefined ? undefined : { ...rest, mean }
}

/** All readings as one sample of clusters, each lot one of them. */
function pooledOf({ claim, test }: Lots, lots: readonly Lot[]): Outcome<CheckDocument, CheckProblem> {
  const parts = lots.flatMap(({ label, evidence }) =>
    evidence?.kind === 'readings' ? [{ label, evidence }] : [],
  )
  const other = lots.find(({ evidence }) => evidence?.kind !== 'readings' || evidence.censored)
  if (other) return failure(problems.poolNeedsReadings(other.label))
  const starts: number[] = []
  let length = 0
  for (const { evidence } of parts) {
    starts.push(length)
    length += evidence.values.length
  }
  const setAside = parts.flatMap(({ evidence }, at) =>
    (evidence.setAside ?? []).map((index) => starts[at]! + index),
  )
  const isRandom = parts.every(({ evidence }) => evidence.drawn === 'random')
  return success({
    claim: claim!,
    evidence: {
      kind: 'readings',
      values: parts.flatMap(({ evidence }) => evidence.values),
      cluster: parts.flatMap(({ label, evidence }) => evidence.values.map(() => label)),
      ...(setAside.length > 0 ? { setAside } : {}),
      ...(isRandom ? { drawn: 'random' } : {}),
    },
    test: { ...test, method: 'cluster-t' },
  })
}
