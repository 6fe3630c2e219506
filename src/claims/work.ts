import { methodOf, parameterOf } from './all'
import type { EstimateDocument } from './estimate'
import { type CheckDocument, USUAL_RESAMPLES } from './terms/request'

/** So many looks at a reading are taken between two frames of a screen. */
const MAX_AT_ONCE = 20_000
/** A look at a reading takes as long as so many draws of a resample. */
const DRAWS_A_LOOK = 10

/** Whether so many looks take longer than a frame. */
export const areLong = (looks: number): boolean => looks > MAX_AT_ONCE

/** Whether an estimate does, which has no value to be tested against. */
export const takesLongToEstimate = ({ estimate: { parameter, evidence, test } }: EstimateDocument): boolean =>
  areLong(looksOf({ claim: { parameter }, evidence, test }))

/** How many looks at a reading a check comes to; a thousand of them take about a millisecond. */
export function looksOf(
  document: Pick<CheckDocument, 'evidence' | 'test'> &
    Readonly<{ claim: Pick<CheckDocument['claim'], 'parameter'> }>,
): number {
  const { claim, evidence, test } = document
  const stated = test?.method ?? 'auto'
  const method =
    stated === 'auto'
      ? parameterOf(claim.parameter).usualMethod({ ...test, design: designIn(evidence) })
      : stated
  const { looks, isResampled } = methodOf(method).work
  const times = isResampled ? (test?.resamples ?? USUAL_RESAMPLES) / DRAWS_A_LOOK : 1
  return readingsIn(evidence) * looks * times
}

const designIn = (evidence: CheckDocument['evidence']) =>
  evidence.kind !== 'readings'
    ? undefined
    : evidence.cluster
      ? 'clusters'
      : evidence.stratum
        ? 'strata'
        : undefined

function readingsIn(evidence: CheckDocument['evidence']): number {
  switch (evidence.kind) {
    case 'readings':
      return evidence.values.length
    case 'two-readings':
      return evidence.first.length + evidence.second.length
    default:
      return 0
  }
}
