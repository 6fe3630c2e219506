import { type Hypotheses, isRange, valuesOf } from '../hypotheses'
import { bracketedRoot } from '@/statistics/numeric/bracketedRoot'
import { firstWhole } from '@/statistics/numeric/wholeSearch'
import { failure, type Outcome, success } from '../outcome'
import { problems } from '@/words/en/problems'
import { powerInsideWithT, powerInsideWithZ, powerOfT, powerOfZ } from '@/statistics/power/meanPower'
import type { PowerQuestion } from '@/statistics/power/question'
import { exactSizes, MOST_EXACT_UNITS, powerOfExact, powerOfScore } from '@/statistics/power/sharePower'
import { powerOfChiSquare } from '@/statistics/power/spreadPower'

export const PLANNED_METHODS = ['t', 'z', 'chi-square', 'score-z', 'exact-binomial'] as const
export type PlannedMethod = (typeof PLANNED_METHODS)[number]

/** A test that is planned. */
export type Plan = Readonly<{
  method: PlannedMethod
  /** Its values are standard deviations for a spread. */
  hypotheses: Hypotheses
  significanceLevel: number
  /** Of the readings, for a mean. */
  standardDeviation: number
}>

export type Planned = Readonly<{
  n: number
  power: number
  /** Between the true value and the claimed one, in the claim's unit; of standard deviations for a spread. */
  difference: number
  /** For an exact test, the first n that reaches the power; from `n` on it holds. */
  firstN?: number
}>

/** Larger samples than this are not planned. */
export const MOST_PLANNED_UNITS = 10_000_000

/** The power with n units when the true value is `truth`. */
export function powerOf(plan: Plan, n: number, truth: number): number {
  const { hypotheses, significanceLevel } = plan
  if (!isRange(hypotheses)) {
    const { value } = hypotheses.null
    return pointPower(plan, { n, value, truth, alternative: hypotheses.alternativeSide, significanceLevel })
  }
  const { lower, upper } = hypotheses.null
  if (hypotheses.alternativeSide === 'inside') {
    const inside = plan.method === 'z' ? powerInsideWithZ : powerInsideWithT
    return inside({ n, lower, upper, truth, significanceLevel, standardDeviation: plan.standardDeviation })
  }
  const half = { n, truth, significanceLevel: significanceLevel / 2 }
  const below = pointPower(plan, { ...half, value: lower, alternative: 'less' })
  return Math.min(1, below + pointPower(plan, { ...half, value: upper, alternative: 'greater' }))
}

function pointPower({ method, standardDeviation }: Plan, question: PowerQuestion): number {
  switch (method) {
    case 't':
      return powerOfT({ ...question, standardDeviation })
    case 'z':
      return powerOfZ({ ...question, standardDeviation })
    case 'chi-square':
      return powerOfChiSquare(question)
    case 'score-z':
      return powerOfScore(question)
    case 'exact-binomial':
      return powerOfExact(question)
    default:
      return method satisfies never
  }
}

/** A spread takes two readings to be told at all. */
export function leastSize({ method }: Plan): number {
  return method === 't' || method === 'chi-square' ? 2 : 1
}

/**
 * How many units must be sampled to reach a power.
 *
 * @returns the smallest n, or the problem `not-reached`
 */
export function sizeFor(plan: Plan, truth: number, power: number): Outcome<Planned> {
  const difference = Math.abs(truth - plan.hypotheses.null.value)
  const { hypotheses, significanceLevel } = plan
  if (plan.method === 'exact-binomial' && !isRange(hypotheses)) {
    const { value } = hypotheses.null
    const sizes = exactSizes({
      value,
      truth,
      alternative: hypotheses.alternativeSide,
      significanceLevel,
      power,
    })
    return sizes
      ? success({ ...sizes, difference })
      : failure(problems.powerNotReached(power, MOST_EXACT_UNITS))
  }
  const least = leastSize(plan)
  const reaches = (n: number) => powerOf(plan, n, truth) >= power
  let high = least
  while (high < MOST_PLANNED_UNITS && !reaches(high)) high *= 2
  if (high >= MOST_PLANNED_UNITS) return failure(problems.powerNotReached(power, MOST_PLANNED_UNITS))
  const n = firstWhole(reaches, Math.max(least, high / 2), high)
  return success({ n, power: powerOf(plan, n, truth), difference })
}

/**
 * The smallest distance from the claimed value that n units find with the given power.
 *
 * For a two-sided test the nearer of both directions; for a spread upwards, unless only less is looked for.
 *
 * @returns the distance, or the problem `not-reached`
 */
export function differenceFor(plan: Plan, n: number, power: number): Outcome<Planned> {
  const { hypotheses, method } = plan
  if (hypotheses.alternativeSide === 'inside') return failure(problems.differenceInside())
  const [lowest, highest] = [valuesOf(hypotheses)[0]!, valuesOf(hypotheses).at(-1)!]
  const isBothWays = method === 'score-z' || method === 'exact-binomial'
  const side = hypotheses.alternativeSide
  const up = side === 'less' ? undefined : distanceTo({ plan, n, power, from: highest, direction: 1 })
  const down =
    side === 'less' || (side !== 'greater' && isBothWays)
      ? distanceTo({ plan, n, power, from: lowest, direction: -1 })
      : undefined
  const found = [up, down].filter((distance) => distance !== undefined)
  if (found.length === 0) return failure(problems.differenceNotReached(power, n))
  return success({ n, power, difference: Math.min(...found) })
}

type Search = Readonly<{ plan: Plan; n: number; power: number; from: number; direction: 1 | -1 }>

function distanceTo({ plan, n, power, from, direction }: Search): number | undefined {
  const most = farthest(plan, from, direction)
  const short = (distance: number) => powerOf(plan, n, from + direction * distance) - power
  let [low, high] = [0, Math.min(most, firstStep(plan, n, from) || most)]
  while (short(high) < 0) {
    if (high >= most) return undefined
    ;[low, high] = [high, Math.min(most, high * 2)]
  }
  return bracketedRoot({ f: short, low, high })
}

function firstStep({ method, standardDeviation }: Plan, n: number, from: number): number {
  if (method === 't' || method === 'z') return standardDeviation / Math.sqrt(n)
  return method === 'chi-square' ? from / Math.sqrt(n) : Math.min(from, 1 - from) / 16
}

/** How far a true value can lie from the claimed one. */
function farthest({ method, standardDeviation }: Plan, from: number, direction: 1 | -1): number {
  const nearly = 1 - 1e-12
  switch (method) {
    case 't':
    case 'z':
      return standardDeviation * 1e6
    case 'chi-square':
      return direction > 0 ? from * 1e6 : from * nearly
    case 'score-z':
    case 'exact-binomial':
      return (direction > 0 ? 1 - from : from) * nearly
    default:
      return method satisfies never
  }
}
