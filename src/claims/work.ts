import { methodOf, parameterOf } from './all'
import { type CheckDocument, USUAL_RESAMPLES } from './terms/request'

/** So many looks at a reading are taken between two frames of a screen. */
const MAX_AT_ONCE = 20_000
/** A look at a reading takes as long as so many draws of a resample. */
const DRAWS_A_LOOK = 10

/** Whether a check takes longer than a frame, by what its method costs. */
export function takesLong(document: CheckDocument): boolean {
  return looksOf(document) > MAX_AT_ONCE
}

/** How many looks at a reading a check comes to; a thousand of them take about a millisecond. */
export function looksOf(document: CheckDocument): number {
  const { claim, evidence, test } = document
  const stated = test?.method ?? 'auto'
  const method = stated === 'auto' ? parameterOf(claim.parameter).usualMethod(test ?? {}) : stated
  const { looks, isResampled } = methodOf(method).work
  const times = isResampled ? (test?.resamples ?? USUAL_RESAMPLES) / DRAWS_A_LOOK : 1
  return readingsIn(evidence) * looks * times
}

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
