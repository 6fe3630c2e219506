import { deriveHypotheses, isRange } from '../claim/hypotheses'
import { findingOutcome } from '../claim/finding'
import { meanConditions } from '../conditions/meanConditions'
import { decide, waysToDecide } from '../inference/decision'
import { meanEffectSize } from '../inference/effectSize'
import { testLocation } from '../inference/locationTest'
import { meanT } from '../inference/meanT'
import { meanZ } from '../inference/meanZ'
import { differenceFrom, type Pivot } from '../inference/pivot'
import type { MeanSample } from '../inference/sample'
import { testTolerance } from '../inference/toleranceTest'
import { failure, type Outcome, success } from '../outcome'
import { CORE_VERSION } from '../version'
import { findingLimits, findingSentence } from '../wording/findingWords'
import { problems } from '../wording/problems'
import { checkWarnings } from '../wording/warnings'
import { isAllFinite } from './isAllFinite'
import { intervalFigures } from './intervalFigures'
import { parseRequest } from './parseRequest'
import type { CheckRequest } from './request'
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
  const request = parseRequest(document)
  const answer = request.ok ? answerTo(request.value) : request
  if (!answer.ok) return { ...id, ok: false, error: answer.problem }
  return { ...id, ...answer.value }
}

function answerTo(request: CheckRequest): Outcome<CheckResult> {
  const hypotheses = deriveHypotheses(request.claim, request.test.alternative)
  if (!hypotheses.ok) return hypotheses
  const sample = sampleOf(request.evidence)
  if (!sample.ok) return sample
  const pivot = pivotOf(request, sample.value)
  if (!pivot.ok) return pivot
  const confidenceLevel = confidenceLevelOf(request.test, hypotheses.value)
  if (confidenceLevel <= 0) return failure(problems.levelNeeded(request.test.significanceLevel))

  const { claim, test: options } = request
  const { significanceLevel } = options
  const { standardError } = pivot.value
  const difference = differenceFrom(pivot.value, claim.value)
  const test = testFigures(hypotheses.value, pivot.value, significanceLevel)
  const outcome = findingOutcome({
    relation: claim.relation,
    hypotheses: hypotheses.value,
    decision: test.decision,
    difference,
  })
  const estimate = sample.value.mean
  const result: CheckResult = {
    ok: true,
    coreVersion: CORE_VERSION,
    hypotheses: hypotheses.value,
    sample: sampleFigures(sample.value, standardError),
    test,
    estimate: { parameter: claim.parameter, value: estimate, difference },
    ...intervalFigures({ request, pivot: pivot.value, confidenceLevel }),
    ...effectSizeFigures({ sample: sample.value, difference, confidenceLevel }),
    conditions: meanConditions(sample.value, pivot.value),
    finding: {
      outcome,
      sentence: findingSentence({ outcome, claim, significanceLevel, estimate, difference, standardError }),
      limits: findingLimits(outcome, significanceLevel),
    },
    warnings: checkWarnings(request, hypotheses.value, test),
  }
  return isAllFinite(result) ? success(result) : failure(problems.figuresOutOfRange())
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

function idOf(document: unknown): Readonly<{ id?: string }> {
  const id = (document as Readonly<{ id?: unknown }> | null | undefined)?.id
  return typeof id === 'string' ? { id } : {}
}
