import type { CountSample } from '@/statistics/inference/shareInterval'
import { parameterOf } from './all'
import type { Claim } from './terms/claim'
import { counts, type Limit, limitUsed } from './terms/limit'
import { failure, type Outcome, success } from './terms/outcome'
import { type ClaimProblem, problems } from './terms/problems'
import { defaultBurden } from './terms/relations'
import type { Evidence } from './terms/request'
import { isKnown, measurementOf, type Sample, type SampleOf } from './terms/sample'

/** What of a claim says how its evidence is taken. */
export type Told = Pick<Claim, 'parameter' | 'limit' | 'burden'> & Partial<Pick<Claim, 'relation'>>

/** Of a share told from readings: the items that count. */
export function itemsOf(sample: Sample, evidence: Evidence, claim: Told): Outcome<Sample, ClaimProblem> {
  const isOfShare = parameterOf(claim.parameter).sample === 'counted'
  if (!isOfShare || sample.kind !== 'measured') {
    if (claim.limit) return failure(problems.limitNeedsReadings())
    return success(sample)
  }
  if (claim.limit) return limited(sample, evidence, { ...claim, limit: claim.limit })
  return sample.design ? marked(sample, evidence) : success(sample)
}

/** Rows of which each counts or does not. */
function marked(sample: SampleOf<'measured'>, evidence: Evidence): Outcome<Sample, ClaimProblem> {
  const { measured: own, ...rest } = sample
  const marks = own.values ?? []
  const wrong = marks.findIndex((value) => value !== 0 && value !== 1)
  const all = evidence.kind === 'readings' ? evidence.values : []
  if (wrong >= 0) {
    const place = own.places?.[wrong] ?? wrong
    return failure(problems.notAMark(all[place]!, place))
  }
  return success({ ...rest, kind: 'counted', counted: countedOf(marks), marks })
}

function limited(
  sample: SampleOf<'measured'>,
  evidence: Evidence,
  { limit, burden, relation }: Told & Readonly<{ limit: Limit }>,
): Outcome<Sample, ClaimProblem> {
  const reading = measurementOf(evidence)?.reading
  if (limit.guardFactor && reading === undefined) return failure(problems.guardNeedsReading())
  const used = limitUsed(limit, {
    burden: burden ?? (relation ? defaultBurden(relation) : 'challenge'),
    reading,
  })
  const { values, censored } = sample.measured
  if (censored && !isKnown(used, censored))
    return failure(problems.censoredBeyondClaim('claim.limit', used, censored.from, censored.to))
  const marks = values?.map((value) => (counts(value, limit.side, used) ? 1 : 0))
  return success({
    ...sample,
    kind: 'limited',
    limit: { side: limit.side, value: used },
    ...(marks ? { counted: countedOf(marks), marks } : {}),
  })
}

const countedOf = (marks: readonly number[]): CountSample => ({
  sampleSize: marks.length,
  successes: marks.reduce((sum, mark) => sum + mark, 0),
})
