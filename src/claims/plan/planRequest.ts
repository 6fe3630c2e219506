import { z } from 'zod'
import { type Claim } from '../claim'
import { deriveHypotheses, type Hypotheses, isRange, valuesOf } from '../hypotheses'
import { EXPECTED_COUNT, leastExpectedCount } from '../conditions/conditions'
import { failure, type Outcome, success } from '../outcome'
import {
  differenceFor,
  leastSize,
  MOST_PLANNED_UNITS,
  type Plan,
  type Planned,
  PLANNED_METHODS,
  type PlannedMethod,
  powerOf,
  sizeFor,
} from './plan'
import { problems } from '@/words/en/problems'
import { type Answered, answered } from '@/answers/answered'
import { claimSchema, testSchema } from '../request'

export const FINDABLE = ['power', 'n', 'difference'] as const

/** A claim, how it is to be tested, what is assumed to be true, and what is to be found. */
export const planRequestSchema = z.strictObject({
  id: z.string().optional(),
  plan: z.strictObject({
    claim: claimSchema,
    test: testSchema.prefault({}),
    assume: z
      .strictObject({ value: z.number().optional(), standardDeviation: z.number().positive().optional() })
      .prefault({}),
    find: z.enum(FINDABLE),
    n: z.int().positive().max(MOST_PLANNED_UNITS).optional(),
    power: z.number().gt(0).lt(1).optional(),
  }),
})

type PlanRequest = z.output<typeof planRequestSchema>['plan']
export type PlanFigures = Planned & Readonly<{ method: PlannedMethod }>
export type PlanAnswer = Answered<'plan', PlanFigures>

/** Answers one plan: of power, sample size and difference, the one that is asked for. */
export function plan(document: unknown): PlanAnswer {
  return answered({
    document,
    schema: planRequestSchema,
    key: 'plan',
    figuresOf: (request) => figuresOf(request.plan),
  })
}

function figuresOf(request: PlanRequest): Outcome<PlanFigures> {
  const hypotheses = deriveHypotheses(request.claim, request.test.alternative)
  if (!hypotheses.ok) return hypotheses
  const method = methodOf(request, hypotheses.value)
  if (!method.ok) return method
  const plan = planOf(request, hypotheses.value, method.value)
  if (!plan.ok) return plan
  const planned = find(request, plan.value)
  return planned.ok ? success({ ...planned.value, method: plan.value.method }) : planned
}

function find(request: PlanRequest, plan: Plan): Outcome<Planned> {
  const { n, power } = request
  const truth = truthOf(request)
  switch (request.find) {
    case 'power': {
      if (n === undefined) return failure(problems.planNeeds('n', 'power'))
      if (truth === undefined) return failure(truthNeeded(request))
      const least = leastSize(plan)
      if (n < least) return failure(problems.planTooSmall(n, least))
      return success({
        n,
        power: powerOf(plan, n, truth),
        difference: Math.abs(truth - plan.hypotheses.null.value),
      })
    }
    case 'n':
      if (power === undefined) return failure(problems.planNeeds('power', 'n'))
      if (truth === undefined) return failure(truthNeeded(request))
      return sizeFor(withFittingMethod(request, plan, truth, power), truth, power)
    case 'difference': {
      if (n === undefined) return failure(problems.planNeeds('n', 'difference'))
      if (power === undefined) return failure(problems.planNeeds('power', 'difference'))
      if (n < leastSize(plan)) return failure(problems.planTooSmall(n, leastSize(plan)))
      return differenceFor(plan, n, power)
    }
    default:
      return request.find satisfies never
  }
}

/** Chosen for a share by the expected counts where n is known; else see `withFittingMethod`. */
function methodOf({ claim, test, n }: PlanRequest, hypotheses: Hypotheses): Outcome<PlannedMethod> {
  const stated = PLANNED_METHODS.find((method) => method === test.method)
  if (test.method !== 'auto' && !stated) return failure(problems.planMethod(test.method, PLANNED_METHODS))
  switch (claim.parameter) {
    case 'mean':
      return fitting(stated ?? (test.knownStandardDeviation === undefined ? 't' : 'z'), ['t', 'z'])
    case 'standard-deviation':
    case 'variance':
      return fitting(stated ?? 'chi-square', ['chi-square'])
    case 'proportion': {
      const isLarge = n === undefined || leastExpectedCount(n, valuesOf(hypotheses)) >= EXPECTED_COUNT
      return fitting(stated ?? (isLarge ? 'score-z' : 'exact-binomial'), ['score-z', 'exact-binomial'])
    }
    case 'variance-ratio':
    case 'median':
      return failure(problems.planParameter(claim.parameter))
    default:
      return claim.parameter satisfies never
  }
}

