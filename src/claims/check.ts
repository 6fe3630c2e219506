import { findingOutcome, type FindingOutcome } from './finding'
import { deriveHypotheses, type Hypotheses, isRange, valuesOf } from './hypotheses'
import { conditionsFor } from './conditions/conditions'
import { effectSizeOf } from './effectSize'
import type { Procedure } from '@/statistics/inference/procedure'
import type { Sample } from './sample'
import { failure, type Outcome, success } from './outcome'
import { CORE_VERSION } from './version'
import { findingLimits, findingSentence } from '@/words/en/findingWords'
import { problems } from '@/words/en/problems'
import { checkWarnings } from '@/words/en/warnings'
import { workingSteps } from '@/words/en/working/working'
import { idOf } from '@/answers/idOf'
import { intervalFigures } from './intervalFigures'
import { isAllFinite } from './isAllFinite'
import { parseRequest } from '@/answers/parseRequest'
import { procedureOf } from './procedureOf'
import { type CheckRequest, checkRequestSchema } from './request'
import type { CheckAnswer, CheckResult } from './result'
import { sampleFigures } from './sampleFigures'
import { sampleOf } from './sampleOf'
import { type Decided, decideOn, testFigures } from './testFigures'

/**
 * Answers one check document: whether the sample supports or contradicts the claim, with every figure behind it.
 *
 * @param document - a check document, of any shape
 * @returns the result, or an error that names the first thing wrong; never a NaN or an infinity
 */
export function check(document: unknown): CheckAnswer {
  const id = idOf(document)
  const request = parseRequest(checkRequestSchema, document)
  const answer = request.ok ? answerTo(request.value) : request
  if (!answer.ok) return { ...id, ok: false, error: answer.problem }
  return { ...id, ...answer.value }
}

/** Everything that a check document's figures are made of, or what keeps them from being made. */
export function prepareCheck(document: unknown): Outcome<Prepared> {
  const request = parseRequest(checkRequestSchema, document)
  return request.ok ? prepare(request.value) : request
}

/**
 * Only the outcome of a check document, without the conditions and the words.
 *
 * @returns the outcome that `check` would give; undefined where it would give an error
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

export type Prepared = Readonly<{
  request: CheckRequest
  hypotheses: Hypotheses
  sample: Sample
  procedure: Procedure
  decided: Decided
  confidenceLevel: number
}>

function answerTo(request: CheckRequest): Outcome<CheckResult> {
  const prepared = prepare(request)
  if (!prepared.ok) return prepared
  const result = compute(prepared.value)
  return isAllFinite(result) ? success(result) : failure(problems.figuresOutOfRange())
}

/** Everything that can keep a check from being made is met here. */
function prepare(request: CheckRequest): Outcome<Prepared> {
  const { claim, test: options } = request
  const hypotheses = deriveHypotheses(claim, options.alternative)
  if (!hypotheses.ok) return hypotheses
  const outside = valueOutside(claim.parameter, hypotheses.value)
  if (outside) return failure(outside)
  const sample = sampleOf(request.evidence)
  if (!sample.ok) return sample
  const question = { parameter: claim.parameter, hypotheses: hypotheses.value, sample: sample.value, options }
  const procedure = procedureOf(question)
  if (!procedure.ok) return procedure
  const confidenceLevel = confidenceLevelOf(options, hypotheses.value)
  if (confidenceLevel <= 0) return failure(problems.levelNeeded(options.significanceLevel))
  const decided = decideOn(procedure.value, hypotheses.value, options.significanceLevel)
  if (!isAllFinite(decided.statistics)) return failure(problems.figuresOutOfRange())
  return success({
    request,
    hypotheses: hypotheses.value,
    sample: sample.value,
    procedure: procedure.value,
    decided,
    confidenceLevel,
  })
}

function compute(prepared: Prepared): CheckResult {
  const { request, hypotheses, sample, procedure, decided, confidenceLevel } = prepared
  const { claim } = request
  const { significanceLevel } = request.test
  const outcome = outcomeOf(prepared)
  const figures = {
    ...figuresOf(prepared),
    conditions: conditionsFor({ sample, method: procedure.method, claimedValues: valuesOf(hypotheses) }),
  }
  return {
    ok: true,
    coreVersion: CORE_VERSION,
    hypotheses,
    ...figures,
    finding: {
      outcome,
      sentence: findingSentence({ outcome, claim, significanceLevel, ...figures }),
      limits: findingLimits(outcome, significanceLevel),
    },
    working: workingSteps({ ...figures, sample, procedure, hypotheses, decided }),
    warnings: checkWarnings({ request, hypotheses, sample, figures, confidenceLevel }),
  }
}

function outcomeOf({ request, hypotheses, procedure, decided }: Prepared): FindingOutcome {
  const { claim } = request
  const difference = procedure.differenceFrom(claim.value)
  return findingOutcome({ relation: claim.relation, hypotheses, decision: decided.decision, difference })
}

/** Everything that is computed but the conditions, which take longer than all the rest where readings are many. */
function figuresOf({ request, hypotheses, sample, procedure, decided, confidenceLevel }: Prepared) {
  const { claim } = request
  const { significanceLevel } = request.test
  const { estimate } = procedure
  const interval = intervalFigures({ request, procedure, confidenceLevel })
  const effectSize = effectSizeOf({
    parameter: claim.parameter,
    value: claim.value,
    procedure,
    sample,
    confidenceLevel,
  })
  return {
    sample: sampleFigures(sample, procedure),
    test: testFigures({ procedure, hypotheses, decided, significanceLevel }),
    estimate: {
      parameter: claim.parameter,
      value: estimate,
      difference: procedure.differenceFrom(claim.value),
    },
    ...(interval ? { interval } : {}),
    ...(effectSize ? { effectSize } : {}),
  }
}

function valueOutside(parameter: CheckRequest['claim']['parameter'], hypotheses: Hypotheses) {
  if (parameter === 'mean' || parameter === 'median') return undefined
  const isAllowed = (value: number) => (parameter === 'proportion' ? value >= 0 && value <= 1 : value > 0)
  const seen = valuesOf(hypotheses).find((value) => !isAllowed(value))
  if (seen === undefined) return undefined
  return problems.valueOutside(parameter, seen, isRange(hypotheses) ? 'claim.tolerance' : 'claim.value')
}

/** Two tests at α each decide whether a value lies inside a tolerance, so the interval that mirrors them leaves out 2α. */
function confidenceLevelOf(options: CheckRequest['test'], hypotheses: Hypotheses): number {
  const { significanceLevel, confidenceLevel } = options
  return (
    confidenceLevel ??
    1 - (hypotheses.alternativeSide === 'inside' ? 2 * significanceLevel : significanceLevel)
  )
}
