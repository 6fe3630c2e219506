import type { Parameter } from './claim'
import { type Hypotheses, valuesOf } from './hypotheses'
import { EXPECTED_COUNT, leastExpectedCount } from './conditions/conditions'
import { bootstrap } from './bootstrap'
import type { ContinuityCorrection } from '@/statistics/inference/continuity'
import { meanT } from './mean/t'
import { meanZ } from './mean/z'
import { medianSign } from './median/sign'
import { medianSignedRank } from './median/signedRank'
import type { Method, Procedure } from '@/statistics/inference/procedure'
import { ratioF } from './ratio/f'
import { ratioLevene } from './ratio/levene'
import type { CountSample, MeasuredSample, Sample } from './sample'
import { shareExact } from './share/exactBinomial'
import { shareInterval } from '@/statistics/inference/shareInterval'
import { shareLot } from './share/hypergeometric'
import { shareScore } from './share/scoreZ'
import { spreadBonett } from './spread/bonett'
import { spreadChiSquare } from './spread/chiSquare'
import type { SpreadParameter } from './spread/scale'
import { failure, type Outcome, success } from './outcome'
import { problems } from '@/words/en/problems'
import type { CheckRequest } from './request'

type Options = CheckRequest['test']
type Question = Readonly<{ parameter: Parameter; hypotheses: Hypotheses; sample: Sample; options: Options }>

/** The methods for each parameter. */
export const METHODS_FOR: Readonly<Record<Parameter, readonly Method[]>> = {
  mean: ['t', 'z', 'bootstrap'],
  'standard-deviation': ['chi-square', 'bonett', 'bootstrap'],
  variance: ['chi-square', 'bonett', 'bootstrap'],
  proportion: ['score-z', 'exact-binomial', 'hypergeometric'],
  'variance-ratio': ['f', 'brown-forsythe', 'levene'],
  median: ['signed-rank', 'sign', 'bootstrap'],
}

/** The method stated, or the one that fits, made ready for the sample. */
export function procedureOf(question: Question): Outcome<Procedure> {
  const { parameter, sample, options } = question
  const { method } = options
  if (method !== 'auto' && !METHODS_FOR[parameter].includes(method)) {
    return failure(problems.methodForOther(method, parameter, METHODS_FOR[parameter]))
  }
  if (options.interval !== 'auto' && parameter !== 'proportion') {
    return failure(problems.intervalForOther(options.interval, parameter))
  }
  switch (parameter) {
    case 'mean':
      return ofMeasured(question, (measured) => meanProcedure(measured, options))
    case 'standard-deviation':
    case 'variance':
      return ofMeasured(question, (measured) => spreadProcedure(measured, parameter, options))
    case 'median':
      return ofMeasured(question, (measured) => medianProcedure(measured, question))
    case 'proportion':
      if (sample.kind !== 'counted') return failure(problems.evidenceForOther(parameter))
      return shareProcedure(sample.counted, question)
    case 'variance-ratio':
      if (sample.kind !== 'two') return failure(problems.evidenceForOther(parameter))
      return method === 'levene' || method === 'brown-forsythe'
        ? ratioLevene(sample.two, method, question.hypotheses.alternativeSide)
        : ratioF(sample.two)
    default:
      return parameter satisfies never
  }
}

function ofMeasured(
  { parameter, sample }: Question,
  make: (measured: MeasuredSample) => Outcome<Procedure>,
): Outcome<Procedure> {
  return sample.kind === 'measured' ? make(sample.measured) : failure(problems.evidenceForOther(parameter))
}

function meanProcedure(measured: MeasuredSample, options: Options): Outcome<Procedure> {
  const { method, knownStandardDeviation } = options
  const { mean } = measured
  if (mean === undefined) return failure(problems.meanNeeded())
  if (method === 'bootstrap') return bootstrap(measured, 'mean', resamplesOf(options))
  const isZ = method === 'z' || (method === 'auto' && knownStandardDeviation !== undefined)
  return isZ ? meanZ({ ...measured, mean }, knownStandardDeviation) : meanT({ ...measured, mean })
}

function spreadProcedure(
  measured: MeasuredSample,
  parameter: SpreadParameter,
  options: Options,
): Outcome<Procedure> {
  if (options.method === 'bootstrap') return bootstrap(measured, parameter, resamplesOf(options))
  if (options.method === 'bonett') return spreadBonett(measured, parameter)
  return spreadChiSquare(measured, parameter)
}

function medianProcedure(measured: MeasuredSample, { hypotheses, options }: Question): Outcome<Procedure> {
  const claimedValues = valuesOf(hypotheses)
  if (options.method === 'bootstrap') return bootstrap(measured, 'median', resamplesOf(options))
  if (options.method === 'sign') return medianSign(measured, claimedValues)
  return medianSignedRank(measured, correctionOf(options), claimedValues)
}

function shareProcedure(counted: CountSample, question: Question): Outcome<Procedure> {
  const made = shareTest(counted, question)
  const { interval } = question.options
  if (!made.ok || (interval === 'auto' && made.value.method === 'hypergeometric')) return made
  return success({
    ...made.value,
    interval: shareInterval(counted, interval === 'auto' ? 'wilson' : interval),
  })
}

function shareTest(counted: CountSample, { sample, hypotheses, options }: Question): Outcome<Procedure> {
  const claimedValues = valuesOf(hypotheses)
  const { method, midP, twoSidedRule } = options
  if (method === 'hypergeometric') return shareLot(counted, sample.lotSize)
  const isLarge = leastExpectedCount(counted.sampleSize, claimedValues) >= EXPECTED_COUNT
  if (method === 'score-z' || (method === 'auto' && isLarge)) {
    return shareScore(counted, correctionOf(options), claimedValues)
  }
  // Half of the observed outcome belongs to one tail; the sum over likelihoods has no tails to halve.
  const ownRule = midP ? 'doubled' : 'minimum-likelihood'
  const rules = {
    twoSidedRule: twoSidedRule === 'auto' ? ownRule : twoSidedRule,
    observed: midP ? 'half' : 'whole',
  } as const
  return success(shareExact(counted, rules, hypotheses.alternativeSide))
}

function correctionOf({ continuityCorrection }: Options): ContinuityCorrection {
  return continuityCorrection ? 'continuity' : 'none'
}

function resamplesOf({ resamples, seed }: Options) {
  return { count: resamples, seed }
}
