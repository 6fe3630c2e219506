import * as z from 'zod/mini'
import { methodOf, methodsFor, parameterOf } from '../all'
import { type Method, METHODS } from '../terms/names'
import type { PlanOfParameter } from '../terms/definition'
import { deriveHypotheses, type Hypotheses, isRange, valuesOf } from '../terms/hypotheses'
import { failure, type Outcome, success } from '../terms/outcome'
import { type ClaimProblem, problems } from '../terms/problems'
import { claimSchema, testSchema } from '../terms/request'
import { differenceFor, MAX_PLANNED_UNITS, type Plan, type Planned, powerOf, sizeFor, truthOf } from './plan'

export const FINDABLE = ['power', 'n', 'difference'] as const

/** A claim, how it is to be tested, what is assumed to be true, and what is to be found. */
export const planRequestSchema = z.strictObject({
  id: z.optional(z.string()),
  plan: z.strictObject({
    claim: claimSchema,
    test: z.prefault(testSchema, {}),
    assume: z.prefault(
      z.strictObject({
        value: z.optional(z.number()),
        standardDeviation: z.optional(z.number().check(z.positive())),
        lotSize: z.optional(z.int().check(z.positive(), z.maximum(MAX_PLANNED_UNITS))),
      }),
      {},
    ),
    find: z.enum(FINDABLE),
    n: z.optional(z.number().check(z.positive(), z.maximum(MAX_PLANNED_UNITS))),
    power: z.optional(z.number().check(z.gt(0), z.lt(1))),
  }),
})

export type PlanRequest = z.output<typeof planRequestSchema>['plan']
export type PlanFigures = Planned & Readonly<{ method: Method }>
type Planning<T> = Outcome<T, ClaimProblem>

/** The methods that samples are planned for. */
export const PLANNED_METHODS: readonly Method[] = METHODS.filter((name) => methodOf(name).planning)

/** Of power, sample size and difference, the one that is asked for. */
export function planFigures(request: PlanRequest): Planning<PlanFigures> {
  const hypotheses = deriveHypotheses(request.claim, request.test.alternative)
  if (!hypotheses.ok) return hypotheses
  const method = methodFor(request)
  if (!method.ok) return method
  if (request.n !== undefined && !planning(request).isFractional && !Number.isInteger(request.n))
    return failure(problems.planNotWhole(request.n))
  const plan = planOf(request, hypotheses.value, method.value)
  if (!plan.ok) return plan
  const { lotSize } = request.assume
  if (request.n !== undefined && lotSize !== undefined && request.n > lotSize)
    return failure(problems.planBeyondLot(request.n, lotSize))
  return find(request, plan.value)
}

function find(request: PlanRequest, plan: Plan): Planning<PlanFigures> {
  const { n, power } = request
  const stated = request.assume[planning(request).truth]
  const truth = stated === undefined ? undefined : truthOf(plan, stated)
  const { leastSize } = plan.planning
  switch (request.find) {
    case 'power': {
      if (n === undefined) return failure(problems.planNeeds('n', 'power'))
      if (truth === undefined) return failure(truthNeeded(request))
      if (n < leastSize) return failure(problems.planTooSmall(n, leastSize))
      const difference = Math.abs(truth - plan.hypotheses.null.value)
      return by(plan, success({ n, power: powerOf(plan, n, truth), difference }))
    }
    case 'n': {
      if (power === undefined) return failure(problems.planNeeds('power', 'n'))
      if (truth === undefined) return failure(truthNeeded(request))
      return by(plan, sizeFor(plan, truth, power))
    }
    case 'difference':
      if (n === undefined) return failure(problems.planNeeds('n', 'difference'))
      if (power === undefined) return failure(problems.planNeeds('power', 'difference'))
      if (n < leastSize) return failure(problems.planTooSmall(n, leastSize))
      return by(plan, differenceFor(plan, n, power))
    default:
      return request.find satisfies never
  }
}

