import type { CheckRequest } from '@/claims/request'
import type { CheckResult, Warning } from '@/claims/result'
import { claimSide, type Hypotheses, isRange } from '@/claims/hypotheses'
import { SMALL_SHARE } from '@/claims/conditions/conditions'
import { chiSquare } from '@/statistics/distributions/chiSquare'
import { type Sample, unitsTaken } from '@/claims/sample'
import { RELATION_WORDS } from './claimWords'
import { formatFull, formatNumber, formatPercent } from '../figures'
import { METHOD_NAMES } from './methodWords'

type Figures = Pick<CheckResult, 'sample' | 'test' | 'estimate' | 'interval' | 'effectSize'>
type Context = Readonly<{
  request: CheckRequest
  hypotheses: Hypotheses
  sample: Sample
  figures: Figures
  confidenceLevel: number
}>

/** Levels above this are unlike those in use: common practice, no source. */
const USUAL_LEVEL = 0.2
/** Fewer readings than this rest on their population's shape alone: common practice, no source. */
const FEW_READINGS = 5
/** A known standard deviation is unusual outside the interval that leaves this out. */
const UNUSUAL = 0.001

/** What was done that a reader of the result should know of. */
export function checkWarnings(context: Context): readonly Warning[] {
  return [
    ...aboutTheClaim(context),
    ...aboutTheOptions(context),
    ...aboutTheSample(context),
    ...aboutWhatIsMissing(context),
  ]
}

function aboutTheClaim({ request, hypotheses, figures }: Context): readonly Warning[] {
  const { claim, test } = request
  const warnings: Warning[] = []
  if (test.alternative !== 'auto' && !isClaimsOwn(request, hypotheses)) {
    warnings.push({
      code: 'alternative-disagrees-with-claim',
      message: `The alternative “${test.alternative}” was stated and used; it is not the one that follows from “${RELATION_WORDS[claim.relation]}” and its burden.`,
    })
  }
  if (claim.tolerance && !isRange(hypotheses)) {
    warnings.push({
      code: 'tolerance-not-used',
      message: `The tolerance plays no part in “${RELATION_WORDS[claim.relation]}”.`,
    })
  }
  const { difference } = figures.estimate
  const { alternativeSide } = hypotheses
  if ((alternativeSide === 'less' && difference > 0) || (alternativeSide === 'greater' && difference < 0)) {
    warnings.push({
      code: 'alternative-points-away',
      message: `The sample lies ${difference > 0 ? 'above' : 'below'} the claimed value, the alternative hypothesis ${difference > 0 ? 'below' : 'above'} it; such a sample cannot speak for it.`,
    })
  }
  if (test.significanceLevel > USUAL_LEVEL) {
    warnings.push({
      code: 'unusual-level',
      message: `A significance level of ${formatPercent(test.significanceLevel)} is unlike those in use. Where 95\u202f% confidence is meant, the level is 0.05.`,
    })
  }
  return warnings
}

function aboutTheOptions({ request, sample, figures }: Context): readonly Warning[] {
  const { test: options } = request
  const { method } = figures.test
  const warnings: Warning[] = []
  const sigma = options.knownStandardDeviation
  if (sigma !== undefined && method !== 'z') {
    warnings.push({
      code: 'known-standard-deviation-not-used',
      message: `A known standard deviation was stated, but the ${METHOD_NAMES[method]} does not use it.`,
    })
  }
  if (sigma !== undefined && method === 'z' && sample.kind === 'measured') {
    const { standardDeviation: s, sampleSize } = sample.measured
    const range = s && sampleSize > 1 ? usualSpread(s, sampleSize) : undefined
    if (range && (sigma < range[0] || sigma > range[1])) {
      warnings.push({
        code: 'unusual-known-standard-deviation',
        message: `The known standard deviation is ${formatFull(sigma)}, but the sample’s is ${formatSignificant(s!)}: for a normal population the 99.9\u202f% interval from it runs from ${formatSignificant(range[0])} to ${formatSignificant(range[1])}. Check the figure and its unit.`,
      })
    }
  }
  if (options.continuityCorrection && method !== 'score-z' && !isNormalRank(figures)) {
    warnings.push({
      code: 'continuity-correction-not-used',
      message: `The continuity correction plays no part in the ${METHOD_NAMES[method]}.`,
    })
  }
  if ((options.midP || options.twoSidedRule !== 'auto') && method !== 'exact-binomial') {
    warnings.push({
      code: 'exact-options-not-used',
      message: `The two-sided rule and mid-p belong to the exact binomial test; they play no part in the ${METHOD_NAMES[method]}.`,
    })
  }
  if (options.midP && method === 'exact-binomial') {
    warnings.push({
      code: 'mid-p',
      message:
        'Half of the observed outcome’s probability is counted (mid-p): the true risk can then be a little above the level.',
    })
  }
  if (figures.interval?.method === 'wald') {
    warnings.push({
      code: 'wald-interval',
      message:
        'The Wald interval holds the true share less often than its level says, far less near 0 and 1. It is here so that a hand calculation can be checked; a finding should rest on another.',
    })
  }
  return warnings
}

