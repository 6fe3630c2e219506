import { moments, spread } from '@/statistics/describe/moments'
import { parameterOf } from './all'
import { designOf } from './designOf'
import { itemsOf, type Told } from './itemsOf'
import { keptOf } from './readEvidence'
import { lotSizeOf, measurementOf, type MeasuredSample, type Sample, unitsTaken } from './terms/sample'
import { failure, type Outcome, success } from './terms/outcome'
import { type ClaimProblem, problems } from './terms/problems'
import { type Evidence, MAX_UNITS } from './terms/request'

/** The sample's figures, from whichever kind of evidence there is. */
export function sampleOf(evidence: Evidence, claim: Told): Outcome<Sample, ClaimProblem> {
  if (claim.limit && parameterOf(claim.parameter).sample !== 'counted')
    return failure(problems.limitForOther(claim.parameter))
  const designed = keptOf(evidence, designedOf)
  if (!designed.ok) return designed
  const sample = itemsOf(designed.value, evidence, claim)
  if (!sample.ok) return sample
  const { drawn, independence } = evidence
  const lotSize = lotSizeOf(evidence)
  const taken = unitsTaken(sample.value)
  if (lotSize !== undefined && lotSize < taken) return failure(problems.lotTooSmall(lotSize, taken))
  return success({ ...sample.value, lotSize, drawn, independence, measurement: measurementOf(evidence) })
}

/** What is the same whatever is claimed. */
function designedOf(evidence: Evidence): Outcome<Sample, ClaimProblem> {
  const plain = figuresOf(evidence)
  return plain.ok ? withDesign(evidence, plain.value) : plain
}

function figuresOf(evidence: Evidence): Outcome<Sample, ClaimProblem> {
  switch (evidence.kind) {
    case 'readings':
      return measured(withCensored(evidence))
    case 'summary':
      return measured(fromSummary(evidence, 'evidence'))
    case 'count': {
      const { n: sampleSize, successes } = evidence
      if (successes > sampleSize) return failure(problems.moreSuccesses(successes, sampleSize))
      return success({ kind: 'counted', counted: { sampleSize, successes } })
    }
    case 'two-readings':
      return both(
        fromReadings(evidence.first, evidence.firstSetAside ?? [], 'evidence.first'),
        fromReadings(evidence.second, evidence.secondSetAside ?? [], 'evidence.second'),
      )
    case 'two-summaries':
      return both(
        fromSummary(evidence.first, 'evidence.first'),
        fromSummary(evidence.second, 'evidence.second'),
      )
    case 'events': {
      const { events, exposure } = evidence
      return success({ kind: 'events', events: { events, exposure, setAside: 0 } })
    }
    case 'event-counts':
      return fromStretches(evidence)
    default:
      return evidence satisfies never
  }
}

/** With the clusters or the layers that its readings are of. */
function withDesign(evidence: Evidence, sample: Sample): Outcome<Sample, ClaimProblem> {
  if (evidence.kind !== 'readings') return success(sample)
  const setAside = new Set(evidence.setAside)
  const design = designOf(evidence, (index) => !setAside.has(index))
  if (!design.ok) return design
  return success(design.value ? { ...sample, design: design.value } : sample)
}

function measured(sample: Outcome<MeasuredSample, ClaimProblem>): Outcome<Sample, ClaimProblem> {
  return sample.ok ? success({ kind: 'measured', measured: sample.value }) : sample
}

function both(
  first: Outcome<MeasuredSample, ClaimProblem>,
  second: Outcome<MeasuredSample, ClaimProblem>,
): Outcome<Sample, ClaimProblem> {
  if (!first.ok) return first
  if (!second.ok) return second
  return success({ kind: 'two', two: { first: first.value, second: second.value } })
}

const isCount = (value: number) => Number.isInteger(value) && value >= 0 && value <= MAX_UNITS