function fitting(method: PlannedMethod, allowed: readonly PlannedMethod[]): Outcome<PlannedMethod> {
  return allowed.includes(method) ? success(method) : failure(problems.planMethod(method, allowed))
}

/** The score test where its own sample size expects counts enough, else the exact test. */
function withFittingMethod({ claim, test }: PlanRequest, plan: Plan, truth: number, power: number): Plan {
  if (claim.parameter !== 'proportion' || test.method !== 'auto') return plan
  const sized = sizeFor({ ...plan, method: 'score-z' }, truth, power)
  const isLarge = sized.ok && leastExpectedCount(sized.value.n, valuesOf(plan.hypotheses)) >= EXPECTED_COUNT
  return { ...plan, method: isLarge ? 'score-z' : 'exact-binomial' }
}

function planOf(request: PlanRequest, hypotheses: Hypotheses, method: PlannedMethod): Outcome<Plan> {
  const { claim, test, assume } = request
  const { significanceLevel } = test
  if (isRange(hypotheses) && method === 'exact-binomial') return failure(problems.planRange())
  if (hypotheses.alternativeSide === 'inside' && claim.parameter !== 'mean')
    return failure(problems.planRange())
  if (hypotheses.alternativeSide === 'inside' && significanceLevel >= 0.5) {
    return failure(problems.levelNeeded(significanceLevel))
  }
  const isShare = claim.parameter === 'proportion'
  const isAllowed = (value: number) =>
    isShare ? value > 0 && value < 1 : claim.parameter === 'mean' || value > 0
  const outside = valuesOf(hypotheses).find((value) => !isAllowed(value))
  if (outside !== undefined)
    return failure(problems.valueOutside(claim.parameter, outside, 'plan.claim.value'))
  if (isShare && assume.value !== undefined && !isAllowed(assume.value)) {
    return failure(problems.valueOutside('proportion', assume.value, 'plan.assume.value'))
  }
  const standardDeviation =
    method === 'z' ? (test.knownStandardDeviation ?? assume.standardDeviation) : assume.standardDeviation
  if (claim.parameter === 'mean' && standardDeviation === undefined) {
    return failure(problems.planNeeds('assume.standardDeviation', request.find))
  }
  return success({
    method,
    hypotheses: claim.parameter === 'variance' ? asStandardDeviations(hypotheses) : hypotheses,
    significanceLevel,
    standardDeviation: standardDeviation ?? 1,
  })
}

function truthOf({ claim, assume }: PlanRequest): number | undefined {
  return isSpread(claim) ? assume.standardDeviation : assume.value
}

function truthNeeded({ claim, find }: PlanRequest) {
  return problems.planNeeds(isSpread(claim) ? 'assume.standardDeviation' : 'assume.value', find)
}

function isSpread({ parameter }: Pick<Claim, 'parameter'>): boolean {
  return parameter === 'standard-deviation' || parameter === 'variance'
}

function asStandardDeviations(hypotheses: Hypotheses): Hypotheses {
  if (isRange(hypotheses)) {
    const range = <T extends Readonly<{ value: number; lower: number; upper: number }>>(
      hypothesis: T,
    ): T => ({
      ...hypothesis,
      value: Math.sqrt(hypothesis.value),
      lower: Math.sqrt(hypothesis.lower),
      upper: Math.sqrt(hypothesis.upper),
    })
    return { ...hypotheses, null: range(hypotheses.null), alternative: range(hypotheses.alternative) }
  }
  const point = <T extends Readonly<{ value: number }>>(hypothesis: T): T => ({
    ...hypothesis,
    value: Math.sqrt(hypothesis.value),
  })
  return { ...hypotheses, null: point(hypotheses.null), alternative: point(hypotheses.alternative) }
}