function aboutTheSample({ sample, figures, request }: Context): readonly Warning[] {
  const warnings: Warning[] = []
  const { method } = figures.test
  const taken = unitsTaken(sample)
  if (sample.lotSize !== undefined && taken > SMALL_SHARE * sample.lotSize && method !== 'hypergeometric') {
    warnings.push({
      code: 'large-share-of-lot',
      message: `The sample is ${formatNumber((taken / sample.lotSize) * 100, 1)}\u202f% of the lot, more than a tenth; the ${METHOD_NAMES[method]} takes readings as independent and is stricter than it seems.`,
    })
  }
  if (sample.kind === 'measured' && sample.measured.values && sample.measured.standardDeviation === 0) {
    warnings.push({
      code: 'no-variation',
      message: 'All readings are equal. Check the readings, or enter them with more decimals.',
    })
  }
  const sizes =
    sample.kind === 'two'
      ? [sample.two.first, sample.two.second]
      : sample.kind === 'measured'
        ? [sample.measured]
        : []
  if (sizes.some(({ sampleSize }) => sampleSize < FEW_READINGS)) {
    warnings.push({
      code: 'few-readings',
      message: `With fewer than ${FEW_READINGS} readings the result rests on what is assumed of the population more than on the sample.`,
    })
  }
  if (figures.test.criticalValues.length === 0) {
    warnings.push({
      code: 'sample-too-small-to-reject',
      message: `At a significance level of ${formatPercent(request.test.significanceLevel)} no outcome of a sample of this size would reject the null hypothesis. Only a larger sample can.`,
    })
  }
  return warnings
}

function aboutWhatIsMissing({ request, sample, figures, confidenceLevel }: Context): readonly Warning[] {
  const { test, interval, effectSize } = figures
  const { test: options, claim } = request
  const warnings: Warning[] = []
  if (test.pValue === undefined) {
    warnings.push({
      code: 'p-value-below-range',
      message: 'The p-value is smaller than a double can hold; its natural log is given.',
    })
  }
  if (confidenceLevel === 1) {
    warnings.push({
      code: 'no-interval',
      message: `At the significance level ${formatFull(options.significanceLevel)} the confidence level would round to 1, so no interval is given. State a confidence level below 1.`,
    })
  } else if (!interval) {
    warnings.push({ code: 'no-interval', message: missingInterval(test.method) })
  } else if (
    interval.sides === 'two-sided' &&
    (interval.lower === undefined || interval.upper === undefined)
  ) {
    warnings.push({
      code: 'interval-without-end',
      message: 'One end of the interval cannot be computed from this sample at this level; it is left out.',
    })
  }
  if (test.criticalValues.length > test.criticalEstimates.length && test.method === 'signed-rank') {
    warnings.push({
      code: 'no-critical-estimates',
      message:
        'With readings tied, or equal to the claimed value, no estimate can be named at which the decision turns.',
    })
  }
  if (claim.parameter === 'mean' && !effectSize) {
    const s = sample.kind === 'measured' && sample.measured.standardDeviation
    warnings.push({
      code: 'no-effect-size',
      message: s
        ? 'The sample’s standard deviation is too small beside the gap, or rests on too few readings, to measure the gap by it; no effect size is given.'
        : 'The sample has no standard deviation above 0 to measure the gap by; no effect size is given.',
    })
  }
  return warnings
}

function missingInterval(method: CheckResult['test']['method']): string {
  return method === 'levene' || method === 'brown-forsythe'
    ? `The ${METHOD_NAMES[method]} has no interval; the F test’s is one, for normal populations.`
    : 'The sample is too small, or too uneven, for an interval at this level; none is given.'
}

function isNormalRank({ test }: Figures): boolean {
  return test.method === 'signed-rank' && test.distribution?.name === 'normal'
}

/** The 99.9 % interval of a normal population's standard deviation. */
function usualSpread(s: number, n: number): readonly [number, number] {
  const { quantile } = chiSquare(n - 1)
  const end = (tail: 'lower' | 'upper') => s * Math.sqrt((n - 1) / quantile(UNUSUAL / 2, tail))
  return [end('upper'), end('lower')]
}

function formatSignificant(value: number): string {
  return formatFull(Number(value.toPrecision(4)))
}

function isClaimsOwn({ claim }: CheckRequest, { alternativeSide, burden }: Hypotheses): boolean {
  const side = claimSide(claim.relation)
  if (side === 'two-sided') return alternativeSide === 'two-sided'
  return burden === 'substantiate'
    ? alternativeSide === side
    : alternativeSide !== side && alternativeSide !== 'two-sided'
}
