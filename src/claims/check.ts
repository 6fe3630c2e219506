import type { Method, Parameter } from './terms/names'
import { parameterOf } from './all'
import { itemFigures } from './share/itemFigures'
import { type Beside, besideOf, isOfShape, type SecondLevel, secondLevelOf } from './beside'
import type { Decision } from './decision'
import { conditionsFor } from './conditions/conditions'
import type { FindingOutcome } from './finding'
import { intervalFigures } from './intervalFigures'
import { type CheckProblem, outcomeOf, type Prepared, prepareCheck, prepareRequest } from './prepareCheck'
import type { ComputedFigures } from './result'
import { type Condition } from './terms/condition'
import type { EffectSizeFigures } from './terms/definition'
import { type Hypotheses, valuesOf } from './terms/hypotheses'
import { isAllFinite } from './terms/isAllFinite'
import { failure, type Outcome, success } from './terms/outcome'
import { problems } from './terms/problems'
import type { CheckRequest, Evidence } from './terms/request'
import { sampleFigures } from './terms/sampleFigures'
import { CORE_VERSION } from './terms/version'
import type { ClaimWarning } from './terms/warnings'
import { testFigures } from './testFigures'
import { warningsFor } from './warningsFor'

/** What a check comes to before it is put into words: figures, and codes with figures. */
export type ComputedCheck = ComputedFigures &
  Readonly<{
    coreVersion: string
    kind: Parameter
    hypotheses: Hypotheses
    conditions: readonly Condition[]
    second?: SecondLevel
    beside?: Beside
    outcome: FindingOutcome
    warnings: readonly ClaimWarning[]
  }>

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
 * @returns the outcome that a check would give, that of a lot measured whole too; undefined where it would give an error
 */
export function checkOutcome(document: unknown): FindingOutcome | undefined {
  const prepared = prepareCheck(document)
  if (prepared.ok) return isAllFinite(figuresOf(prepared.value)) ? outcomeOf(prepared.value) : undefined
  return prepared.problem.name === 'census' ? prepared.problem.figures.census.outcome : undefined
}

/**
 * The figures and the outcome of a check, without the conditions and the words: for one claim held against many groups.
 *
 * @returns the first thing wrong, as a check would name it; a lot that was measured whole is one of these
 */
export function checkFigures(
  document: unknown,
): Outcome<ComputedFigures & Readonly<{ outcome: FindingOutcome }>, CheckProblem> {
  const prepared = prepareCheck(document)
  if (!prepared.ok) return prepared
  const figures = figuresOf(prepared.value)
  if (!isAllFinite(figures)) return failure(problems.figuresOutOfRange())
  return success({ ...figures, outcome: outcomeOf(prepared.value) })
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

/**
 * What a request that was read decides with other evidence in its place, of which every figure has to be finite.
 *
 * @returns with the outcome the side of the claimed value on which the estimate lies
 */
export function decisionOn(
  request: CheckRequest,
  evidence: Evidence,
): Readonly<{ outcome: FindingOutcome; decision: Decision; side: number }> | undefined {
  const prepared = prepareRequest({ ...request, evidence })
  if (!prepared.ok) return undefined
  const { procedure, decided } = prepared.value
  return {
    outcome: outcomeOf(prepared.value),
    decision: decided.decision,
    side: Math.sign(procedure.differenceFrom(request.claim.value)),
  }
}

/** The method by which a check is made; undefined where it can't be made. */
export function checkMethod(document: unknown): Method | undefined {
  const prepared = prepareCheck(document)
  return prepared.ok ? prepared.value.method.name : undefined
}

function compute(prepared: Prepared): ComputedCheck {
  const { request, hypotheses, sample, method, confidenceLevel } = prepared
  const figures = figuresOf(prepared)
  const conditions = conditionsFor({
    sample,
    method: { ...method, allowsForLot: method.allowsForLot?.({ sample, options: request.test }) ?? false },
    claimedValues: valuesOf(hypotheses),
    tested: { side: hypotheses.alternativeSide, significanceLevel: request.test.significanceLevel },
  })
  const second = secondLevelOf(prepared)
  const beside = conditions.some(isOfShape) ? besideOf(prepared) : undefined
  return {
    coreVersion: CORE_VERSION,
    kind: request.claim.parameter,
    hypotheses,
    ...figures,
    conditions,
    ...(second ? { second } : {}),
    ...(beside ? { beside } : {}),
    outcome: outcomeOf(prepared),
    warnings: warningsFor({ request, hypotheses, sample, figures, confidenceLevel }),
  }
}

/** Everything that is computed but the conditions, which take longer than all the rest where readings are many. */
function figuresOf(prepared: Prepared): ComputedFigures {
  const { request, hypotheses, sample, method, procedure, decided, confidenceLevel } = prepared
  const { parameter, value } = request.claim
  const { significanceLevel } = request.test
  const interval = intervalFigures({ request, procedure, confidenceLevel })
  const effectSize = effectSizeOf(prepared)
  return {
    sample: sampleFigures(sample, procedure),
    test: testFigures({ method: method.name, procedure, hypotheses, decided, significanceLevel }),
    estimate: { parameter, value: procedure.estimate, difference: procedure.differenceFrom(value) },
    ...(interval ? { interval } : {}),
    ...(effectSize ? { effectSize } : {}),
    ...itemFigures({ claim: request.claim, sample, confidenceLevel }),
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
