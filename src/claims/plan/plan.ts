import { firstWhole } from '@/statistics/numeric/wholeSearch'
import { bracketedRoot } from '@/statistics/numeric/bracketedRoot'
import type { PowerQuestion } from '@/statistics/power/question'
import type { Method } from '../terms/names'
import { type Hypotheses, isRange, valuesOf } from '../terms/hypotheses'
import { failure, type Outcome, success } from '../terms/outcome'
import { type ClaimProblem, problems } from '../terms/problems'
import type { Assumed, Planning } from '../terms/planning'
import { boundaryLot, possibleShare } from '../share/boundaryLot'

/** A test that is planned. */
export type Plan = Readonly<{
  method: Method
  planning: Planning
  /** Its values are standard deviations for a spread. */
  hypotheses: Hypotheses
  significanceLevel: number
}> &
  Assumed

export type Planned = Readonly<{
  n: number
  power: number
  /** Between the true value and the claimed one, in the claim's unit; of standard deviations for a spread. */
  difference: number
  /** For an exact test, the first n that reaches the power; from `n` on it holds. */
  firstN?: number
}>

/** Larger samples than this are not planned. */
export const MAX_PLANNED_UNITS = 10_000_000

/** The power with n units when the true value is `truth`. */
export function powerOf(plan: Plan, n: number, truth: number): number {
  // An integral may come out a rounding above what it stands for.
  return Math.min(1, uncapped(plan, n, truth))
}

function uncapped(plan: Plan, n: number, truth: number): number {
  const { hypotheses, significanceLevel, planning, standardDeviation, lotSize } = plan
  const pointPower = (question: PowerQuestion) => planning.power({ ...question, standardDeviation, lotSize })
  if (!isRange(hypotheses)) {
    const { value } = hypotheses.null
    return pointPower({ n, value, truth, alternative: hypotheses.alternativeSide, significanceLevel })
  }
  const { lower, upper } = hypotheses.null
  if (hypotheses.alternativeSide === 'inside') {
    return planning.powerInside!({ n, lower, upper, truth, significanceLevel, standardDeviation })
  }
  const half = { n, truth, significanceLevel: significanceLevel / 2 }
  const below = pointPower({ ...half, value: lower, alternative: 'less' })
  return below + pointPower({ ...half, value: upper, alternative: 'greater' })
}

/**
 * How many units must be sampled to reach a power.
 *
 * @returns the smallest n, or the problem `not-reached`
 */
export function sizeFor(plan: Plan, truth: number, power: number): Outcome<Planned, ClaimProblem> {
  const difference = Math.abs(truth - plan.hypotheses.null.value)
  const { hypotheses, significanceLevel, planning, standardDeviation, lotSize } = plan
  const max = lotSize || MAX_PLANNED_UNITS
  if (planning.sizes && !isRange(hypotheses)) {
    const { value } = hypotheses.null
    const alternative = hypotheses.alternativeSide
    const question = { value, truth, alternative, significanceLevel, power, standardDeviation, lotSize }
    const sizes = planning.sizes(question)
    return sizes && sizes.n <= max
      ? success({ ...sizes, difference })
      : failure(problems.powerNotReached(power, Math.min(max, planning.maxUnits!)))
  }
  const min = planning.leastSize
  const reaches = (n: number) => powerOf(plan, n, truth) >= power
  let high = min
  while (high < max && !reaches(high)) high *= 2
  if (high >= max && !(lotSize && reaches(max))) return failure(problems.powerNotReached(power, max))
  const n = firstWhole(reaches, Math.max(min, Math.floor(high / 2)), Math.min(high, max))
  return success({ n, power: powerOf(plan, n, truth), difference })
}

/**
 * The smallest distance from the claimed value that n units find with the given power.
 *
 * For a two-sided test the nearer of both directions; for a spread upwards, unless only less is looked for.
 *
 * @returns the distance, or the problem `not-reached`
 */
export function differenceFor(plan: Plan, n: number, power: number): Outcome<Planned, ClaimProblem> {
  const { hypotheses, planning } = plan
  if (hypotheses.alternativeSide === 'inside') return failure(problems.differenceInside())
  const [lowest, highest] = [valuesOf(hypotheses)[0]!, valuesOf(hypotheses).at(-1)!]
  const side = hypotheses.alternativeSide
  const up = side === 'less' ? undefined : distanceTo({ plan, n, power, from: highest, direction: 1 })
  const down =
    side === 'less' || (side !== 'greater' && planning.isBothWays)
      ? distanceTo({ plan, n, power, from: lowest, direction: -1 })
      : undefined
  const found = [up, down].filter((distance) => distance !== undefined)
  if (found.length === 0) return failure(problems.differenceNotReached(power, n))
  return success({ n, power, difference: Math.min(...found) })
}

type Search = Readonly<{ plan: Plan; n: number; power: number; from: number; direction: 1 | -1 }>

function distanceTo(search: Search): number | undefined {
  const { plan, n, power, from, direction } = search
  const { planning, standardDeviation } = plan
  if (planning.seek === 'units-of-lot') return distanceInUnits(search)
  const max = planning.seek.farthest(from, direction, standardDeviation)
  const short = (distance: number) => powerOf(plan, n, from + direction * distance) - power
  let [low, high] = [0, Math.min(max, planning.seek.firstStep(from, n, standardDeviation) || max)]
  while (short(high) < 0) {
    if (high >= max) return undefined
    ;[low, high] = [high, Math.min(max, high * 2)]
  }
  return bracketedRoot({ f: short, low, high })
}

/** The distance of the nearest lot that is found, by the units by which it differs from what is claimed. */
function distanceInUnits({ plan, n, power, from, direction }: Search): number | undefined {
  const { lotSize } = plan
  const first =
    direction > 0 ? boundaryLot(from, lotSize, 'greater') + 1 : boundaryLot(from, lotSize, 'less') - 1
  const steps = direction > 0 ? lotSize - first : first
  const shareAt = (step: number) => (first + direction * step) / lotSize
  const isFound = (step: number) => powerOf(plan, n, shareAt(step)) >= power
  if (steps < 0 || !isFound(steps)) return undefined
  return Math.abs(shareAt(firstWhole(isFound, 0, steps)) - from)
}

/** The true value that a stated one stands for: of a lot, that of a whole number of its units. */
export function truthOf({ planning, lotSize, hypotheses }: Plan, stated: number): number {
  if (planning.seek !== 'units-of-lot' || isRange(hypotheses)) return stated
  const alternative = hypotheses.alternativeSide
  return possibleShare(stated, { value: hypotheses.null.value, lotSize, alternative })
}