const by = ({ method }: Plan, planned: Planning<Planned>): Planning<PlanFigures> =>
  planned.ok ? success({ ...planned.value, method }) : planned

const planning = ({ claim }: PlanRequest): PlanOfParameter => parameterOf(claim.parameter).plan

/** The method stated, or the usual one. */
function methodFor({ claim, test, assume }: PlanRequest): Planning<Method> {
  const stated = PLANNED_METHODS.find((method) => method === test.method)
  if (test.method !== 'auto' && !stated) return failure(problems.planMethod(test.method, PLANNED_METHODS))
  const definition = parameterOf(claim.parameter)
  const { lotSize } = assume
  // Any part of a lot is told exactly by the method of lots, whose size is still to be found.
  const method = stated ?? definition.usualMethod({ ...test, lotSize, sampleSize: lotSize })
  const allowed = methodsFor(claim.parameter).filter((one) => PLANNED_METHODS.includes(one))
  return allowed.includes(method) ? success(method) : failure(problems.planMethod(method, allowed))
}

function planOf(request: PlanRequest, hypotheses: Hypotheses, method: Method): Planning<Plan> {
  const { claim, test, assume } = request
  const { significanceLevel } = test
  const own = planning(request)
  const planned = methodOf(method).planning!
  const isInside = hypotheses.alternativeSide === 'inside'
  if (isRange(hypotheses) && !planned.plansRange) return failure(problems.planRange())
  if (isInside && !own.plansTolerance) return failure(problems.planRange())
  if (isInside && significanceLevel >= 0.5) return failure(problems.levelNeeded(significanceLevel))
  const { min, max } = parameterOf(claim.parameter).domain
  const isOutside = (value: number) => !(value > min && value < max)
  const outside = valuesOf(hypotheses).find(isOutside)
  if (outside !== undefined) return failure(valueOutside(request, outside, 'plan.claim.value'))
  // A lot can be wholly of one kind.
  const isEnd = planned.seek === 'units-of-lot' && (assume.value === min || assume.value === max)
  if (own.truth === 'value' && assume.value !== undefined && isOutside(assume.value) && !isEnd)
    return failure(valueOutside(request, assume.value, 'plan.assume.value'))
  const standardDeviation = planned.isSpreadKnown
    ? (test.knownStandardDeviation ?? assume.standardDeviation)
    : assume.standardDeviation
  if (own.needsSpread && standardDeviation === undefined)
    return failure(problems.planNeeds('assume.standardDeviation', request.find))
  if (planned.seek === 'units-of-lot' && assume.lotSize === undefined)
    return failure(problems.planNeeds('assume.lotSize', request.find))
  return success({
    method,
    planning: planned,
    hypotheses: mapped(hypotheses, own.toPlanned),
    significanceLevel,
    standardDeviation: standardDeviation ?? 1,
    lotSize: assume.lotSize ?? 0,
  })
}

function valueOutside({ claim: { parameter } }: PlanRequest, seen: number, path: string): ClaimProblem {
  const { max, codeAbove } = parameterOf(parameter).domain
  return problems.valueOutside(parameter, seen, path, seen > max ? codeAbove : undefined)
}

function truthNeeded(request: PlanRequest) {
  return problems.planNeeds(`assume.${planning(request).truth}`, request.find)
}

/** The hypotheses on the scale that the parameter is planned on. */
function mapped(hypotheses: Hypotheses, change: (value: number) => number): Hypotheses {
  if (isRange(hypotheses)) {
    const range = <T extends Readonly<{ value: number; lower: number; upper: number }>>(one: T): T => ({
      ...one,
      value: change(one.value),
      lower: change(one.lower),
      upper: change(one.upper),
    })
    return { ...hypotheses, null: range(hypotheses.null), alternative: range(hypotheses.alternative) }
  }
  const point = <T extends Readonly<{ value: number }>>(one: T): T => ({ ...one, value: change(one.value) })
  return { ...hypotheses, null: point(hypotheses.null), alternative: point(hypotheses.alternative) }
}
