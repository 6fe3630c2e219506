import type { Procedure } from '@/statistics/inference/procedure'
import { withFiniteLog } from '@/statistics/inference/tailProbability'
import { methodOf, parameterOf } from './all'
import type { Method, Parameter } from './terms/names'
import { type Condition } from './terms/condition'
import { conditionsFor } from './conditions/conditions'
import type { EffectSizeFigures, MethodDefinition } from './terms/definition'
import { findingOutcome, type FindingOutcome } from './finding'
import { deriveHypotheses, type Hypotheses, isRange, valuesOf } from './terms/hypotheses'
import { intervalFigures } from './intervalFigures'
import { isAllFinite } from './terms/isAllFinite'
import { failure, type Outcome, success } from './terms/outcome'
import { parseRequest, type RequestProblem } from './terms/parseRequest'
import { type ClaimProblem, problems } from './terms/problems'
import { procedureOf } from './procedureOf'
import { type CheckRequest, checkRequestSchema } from './terms/request'
import type { ComputedFigures, Probability } from './result'
import { type Sample, unitsTaken } from './terms/sample'
import { sampleFigures } from './terms/sampleFigures'
import { sampleOf } from './sampleOf'
import { type Decided, decideOn, testFigures } from './testFigures'
import { CORE_VERSION } from './terms/version'
import type { ClaimWarning } from './terms/warnings'
import { warningsFor } from './warningsFor'

/** What a check comes to before it is put into words: figures, and codes with figures. */
export type ComputedCheck = ComputedFigures &
  Readonly<{
    coreVersion: string
    kind: Parameter
    hypotheses: Hypotheses
    conditions: readonly Condition[]
    beside?: Beside
    outcome: FindingOutcome
    warnings: readonly ClaimWarning[]
  }>

/** What a robust test comes to. */
export type Beside = Probability & Readonly<{ method: Method; outcome: FindingOutcome }>

export type CheckProblem = ClaimProblem | RequestProblem

/**
 * Computes one check document: whether the sample supports or contradicts the claim, with every figure behind it.
 *
 * @param document - a check document, of any shape
 * @returns the request as it was read and what it comes to, or the first thing wrong; never a NaN or an infinity
 */
export function computeCheck(
  document: unknown,
): Outcome<Readonly<{ request: CheckRequest; computed: ComputedCheck }>, CheckProblem> {
  const prepared = prepareCheck(document)
  if (!prepared.ok) return prepared
  const computed = compute(prepared.value)
  if (!isAllFinite(computed)) return failure(problems.figuresOutOfRange())
  return success({ request: prepared.value.request, computed })
}

/**
 * Only the outcome of a check document, without the conditions and the words.
 *
 * @returns the outcome that a check would give; undefined where it would give an error
 */
export function checkOutcome(document: unknown): FindingOutcome | undefined {
  const prepared = prepareCheck(document)
  return prepared.ok && isAllFinite(figuresOf(prepared.value)) ? outcomeOf(prepared.value) : undefined
}

/**
 * What a check decides, without the figures beside it: for asking the same of many changed documents.
 *
 * @returns the outcome; undefined where the check can't be made
 */
export function checkDecision(document: unknown): FindingOutcome | undefined {
  const prepared = prepareCheck(document)
  return prepared.ok ? outcomeOf(prepared.value) : undefined
}

type Prepared = Readonly<{
  request: CheckRequest
  hypotheses: Hypotheses
  sample: Sample
  method: MethodDefinition
  procedure: Procedure
  decided: Decided
  confidenceLevel: number
}>

/** Everything that can keep a check from being made is met here. */
function prepareCheck(document: unknown): Outcome<Prepared, CheckProblem> {
  const request = parseRequest(checkRequestSchema, document)
  if (!request.ok) return request
  const { claim, test: options, evidence } = request.value
  const { parameter } = claim
  const hypotheses = deriveHypotheses(claim, options.alternative)
  if (!hypotheses.ok) return hypotheses
  const outside = valueOutside(parameter, hypotheses.value)
  if (outside) return failure(outside)
  const sample = sampleOf(evidence)
  if (!sample.ok) return sample
  const made = procedureOf({
    parameter,
    hypotheses: hypotheses.value,
    sample: sample.value,
    options,
  })
  if (!made.ok) return made
  const census = lotFigure(sample.value, parameter, made.value.procedure.estimate)
  if (census) return failure(problems.census(census.lotSize, claim, census.figure))
  const confidenceLevel = confidenceLevelOf(options, hypotheses.value)
  if (confidenceLevel <= 0) return failure(problems.levelNeeded(options.significanceLevel))
  const decided = decideOn(made.value.procedure, hypotheses.value, options.significanceLevel)
  if (!isAllFinite(decided.statistics)) return failure(problems.figuresOutOfRange())
  return success({
    request: request.value,
    hypotheses: hypotheses.value,
    sample: sample.value,
    ...made.value,
    decided,
    confidenceLevel,
  })
}

