import { parameterOf } from './all'
import { censusFound, type CensusFound, censusOf } from './census'
import type { MadeProcedure, MethodDefinition } from './terms/definition'
import { findingOutcome, type FindingOutcome } from './finding'
import { deriveHypotheses, type Hypotheses, isRange, valuesOf } from './terms/hypotheses'
import { isAllFinite } from './terms/isAllFinite'
import type { Parameter } from './terms/names'
import { failure, type Outcome, success } from './terms/outcome'
import type { RequestProblem } from './terms/parseRequest'
import { type ClaimProblem, problems } from './terms/problems'
import { type Made, procedureOf } from './procedureOf'
import { readDocument } from './readEvidence'
import type { CheckRequest } from './terms/request'
import type { Sample } from './terms/sample'
import { sampleOf } from './sampleOf'
import { type Decided, decideOn } from './testFigures'

export type CheckProblem = ClaimProblem | RequestProblem | CensusFound

/** A check that can be made: its request read, its method made ready for the sample, and what that decides. */
export type Prepared = Readonly<{
  request: CheckRequest
  hypotheses: Hypotheses
  sample: Sample
  method: MethodDefinition
  procedure: MadeProcedure
  decided: Decided
  confidenceLevel: number
}>

/** Everything that can keep a check from being made is met here. */
export function prepareCheck(document: unknown): Outcome<Prepared, CheckProblem> {
  const request = readDocument(document)
  return request.ok ? prepareRequest(request.value) : request
}

/** The same of a request that was read. */
export function prepareRequest(request: CheckRequest): Outcome<Prepared, CheckProblem> {
  const { claim, test: options, evidence } = request
  const { parameter } = claim
  if (claim.exposureUnit !== undefined && parameterOf(parameter).sample !== 'events')
    return failure(problems.exposureUnitForOther(parameter))
  const hypotheses = deriveHypotheses(claim, options.alternative)
  if (!hypotheses.ok) return hypotheses
  const outside = valueOutside(parameter, hypotheses.value)
  if (outside) return failure(outside)
  const sample = sampleOf(evidence, claim)
  if (!sample.ok) return sample
  const made = procedureOf({
    parameter,
    hypotheses: hypotheses.value,
    sample: sample.value,
    options,
  })
  const census = censusOf(claim, sample.value)
  // What is wrong with the test that was asked for is told first; what the readings lack for a test does not matter.
  const isAsked = made.ok || !made.problem.path.startsWith('test')
  if (census && isAsked && !(made.ok && isUncertain(made.value))) return failure(censusFound(request, census))
  if (!made.ok) return made
  const confidenceLevel = confidenceLevelOf(options, hypotheses.value)
  if (confidenceLevel <= 0) return failure(problems.levelNeeded(options.significanceLevel))
  const decided = decideOn(made.value.procedure, hypotheses.value, options.significanceLevel)
  if (!isAllFinite(decided.statistics)) return failure(problems.figuresOutOfRange())
  return success({
    request,
    hypotheses: hypotheses.value,
    sample: sample.value,
    ...made.value,
    decided,
    confidenceLevel,
  })
}

/** What a lot measured whole leaves to test: what the instrument does to all of its readings. */
export const isUncertain = ({ procedure: { ofSample, standardError } }: Made) =>
  ofSample?.standardErrorOfReadings !== undefined && standardError !== 0

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
export function confidenceLevelOf(options: CheckRequest['test'], hypotheses: Hypotheses): number {
  const { significanceLevel, confidenceLevel } = options
  return (
    confidenceLevel ??
    1 - (hypotheses.alternativeSide === 'inside' ? 2 * significanceLevel : significanceLevel)
  )
}

export function outcomeOf({
  request,
  hypotheses,
  procedure,
  decided,
}: Pick<Prepared, 'request' | 'hypotheses' | 'procedure' | 'decided'>): FindingOutcome {
  const { claim } = request
  const difference = procedure.differenceFrom(claim.value)
  return findingOutcome({ relation: claim.relation, hypotheses, decision: decided.decision, difference })
}
