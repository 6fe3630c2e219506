import { plan } from '@/answers/plan'
import { methodOf } from '@/claims/all'
import { assuming, type PlanAsked, planForGap, truthsAt } from '@/claims/plan/gap'
import type { PlanFigures, PlanRequest } from '@/claims/plan/planRequest'
import type { Claim } from '@/claims/terms/claim'
import { deriveHypotheses, type Hypotheses } from '@/claims/terms/hypotheses'
import type { PlanDraft, PlanWanted } from '@/desk/planDraft'
import { type PlanCommonRead, type PlanRead, readPlan, readPlanCommon } from '@/intake/readPlan'
import { NO_SUCH_GAP } from '@/words/en/planWords'

/** What one claim of a plan comes to: every figure as the core has it. */
export type Planned = Readonly<{
  read: PlanRead
  /** Why nothing can be said, where the core refuses. */
  problem?: string
  found?: Found
}>

export type Found = Readonly<{
  claim: Claim
  hypotheses: Hypotheses
  asked: PlanAsked
  method: PlanFigures['method']
  /** The units for this claim, the gap that they find, and how surely. */
  n: number
  firstN?: number
  gap: number
  power: number
  /** The true values that lie so far away. */
  truths: readonly number[]
  /** What the core was asked, as the command line takes it. */
  request: Readonly<{ plan: object }>
}>

/** A plan worked out: each of its claims, and the units that serve all of those that take units. */
export type Planning = Readonly<{
  common: PlanCommonRead
  claims: readonly Planned[]
  /** Absent where not all claims can be planned, or not by the same units. */
  units?: number
}>

/** Works out a plan from what is typed. */
export function planning(draft: PlanDraft): Planning {
  const common = readPlanCommon(draft)
  const claims = draft.claims.map((typed) => {
    const read = readPlan(typed, draft, common.lotSize)
    return read.asked && common.problems.length === 0
      ? planned(read, read.asked, draft.wanted, common)
      : { read }
  })
  const found = claims.map((one) => one.found)
  const kinds = new Set(found.map((one) => one && kindOf(one)))
  const isWhole = found.every((one) => one !== undefined) && kinds.size === 1
  return { common, claims, ...(isWhole ? { units: Math.max(...found.map(({ n }) => n)) } : {}) }
}

/** What is counted when units are: of a rate an exposure, of a ratio the readings of either source. */
const kindOf = ({ method }: Found) =>
  ['rate', 'variance-ratio'].find((one) =>
    methodOf(method).parameters.some((parameter) => parameter === one),
  ) ?? 'units'

function planned(read: PlanRead, asked: PlanAsked, wanted: PlanWanted, { units }: PlanCommonRead): Planned {
  const { claim } = asked
  const hypotheses = deriveHypotheses(claim, 'auto')
  try {
    if (!hypotheses.ok) {
      figuresOf(asked, { find: 'power', n: 2 })
      return { read }
    }
    if (wanted !== 'units' && units === undefined) return { read }
    const found = { claim, hypotheses: hypotheses.value, asked }
    if (wanted === 'gap') {
      const question = { find: 'difference', n: units, power: read.power } as const
      const { n, method, power, difference: gap } = figuresOf(asked, question)
      // Of two sides that are not alike, the one on which it is found sooner.
      const truths = truthsAt(claim, gap).filter((truth) => powerAt(asked, truth, n) > power - ROUNDING)
      return { read, found: { ...found, n, method, power, gap, truths, request: requestOf(asked, question) } }
    }
    const gap = read.gap!
    const truths = truthsAt(claim, gap)
    if (truths.length === 0) return { read, problem: NO_SUCH_GAP }
    const at = truths.map((truth) => {
      const question =
        wanted === 'units'
          ? ({ find: 'n', power: read.power } as const)
          : ({ find: 'power', n: units } as const)
      const own = assuming(asked, truth)
      return { figures: figuresOf(own, question), request: requestOf(own, question) }
    })
    // Where both sides are looked at and differ, the sample has to serve the harder one.
    const hardest = at.reduce((worst, one) =>
      (wanted === 'units' ? one.figures.n > worst.figures.n : one.figures.power < worst.figures.power)
        ? one
        : worst,
    )
    const { n, method, firstN } = hardest.figures
    const power = Math.min(...truths.map((truth) => powerAt(asked, truth, n)))
    return {
      read,
      found: {
        ...found,
        n,
        method,
        gap,
        power,
        truths,
        request: hardest.request,
        ...(firstN === undefined ? {} : { firstN }),
      },
    }
  } catch (error) {
    if (error instanceof Refused) return { read, problem: error.message }
    throw error
  }
}

