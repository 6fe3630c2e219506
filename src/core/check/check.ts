import { deriveHypotheses, type Hypotheses, isRange } from '../claim/hypotheses'
import { findingOutcome } from '../claim/finding'
import { meanConditions } from '../conditions/meanConditions'
import { decide, waysToDecide } from '../inference/decision'
import { meanEffectSize } from '../inference/effectSize'
import { testLocation } from '../inference/locationTest'
import { meanT } from '../inference/meanT'
import { meanZ } from '../inference/meanZ'
import { differenceFrom, type Pivot, statisticAt } from '../inference/pivot'
import type { MeanSample } from '../inference/sample'
import { testTolerance } from '../inference/toleranceTest'
import { failure, type Outcome, success } from '../outcome'
import { CORE_VERSION } from '../version'
import { findingLimits, findingSentence } from '../wording/findingWords'
import { problems } from '../wording/problems'
import { checkWarnings } from '../wording/warnings'
import { isAllFinite } from './isAllFinite'
import { intervalFigures } from './intervalFigures'
import { idOf } from './idOf'
import { parseRequest } from './parseRequest'
import { type CheckRequest, checkRequestSchema } from './request'
import type { CheckAnswer, CheckResult, TestFigures } from './result'
import { sampleOf } from './sampleOf'

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

type Prepared = Readonly<{
  request: CheckRequest
  hypotheses: Hypotheses
  sample: MeanSample
  pivot: Pivot
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
  const hypotheses = deriveHypotheses(request.claim, request.test.alternative)
  if (!hypotheses.ok) return hypotheses
  const sample = sampleOf(request.evidence)
  if (!sample.ok) return sample
  const pivot = pivotOf(request, sample.value)
  if (!pivot.ok) return pivot
  const limits = isRange(hypotheses.value)
    ? [hypotheses.value.null.lower, hypotheses.value.null.upper]
    : [hypotheses.value.null.value]
  if (!limits.every((limit) => Number.isFinite(statisticAt(pivot.value, limit)))) {
    return failure(problems.figuresOutOfRange())
  }
  const confidenceLevel = confidenceLevelOf(request.test, hypotheses.value)
  if (confidenceLevel <= 0) return failure(problems.levelNeeded(request.test.significanceLevel))
  return success({
    request,
    hypotheses: hypotheses.value,
    sample: sample.value,
    pivot: pivot.value,
    confidenceLevel,
  })
}

function compute({ request, hypotheses, sample, pivot, confidenceLevel }: Prepared): CheckResult {
  const { claim } = request
  const { significanceLevel } = request.test
  const { standardError } = pivot
  const estimate = sample.mean
  const difference = differenceFrom(pivot, claim.value)
  const test = testFigures(hypotheses, pivot, significanceLevel)
  const { decision } = test
  const outcome = findingOutcome({ relation: claim.relation, hypotheses, decision, difference })
  const figures = {
    sample: sampleFigures(sample, standardError),
    test,
    ...effectSizeFigures({ sample, difference, confidenceLevel }),
  }
  return {
    ok: true,
    coreVersion: CORE_VERSION,
    hypotheses,
    ...figures,
    estimate: { parameter: claim.parameter, value: estimate, difference },
    ...intervalFigures({ request, pivot, confidenceLevel }),
    conditions: meanConditions(sample, pivot),
    finding: {
      outcome,
      sentence: findingSentence({ outcome, claim, significanceLevel, estimate, difference, standardError }),
      limits: findingLimits(outcome, significanceLevel),
    },
    warnings: checkWarnings(request, hypotheses, figures),
  }
}

function pivotOf(request: CheckRequest, sample: MeanSample): Outcome<Pivot> {
  const { method, knownStandardDeviation } = request.test
  const isZ = method === 'z' || (method === 'auto' && knownStandardDeviation !== undefined)
  return isZ ? meanZ(sample, knownStandardDeviation) : meanT(sample)
}

function testFigures(
  hypotheses: CheckResult['hypotheses'],
  pivot: Pivot,
  significanceLevel: number,
): TestFigures {
  const test = isRange(hypotheses)
    ? testTolerance({ pivot, hypotheses, significanceLevel })
    : testLocation({
        pivot,
        value: hypotheses.null.value,
        alternative: hypotheses.alternativeSide,
        significanceLevel,
      })
  return {
    method: pivot.method,
    significanceLevel,
    distribution: pivot.distribution,
    ...test,
    decision: decide(test, significanceLevel),
    ways: waysToDecide({ pivot, hypotheses, test, significanceLevel }),
  }
}

/** Two tests at α each decide whether a mean lies inside a tolerance, so the interval that mirrors them leaves out 2α. */
function confidenceLevelOf(options: CheckRequest['test'], hypotheses: CheckResult['hypotheses']): number {
  const { significanceLevel, confidenceLevel } = options
  return (
    confidenceLevel ??
    1 - (hypotheses.alternativeSide === 'inside' ? 2 * significanceLevel : significanceLevel)
  )
}

function effectSizeFigures(input: Parameters<typeof meanEffectSize>[0]): Pick<CheckResult, 'effectSize'> {
  const effectSize = meanEffectSize(input)
  return effectSize ? { effectSize } : {}
}

function sampleFigures(sample: MeanSample, standardError: number): CheckResult['sample'] {
  const { sampleSize, setAside, mean, standardDeviation, variance } = sample
  return {
    n: sampleSize,
    setAside,
    mean,
    ...(standardDeviation === undefined ? {} : { standardDeviation }),
    ...(variance === undefined ? {} : { variance }),
    standardError,
  }
}
