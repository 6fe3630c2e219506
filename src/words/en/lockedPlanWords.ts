import { deriveHypotheses } from '@/claims/terms/hypotheses'
import type { LockedPlan, PlannedClaim } from '@/desk/lockedPlan'
import type { Departure } from '@/desk/planKept'
import type { PlanOnTrail } from '@/desk/trail/planOnTrail'
import { displayOf, shownInFull } from '../display'
import { formatCount, formatFull, formatPercent } from '../figures'
import { drawTitle } from './drawWords'
import { METHOD_WORDS } from './methods'
import { aGap, powerWords, statedGap, unitsWords } from './planWords'
import { fieldWords, instantWords, spoken } from './trailWords'

/** So many units are named. */
const FEW_UNITS = 5

/** What a plan takes for one of its claims: "35 units, by the t-test at 5 %, find a shortfall of 0.1 kg with a power of 90.8 %". */
function takenWords({ claim, test, gap, power }: PlannedClaim, units: number): string {
  const hypotheses = deriveHypotheses(claim, 'auto')
  const taken = unitsWords(test.method, claim, units)
  const how = `by the ${METHOD_WORDS[test.method].name} at ${formatPercent(test.significanceLevel)}`
  const what = hypotheses.ok ? aGap(hypotheses.value) : 'a gap'
  const isShown = hypotheses.ok && hypotheses.value.alternativeSide === 'inside'
  const aim = isShown
    ? `to show the claim where the truth is ${statedGap(claim, gap)} from the middle`
    : `to find ${what} of ${statedGap(claim, gap)}`
  return `${taken}, ${how}, ${aim} with a power of ${powerWords(power)}`
}

/** What the entry of a plan says; its fingerprint, and its key where one signed it. */
export function planDetail(
  { claims, units }: LockedPlan,
  place: number,
  { fingerprint, key }: Readonly<{ fingerprint: string; key: string | undefined }>,
): string {
  const by = key === undefined ? '' : `, key ${key}`
  return `Plan: ${takenWords(claims[place - 1]!, units)}, fingerprint ${fingerprint}${by}`
}

/** What was locked, by whom, and whether before there were readings. */
export function lockedPlanWords(known: PlanOnTrail): string {
  const { plan, place, isByKey, number, at, readingsBefore } = known
  const { lockedBy, lockedOn, claims, units, draw } = plan
  const signed = `by ${lockedBy} on ${lockedOn}, ${isByKey ? 'with a key' : 'by name'} (entry ${formatCount(number)} of the trail, ${instantWords(at)})`
  const before =
    readingsBefore === undefined
      ? 'with no reading of its sample in'
      : `when readings of its sample were in already (entry ${formatCount(readingsBefore)})`
  const drawn = draw
    ? ` ${drawTitle(draw, 'unit').replace('Draw', 'It draws')}, by the seed ${draw.seed}; whether those are the units that were measured a plan cannot show.`
    : ''
  return `A plan was locked ${before}, ${signed}: ${takenWords(claims[place - 1]!, units)}.${drawn}`
}

/** Whether a plan was kept. */
export function planKeptWords(known: PlanOnTrail, departures: readonly Departure[]): string {
  const { plan, place } = known
  const told = departures.map((one) => departureWords(one, plan.claims[place - 1]!))
  return told.length === 0
    ? 'As planned: what is claimed and who has to show it, the test, its options and its level, and the size of the sample are those of the plan.'
    : `Not as planned: ${told.join('; ')}.`
}

/** What a plan answers whoever says that the test was chosen to suit. */
export function notChosenAfter({ readingsBefore }: PlanOnTrail, departures: readonly Departure[]): string {
  if (readingsBefore !== undefined) return 'The plan was locked when readings of its sample were in already.'
  const what = departures.length === 0 ? 'none of this was' : 'the rest was not'
  return `The plan was locked with no reading of its sample in: ${what} chosen after looking at them.`
}

function departureWords(one: Departure, { claim, test }: PlannedClaim): string {
  switch (one.what) {
    case 'untested':
      return 'a test was planned, and none was made'
    case 'units':
      return `${unitsWords(test.method, claim, one.planned)} planned, ${formatFull(one.tested)} tested`
    case 'drawn': {
      const few = one.others.slice(0, FEW_UNITS).map((unit) => `“${unit}”`)
      const more = one.others.length - few.length
      const said = [...few, ...(more > 0 ? [`${formatCount(more)} more`] : [])]
      const others = said.length > 0 ? `, and noted besides are ${said.join(', ')}` : ''
      return `of the ${formatCount(one.planned)} units drawn ${formatCount(one.tested)} are noted with readings${others}`
    }
    case 'value': {
      const shown = (value: unknown) => shownInFull(value as number, displayOf(claim, 0))
      return `the claimed value was planned as ${shown(one.planned)} and is ${shown(one.tested)}`
    }
    default: {
      const said = (value: unknown) => spoken(one.what, value) || 'nothing'
      return `the ${fieldWords(one.what)} was planned as “${said(one.planned)}” and is “${said(one.tested)}”`
    }
  }
}