/** A power that was sought is met but for this. */
const ROUNDING = 1e-6

type Question = Readonly<{ find: PlanRequest['find']; n?: number | undefined; power?: number | undefined }>

/** A figure of the plan that the core refuses. */
class Refused extends Error {}

const requestOf = (asked: PlanAsked, question: Question) => ({ plan: { ...asked, ...question } })

function figuresOf(asked: PlanAsked, question: Question): PlanFigures {
  const answer = plan(requestOf(asked, question))
  if (!answer.ok) throw new Refused(answer.error.message)
  return answer.plan
}

const powerAt = (asked: PlanAsked, truth: number, n: number): number =>
  figuresOf(assuming(asked, truth), { find: 'power', n }).power

/** The power of a sample of a size to find a gap, on the harder side; nothing where there is no such sample or no such gap. */
export function powerToFind({ asked }: Found, gap: number, n: number): number | undefined {
  const figures = planForGap(asked, gap, n)
  return figures?.ok ? figures.value.power : undefined
}

/** The gap that a sample of a size finds with a power; nothing where it finds none. */
export function gapFound({ asked }: Found, n: number, power: number): number | undefined {
  try {
    return figuresOf(asked, { find: 'difference', n, power }).difference
  } catch (error) {
    if (error instanceof Refused) return undefined
    throw error
  }
}

type Point = Readonly<{ x: number; y: number }>
/** Points of a curve; of counts no more whole numbers are drawn. */
const POINTS = 120

/** The power over the units taken: of counts at every number of them, where it goes up and down. */
export function curveOverUnits(found: Found, n: number): readonly Point[] {
  const { sizes, leastSize } = methodOf(found.method).planning!
  const isFractional = found.claim.parameter === 'rate'
  const first = Math.max(leastSize, isFractional ? 0.1 : 1)
  const { lotSize } = found.asked.assume
  const reach = Math.min(lotSize ?? Infinity, Math.max(2 * n, first + 20))
  const isEach = sizes !== undefined && !isFractional
  const from = isEach && reach - first > 2 * POINTS ? Math.max(first, n - POINTS) : first
  const to = isEach && reach - first > 2 * POINTS ? Math.min(reach, n + POINTS) : reach
  const step = isEach ? 1 : (to - from) / POINTS
  const xs = Array.from({ length: Math.floor((to - from) / step + 1e-9) + 1 }, (_, at) => from + at * step)
  const whole = isFractional ? xs : [...new Set(xs.map((x) => Math.round(x)))]
  return pointsAt(whole, (x) => powerToFind(found, found.gap, x))
}

/** The power over the gap. */
export function curveOverGap(found: Found, n: number): readonly Point[] {
  const reach = (2 * found.gap || 1) / POINTS
  return pointsAt(
    Array.from({ length: POINTS + 1 }, (_, at) => at * reach),
    (gap) => powerToFind(found, gap, n),
  )
}

const pointsAt = (xs: readonly number[], yOf: (x: number) => number | undefined): readonly Point[] =>
  xs.flatMap((x) => {
    const y = yOf(x)
    return y === undefined ? [] : [{ x, y }]
  })
