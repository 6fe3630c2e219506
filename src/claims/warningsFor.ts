import { methodOf, parameterOf } from './all'
import type { Method } from './terms/names'
import { type ClaimWarning, warnings } from './terms/warnings'
import type { MethodOption } from './terms/definition'
import { type Hypotheses, isRange } from './terms/hypotheses'
import { claimSide } from './terms/relations'
import type { CheckRequest } from './terms/request'
import type { ComputedFigures } from './result'
import { partsOf } from './testParts'
import { measurementOf, type Sample, SMALL_SHARE, unitsTaken } from './terms/sample'

/** Levels above this are unlike those in use: common practice, no source. */
const USUAL_LEVEL = 0.2
/** Fewer readings than this rest on their population's shape alone: common practice, no source. */
const FEW_READINGS = 5

type Context = Readonly<{
  request: CheckRequest
  hypotheses: Hypotheses
  sample: Sample
  figures: ComputedFigures
  confidenceLevel: number
}>

/** The order in which they are told. */
const ORDER: readonly ClaimWarning['code'][] = [
  'alternative-disagrees-with-claim',
  'tolerance-not-used',
  'alternative-points-away',
  'unusual-level',
  'known-standard-deviation-not-used',
  'unusual-known-standard-deviation',
  'continuity-correction-not-used',
  'exact-options-not-used',
  'finite-lot-not-used',
  'measurement-not-used',
  'measurement-not-allowed-for',
  'mid-p',
  'wald-interval',
  'interval-beyond-shares',
  'interval-disagrees',
  'large-share-of-lot',
  'censored-counted',
  'no-variation',
  'few-readings',
  'sample-too-small-to-reject',
  'p-value-below-range',
  'no-interval',
  'interval-without-end',
  'no-critical-estimates',
  'no-effect-size',
]

/** What was done that a reader of the result should know of. */
export function warningsFor(context: Context): readonly ClaimWarning[] {
  const { request, sample, figures } = context
  const parts = partsOf(figures.test)
  const place = ({ code }: ClaimWarning) => ORDER.indexOf(code)
  return [
    ...aboutTheClaim(context),
    ...aboutTheOptions(context),
    ...aboutTheSample(context),
    ...aboutWhatIsMissing(context),
    ...(methodOf(figures.test.method).warnings?.({ options: request.test, sample, parts }) ?? []),
  ].toSorted((one, other) => place(one) - place(other))
}

const when = <T>(isSo: boolean, make: () => T): readonly T[] => (isSo ? [make()] : [])

function aboutTheClaim({ request, hypotheses, figures }: Context): readonly ClaimWarning[] {
  const { claim, test } = request
  const { relation } = claim
  const { alternative, significanceLevel } = test
  const { difference } = figures.estimate
  const { alternativeSide } = hypotheses
  const pointsAway =
    (alternativeSide === 'less' && difference > 0) || (alternativeSide === 'greater' && difference < 0)
  return [
    ...(alternative !== 'auto' && !isClaimsOwn(request, hypotheses)
      ? [warnings.alternativeDisagrees({ alternative, relation })]
      : []),
    ...when(claim.tolerance !== undefined && !isRange(hypotheses), () =>
      warnings.toleranceNotUsed({ relation }),
    ),
    ...when(pointsAway, () => warnings.alternativePointsAway({ isAbove: difference > 0 })),
    ...when(significanceLevel > USUAL_LEVEL, () => warnings.unusualLevel({ significanceLevel })),
  ]
}

function aboutTheOptions({ request, hypotheses, figures }: Context): readonly ClaimWarning[] {
  const { test: options } = request
  const { method } = figures.test
  const { options: followed, ignoredOptions } = methodOf(method)
  const isUnused = (option: MethodOption) =>
    !followed.includes(option) ||
    partsOf(figures.test).some((part) => ignoredOptions?.(part.figures).includes(option))
  const isExact = options.midP || options.twoSidedRule !== 'auto'
  return [
    ...when(options.knownStandardDeviation !== undefined && isUnused('knownStandardDeviation'), () =>
      warnings.knownSpreadNotUsed({ method }),
    ),
    ...when(options.continuityCorrection && isUnused('continuityCorrection'), () =>
      warnings.continuityNotUsed({ method }),
    ),
    ...when(isExact && isUnused('midP'), () => warnings.exactOptionsNotUsed({ method })),
    ...when(options.finiteLot && isUnused('finiteLot'), () => warnings.finiteLotNotUsed({ method })),
    ...aboutTheMeasurement(request, { method, isUnused: isUnused('allowForMeasurement') }),
    ...when(figures.interval?.method === 'wald', warnings.waldInterval),
    ...when(isBeyondDomain(request, figures), () => warnings.intervalBeyondShares({ method })),
    ...whereIntervalDisagrees(request, hypotheses, figures),
  ]
}

