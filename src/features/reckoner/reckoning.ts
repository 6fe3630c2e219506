import { critical, type CriticalFigures } from '@/answers/critical'
import { reckon } from '@/answers/reckon'
import type { CheckError } from '@/claims/checkAnswer'
import type { DistributionField, ReckonDraft } from '@/desk/reckonDraft'
import { type ReckoningRead, readReckoning } from '@/intake/readReckoning'
import { FIELD_NAMES, type Share, shareOf } from '@/words/en/reckonWords'
import { type DistributionShape, distributionShape } from '@/pictures/distributionShape'
import { distributionByName } from '@/statistics/distributions/byName'
import type { CriticalValues } from '@/statistics/inference/criticalValues'
import type { PointFigures } from '@/statistics/distributions/pointFigures'
import { type NamedDistribution, stepOf } from '@/statistics/distributions/named'
import type { Ends } from '@/statistics/inference/interval'

const USUAL_LEVELS = [0.1, 0.05, 0.01, 0.001] as const

/** What a typed reckoning comes to: every figure as the core has it. */
export type Reckoning = Readonly<{
  read: ReckoningRead
  /** Why nothing can be said, where the core refuses. */
  problem?: string
  /** Present where the distribution is known. */
  known?: Readonly<{
    distribution: NamedDistribution
    isWhole: boolean
    levels: readonly CriticalFigures[]
  }>
  /** Present where the point is known too. */
  found?: Found
}>

type Found = Readonly<{
  /** Where what is looked at begins. */
  ends: Ends
  /** How much lies there, of both tails together. */
  share: Share
  /** The figures at each end, from left to right. */
  points: readonly PointFigures[]
  shape: DistributionShape
}>

/** Computes a reckoning from what is typed. */
export function reckoning(draft: ReckonDraft): Reckoning {
  const read = readReckoning(draft)
  const { distribution, level } = read
  if (!distribution) return { read }
  const levels = level === undefined ? USUAL_LEVELS : [...USUAL_LEVELS, level]
  const answered = critical({ critical: { distribution, levels } })
  if (!answered.ok) return refusedFor(read, answered.error)
  const step = stepOf(distribution)
  const known = { distribution, isWhole: step !== undefined, levels: answered.critical }
  try {
    const looked =
      read.point === undefined ? fromProbability(draft, read) : fromPoint(draft, read.point, known)
    if (!looked) return { read, known }
    const { ends } = looked
    const points = [ends.lower, ends.upper]
      .filter((x) => x !== undefined)
      .map((x) => reckoned({ distribution, x }))
    const statistic = points[0]!.x
    const shape = distributionShape(distributionByName(distribution), { step, statistic, ends: {} })
    return { read, known, found: { ...looked, points, shape } }
  } catch (error) {
    if (error instanceof Refused) return { read, known, problem: error.message }
    throw error
  }
}

/** A figure of the distribution that the core refuses, by its own name. */
function refusedFor(read: ReckoningRead, { path, message }: CheckError['error']): Reckoning {
  const field = Object.keys(FIELD_NAMES).find((name) => path === `critical.distribution.${name}`)
  if (field === undefined) return { read, problem: message }
  const named = FIELD_NAMES[field as DistributionField]
  const own = { field: field as DistributionField, message: message.replace(`“${path}”`, `The ${named}`) }
  return { read: { ...read, problems: [...read.problems, own] } }
}

/** The core's answer, where it refuses to reckon. */
class Refused extends Error {}

function reckoned(request: Readonly<Record<string, unknown>>): PointFigures {
  const answer = reckon({ reckon: request })
  if (!answer.ok) throw new Refused(answer.error.message)
  return answer.reckon
}

type Looked = Pick<Found, 'ends' | 'share'>

/** Where so much lies, at most; absent while nothing is typed. */
function fromProbability(
  { tail }: ReckonDraft,
  { distribution, probability }: ReckoningRead,
): Looked | undefined {
  if (probability === undefined) return undefined
  const answer = critical({ critical: { distribution, levels: [probability] } })
  if (!answer.ok) throw new Refused(answer.error.message)
  const [{ lower, upper, both } = { both: {} }] = answer.critical
  const one = { lower: lower ? { lower } : {}, upper: upper ? { upper } : {} }
  const values: CriticalValues = tail === 'both' ? both : one[tail]
  const there = [values.lower, values.upper].filter((value) => value !== undefined)
  if (there.length === 0)
    throw new Refused('Even the farthest value is more probable than that. State a larger probability.')
  return {
    ends: {
      ...(values.lower ? { lower: values.lower.x } : {}),
      ...(values.upper ? { upper: values.upper.x } : {}),
    },
    share: { pValue: there.reduce((sum, { probability: own }) => sum + own, 0) },
  }
}

/** How much lies from a point outwards; of a curve with both tails, as much beyond the other end. */
function fromPoint(
  { tail }: ReckonDraft,
  x: number,
  { distribution, isWhole }: NonNullable<Reckoning['known']>,
): Looked {
  const lower = reckoned({ distribution, x })
  // Of whole numbers, what lies at the point belongs to the tail above it too.
  const upper = isWhole ? reckoned({ distribution, x: Math.ceil(x) - 1 }) : lower
  const [below, above] = [shareOf(lower.lower, lower.logLower), shareOf(upper.upper, upper.logUpper)]
  if (tail === 'lower') return { ends: { lower: x }, share: below }
  if (tail === 'upper') return { ends: { upper: x }, share: above }
  const isLow = (below.pValue ?? 0) <= (above.pValue ?? 0)
  const smaller = isLow ? below : above
  const twice = shareOf(
    lower.both,
    smaller.logPValue === undefined ? undefined : smaller.logPValue + Math.LN2,
  )
  const own = isLow ? { lower: x } : { upper: x }
  if (isWhole || smaller.pValue === undefined || smaller.pValue === 0) return { ends: own, share: twice }
  const other = reckoned({ distribution, [isLow ? 'upper' : 'lower']: smaller.pValue }).x
  return { ends: isLow ? { lower: x, upper: other } : { lower: other, upper: x }, share: twice }
}
