import { moments, spread } from '../describe/moments'
import type { MeanSample } from '../inference/sample'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '../wording/problems'
import type { Evidence } from './request'

/** The sample's figures, from whichever kind of evidence there is. */
export function sampleOf(evidence: Evidence): Outcome<MeanSample> {
  const sample = evidence.kind === 'readings' ? fromReadings(evidence) : fromSummary(evidence)
  if (!sample.ok) return sample
  const { lotSize, sampleSize, setAside } = sample.value
  const taken = sampleSize + setAside
  if (lotSize !== undefined && lotSize < taken) return failure(problems.lotTooSmall(lotSize, taken))
  return sample
}

function fromReadings(evidence: Extract<Evidence, { kind: 'readings' }>): Outcome<MeanSample> {
  const { values, lotSize } = evidence
  const setAside = evidence.setAside ?? []
  const left = new Set<number>()
  for (const [position, index] of setAside.entries()) {
    if (index >= values.length) return failure(problems.indexOutside(index, values.length, position))
    if (left.has(index)) return failure(problems.indexTwice(index, position))
    left.add(index)
  }
  const kept = left.size === 0 ? values : values.filter((_, index) => !left.has(index))
  if (kept.length === 0) return failure(problems.tooFewReadings(0, 2))
  return success({ ...moments(kept), setAside: left.size, lotSize, path: 'evidence.values' })
}

function fromSummary(evidence: Extract<Evidence, { kind: 'summary' }>): Outcome<MeanSample> {
  const { n, mean, lotSize } = evidence
  if (evidence.standardDeviation !== undefined && evidence.variance !== undefined) {
    return failure(problems.bothSpreads())
  }
  const isVariance = evidence.variance !== undefined
  const standardDeviation = isVariance ? Math.sqrt(evidence.variance!) : evidence.standardDeviation
  return success({
    sampleSize: n,
    mean,
    meanRemainder: 0,
    setAside: 0,
    lotSize,
    path: isVariance ? 'evidence.variance' : 'evidence.standardDeviation',
    ...(standardDeviation === undefined
      ? {}
      : spread(standardDeviation, evidence.variance ?? standardDeviation ** 2)),
  })
}