/** Whether an interval reaches where the parameter has no values: shares by clusters or layers can. */
function isBeyondDomain({ claim }: CheckRequest, { interval }: ComputedFigures): boolean {
  const { min, max } = parameterOf(claim.parameter).domain
  const { lower = min, upper = max } = interval ?? {}
  return lower < min || upper > max
}

/** An uncertainty that a test was to allow for and does not, or could and was not asked to. */
function aboutTheMeasurement(
  { evidence, test: { allowForMeasurement } }: CheckRequest,
  { method, isUnused }: Readonly<{ method: Method; isUnused: boolean }>,
): readonly ClaimWarning[] {
  const systematic = measurementOf(evidence)?.systematic ?? 0
  if (allowForMeasurement) return when(isUnused, () => warnings.measurementNotUsed({ method }))
  return when(!isUnused && systematic > 0, () => warnings.measurementNotAllowedFor({ systematic }))
}

/** Where the interval that is shown and the decision seem to say different things. */
function whereIntervalDisagrees(
  { test: { significanceLevel } }: CheckRequest,
  hypotheses: Hypotheses,
  { interval, test }: ComputedFigures,
): readonly ClaimWarning[] {
  if (isRange(hypotheses) || interval?.sides !== 'two-sided') return []
  const { level, holdsClaimedValue: holds } = interval
  const isOneSided = hypotheses.alternativeSide !== 'two-sided'
  return when(holds === (test.decision === 'rejected'), () =>
    warnings.intervalDisagrees({ level, significanceLevel, isOneSided, holds }),
  )
}

function aboutTheSample({ sample, figures, request }: Context): readonly ClaimWarning[] {
  const { method, criticalValues } = figures.test
  const { significanceLevel } = request.test
  const { lotSize } = sample
  const taken = unitsTaken(sample)
  const isLarge = lotSize !== undefined && taken > SMALL_SHARE * lotSize
  const measured = sample.kind === 'measured' ? sample.measured : undefined
  const { censored } = sample.kind === 'limited' ? sample.measured : (measured ?? {})
  const sizes = sample.kind === 'two' ? [sample.two.first, sample.two.second] : measured ? [measured] : []
  return [
    ...when(isLarge && !methodOf(method).allowsForLot?.({ sample, options: request.test }), () =>
      warnings.largeShareOfLot({ method, share: taken / lotSize! }),
    ),
    ...(censored ? [warnings.censoredCounted({ below: censored.below, above: censored.above })] : []),
    ...when(measured?.values !== undefined && measured.standardDeviation === 0, warnings.noVariation),
    ...when(
      sizes.some(({ sampleSize }) => sampleSize < FEW_READINGS),
      () => warnings.fewReadings({ fewerThan: FEW_READINGS }),
    ),
    ...when(criticalValues.length === 0, () => warnings.tooSmallToReject({ significanceLevel })),
  ]
}

function aboutWhatIsMissing({ request, sample, figures, confidenceLevel }: Context): readonly ClaimWarning[] {
  const { test, interval } = figures
  const { significanceLevel } = request.test
  const { method } = test
  const isCut =
    interval?.sides === 'two-sided' && !(interval.lower !== undefined && interval.upper !== undefined)
  const hasSpread = sample.kind === 'measured' && Boolean(sample.measured.standardDeviation)
  const lacksEffect = parameterOf(request.claim.parameter).effectSize !== undefined && !figures.effectSize
  return [
    ...when(test.pValue === undefined, warnings.pValueBelowRange),
    ...when(confidenceLevel === 1, () => warnings.noIntervalAtLevel({ significanceLevel })),
    ...when(confidenceLevel !== 1 && !interval, () =>
      warnings.noInterval({ method, why: methodOf(method).interval === 'none' ? 'method' : 'sample' }),
    ),
    ...when(confidenceLevel !== 1 && isCut, warnings.intervalWithoutEnd),
    ...when(lacksEffect, () => warnings.noEffectSize({ why: hasSpread ? 'too-large' : 'no-spread' })),
  ]
}

function isClaimsOwn({ claim }: CheckRequest, { alternativeSide, burden }: Hypotheses): boolean {
  const side = claimSide(claim.relation)
  if (side === 'two-sided') return alternativeSide === 'two-sided'
  return burden === 'substantiate'
    ? alternativeSide === side
    : alternativeSide !== side && alternativeSide !== 'two-sided'
}
