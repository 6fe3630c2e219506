import { moments, spread } from '@/statistics/describe/moments'
import { lotSizeOf, measurementOf, type MeasuredSample, type Sample, unitsTaken } from './terms/sample'
import { failure, type Outcome, success } from './terms/outcome'
import { type ClaimProblem, problems } from './terms/problems'
import { type Evidence, MAX_UNITS } from './terms/request'

/** The sample's figures, from whichever kind of evidence there is. */
export function sampleOf(evidence: Evidence): Outcome<Sample, ClaimProblem> {
  const sample = figuresOf(evidence)
  if (!sample.ok) return sample
  const { drawn, independence } = evidence
  const lotSize = lotSizeOf(evidence)
  const taken = unitsTaken(sample.value)
  if (lotSize !== undefined && lotSize < taken) return failure(problems.lotTooSmall(lotSize, taken))
  return success({ ...sample.value, lotSize, drawn, independence, measurement: measurementOf(evidence) })
}

function figuresOf(evidence: Evidence): Outcome<Sample, ClaimProblem> {
  switch (evidence.kind) {
    case 'readings':
      return measured(fromReadings(evidence.values, evidence.setAside ?? [], 'evidence.values'))
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

function fromReadings(
  all: readonly number[],
  setAside: readonly number[],
  path: string,
): Outcome<MeasuredSample, ClaimProblem> {
  const indexes = indexesOf(setAside, all.length)
  if (!indexes.ok) return indexes
  const excluded = indexes.value
  const places =
    excluded.size === 0 ? undefined : all.flatMap((_, index) => (excluded.has(index) ? [] : [index]))
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