/** Of a lot that was measured whole, with nothing set aside, its own figure: its spread is about its own mean, over all its units. */
function lotFigure(sample: Sample, parameter: Parameter, estimate: number) {
  if (sample.kind === 'two') return undefined
  const { lotSize } = sample
  const n = sample.kind === 'counted' ? sample.counted.sampleSize : sample.measured.sampleSize
  if (lotSize === undefined || n < lotSize) return undefined
  const share = (n - 1) / n
  const times = { variance: share, 'standard-deviation': Math.sqrt(share) }
  return { lotSize, figure: estimate * (parameter in times ? times[parameter as keyof typeof times] : 1) }
}

function compute(prepared: Prepared): ComputedCheck {
  const { request, hypotheses, sample, method, confidenceLevel } = prepared
  const figures = figuresOf(prepared)
  const conditions = conditionsFor({
    sample,
    method,
    claimedValues: valuesOf(hypotheses),
    tested: { side: hypotheses.alternativeSide, significanceLevel: request.test.significanceLevel },
  })
  const beside = conditions.some(isOfShape) ? besideOf(prepared) : undefined
  return {
    coreVersion: CORE_VERSION,
    kind: request.claim.parameter,
    hypotheses,
    ...figures,
    conditions,
    ...(beside ? { beside } : {}),
    outcome: outcomeOf(prepared),
    warnings: warningsFor({ request, hypotheses, sample, figures, confidenceLevel }),
  }
}

/** Whether a condition is one that is not met, and that a robust method does not rest on. */
export const isOfShape = ({ name, state }: Pick<Condition, 'name' | 'state'>): boolean =>
  state === 'not-met' && (name === 'normality' || name === 'symmetry' || name === 'expected-counts')

/** More draws than these would keep a page from following a keystroke; the cross-examination makes them. */
const MAX_DRAWS_BESIDE = 5e6

/** The robust method in the place of the one used, where it can be made at once. */
function besideOf(prepared: Prepared): Beside | undefined {
  const { request, hypotheses, sample, method } = prepared
  if (!method.robust) return undefined
  const options = { ...request.test, method: method.robust }
  const { work } = methodOf(method.robust)
  if (work.isResampled && unitsTaken(sample) * options.resamples > MAX_DRAWS_BESIDE) return undefined
  const made = procedureOf({ parameter: request.claim.parameter, hypotheses, sample, options })
  if (!made.ok) return undefined
  const decided = decideOn(made.value.procedure, hypotheses, options.significanceLevel)
  const outcome = outcomeOf({ ...prepared, ...made.value, decided })
  return { method: method.robust, outcome, ...withFiniteLog(decided.test) }
}

function outcomeOf({
  request,
  hypotheses,
  procedure,
  decided,
}: Pick<Prepared, 'request' | 'hypotheses' | 'procedure' | 'decided'>): FindingOutcome {
  const { claim } = request
  const difference = procedure.differenceFrom(claim.value)
  return findingOutcome({ relation: claim.relation, hypotheses, decision: decided.decision, difference })
}

/** Everything that is computed but the conditions, which take longer than all the rest where readings are many. */
function figuresOf(prepared: Prepared): ComputedFigures {
  const { request, hypotheses, sample, method, procedure, decided, confidenceLevel } = prepared
  const { parameter, value } = request.claim
  const { significanceLevel } = request.test
  const interval = intervalFigures({ request, procedure, confidenceLevel })
  const effectSize = effectSizeOf(prepared)
  return {
    sample: sampleFigures(sample, procedure.standardError),
    test: testFigures({ method: method.name, procedure, hypotheses, decided, significanceLevel }),
    estimate: { parameter, value: procedure.estimate, difference: procedure.differenceFrom(value) },
    ...(interval ? { interval } : {}),
    ...(effectSize ? { effectSize } : {}),
  }
}

function effectSizeOf({
  request,
  procedure,
  sample,
  confidenceLevel,
}: Prepared): EffectSizeFigures | undefined {
  const { parameter, value } = request.claim
  return parameterOf(parameter).effectSize?.of({ value, procedure, sample, confidenceLevel })
}

function valueOutside(parameter: Parameter, hypotheses: Hypotheses): ClaimProblem | undefined {
  const { min, max, ends, codeAbove } = parameterOf(parameter).domain
  const isAllowed = (value: number) =>
    ends === 'in' ? value >= min && value <= max : value > min && value < max
  const seen = valuesOf(hypotheses).find((value) => !isAllowed(value))
  if (seen === undefined) return undefined
  const path = isRange(hypotheses) ? 'claim.tolerance' : 'claim.value'
  return problems.valueOutside(parameter, seen, path, seen > max ? codeAbove : undefined)
}

/** Two tests at α each decide whether a value lies inside a tolerance, so the interval that mirrors them leaves out 2α. */
function confidenceLevelOf(options: CheckRequest['test'], hypotheses: Hypotheses): number {
  const { significanceLevel, confidenceLevel } = options
  return (
    confidenceLevel ??
    1 - (hypotheses.alternativeSide === 'inside' ? 2 * significanceLevel : significanceLevel)
  )
}