/** The counts of stretches added up, and their exposures. */
function fromStretches({
  values,
  exposureEach,
  setAside = [],
}: Extract<Evidence, { kind: 'event-counts' }>): Outcome<Sample, ClaimProblem> {
  const excluded = indexesOf(setAside, values.length)
  if (!excluded.ok) return excluded
  const isTested = (index: number) => !excluded.value.has(index)
  const wrong = values.findIndex((value, index) => isTested(index) && !isCount(value))
  if (wrong >= 0) return failure(problems.notACount(values[wrong]!, wrong))
  const stretches = values.filter((_, index) => isTested(index))
  if (stretches.length === 0) return failure(problems.tooFewReadings(0, 1, 'evidence.values'))
  const events = stretches.reduce((sum, count) => sum + count, 0)
  const exposure = stretches.length * exposureEach
  return success({
    kind: 'events',
    events: { events, exposure, stretches, setAside: excluded.value.size },
  })
}

/** The readings that are set aside, by their places, each once and among those that there are. */
function indexesOf(setAside: readonly number[], count: number): Outcome<ReadonlySet<number>, ClaimProblem> {
  const excluded = new Set<number>()
  for (const [position, index] of setAside.entries()) {
    if (index >= count) return failure(problems.indexOutside(index, count, position))
    if (excluded.has(index)) return failure(problems.indexTwice(index, position))
    excluded.add(index)
  }
  return success(excluded)
}

/** Readings some of which say only on which side of a limit they lie: without a mean or a spread. */
function withCensored(
  evidence: Extract<Evidence, { kind: 'readings' }>,
): Outcome<MeasuredSample, ClaimProblem> {
  const { values: all, setAside = [], censored } = evidence
  const path = 'evidence.values'
  const { below = [], above = [] } = censored ?? {}
  if (below.length + above.length === 0) return fromReadings(all, setAside, path)
  const seen = new Set<number>()
  for (const index of [...below, ...above]) {
    if (index >= all.length) return failure(problems.censoredIndexOutside(index, all.length))
    if (seen.has(index)) return failure(problems.censoredTwice(index))
    seen.add(index)
  }
  const excluded = new Set(setAside)
  const isTested = (index: number) => !excluded.has(index)
  const [low, high] = [below.filter(isTested), above.filter(isTested)]
  if (low.length + high.length === 0) return fromReadings(all, setAside, path)
  const values = [...all]
  for (const index of below) values[index] = -Infinity
  for (const index of above) values[index] = Infinity
  const sample = fromReadings(values, setAside, path)
  if (!sample.ok) return sample
  const { mean: _, standardDeviation: _deviation, variance: _variance, all: _all, ...rest } = sample.value
  return success({
    ...rest,
    meanRemainder: 0,
    censored: {
      below: low.length,
      above: high.length,
      from: low.reduce((most, index) => Math.max(most, all[index]!), -Infinity),
      to: high.reduce((least, index) => Math.min(least, all[index]!), Infinity),
    },
  })
}

function fromReadings(
  all: readonly number[],
  setAside: readonly number[],
  path: string,
): Outcome<MeasuredSample, ClaimProblem> {
  const indexes = indexesOf(setAside, all.length)
  if (!indexes.ok) return indexes
  const excluded = indexes.value
  const places = excluded.size === 0 ? undefined : placesBut(excluded, all.length)
  const values = places ? places.map((index) => all[index]!) : all
  if (values.length === 0) return failure(problems.tooFewReadings(0, 2, path))
  return success({
    ...moments(values),
    values,
    sorted: Float64Array.from(values).sort(),
    ...(places ? { places, all } : {}),
    setAside: excluded.size,
    path,
  })
}

/** Of `count` places those that are not excluded. */
function placesBut(excluded: ReadonlySet<number>, count: number): readonly number[] {
  const places: number[] = []
  for (let index = 0; index < count; index += 1) if (!excluded.has(index)) places.push(index)
  return places
}

type Summary = Readonly<{
  n: number
  mean?: number | undefined
  standardDeviation?: number | undefined
  variance?: number | undefined
}>

function fromSummary(
  { n, mean, standardDeviation, variance }: Summary,
  at: string,
): Outcome<MeasuredSample, ClaimProblem> {
  if (standardDeviation !== undefined && variance !== undefined) return failure(problems.bothSpreads(at))
  const isVariance = variance !== undefined
  const deviation = isVariance ? Math.sqrt(variance) : standardDeviation
  return success({
    sampleSize: n,
    ...(mean === undefined ? {} : { mean }),
    meanRemainder: 0,
    setAside: 0,
    path: isVariance ? `${at}.variance` : `${at}.standardDeviation`,
    ...(deviation === undefined ? {} : spread(deviation, variance ?? deviation ** 2)),
  })
}
