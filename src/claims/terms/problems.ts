import type { PlanFault } from './controlPlan'
import type { Method, Parameter } from './names'
import type { Relation } from './relations'

/** A problem with its name in the catalogue of words, its code for programs, where it is, and the figures to tell it by. */
export type Told<Name extends string, Figures> = Readonly<{
  name: Name
  code: string
  path: string
  figures: Figures
}>

export function problem<Name extends string, Figures>(
  name: Name,
  code: string,
  path: string,
  figures: Figures,
): Told<Name, Figures> {
  return { name, code, path, figures }
}

/** Every problem that the computation can meet; `words` says what is wrong, with the value seen, and what would be right. */
export const problems = {
  tooFewReadings: (seen: number, needed: number, path = 'evidence') =>
    problem('tooFewReadings', 'too-few-readings', path, { seen, needed }),
  tooFewToResample: (seen: number, needed: number, parameter: Parameter) =>
    problem('tooFewToResample', 'too-few-readings', 'evidence', { seen, needed, parameter }),
  noVariation: (path: string, method: Method) => problem('noVariation', 'no-variation', path, { method }),
  readingsNeeded: (method: Method) => problem('readingsNeeded', 'readings-needed', 'evidence', { method }),
  meanNeeded: () => problem('meanNeeded', 'mean-needed', 'evidence.mean', {}),
  evidenceForOther: (parameter: Parameter) =>
    problem('evidenceForOther', 'evidence-does-not-fit', 'evidence.kind', { parameter }),
  methodForOther: (method: Method, parameter: Parameter, fitting: readonly Method[]) =>
    problem('methodForOther', 'method-does-not-fit', 'test.method', { method, parameter, fitting }),
  intervalForOther: (interval: string, parameter: Parameter, fitting: readonly string[]) =>
    problem('intervalForOther', 'interval-does-not-fit', 'test.interval', { interval, parameter, fitting }),
  exposureUnitForOther: (parameter: Parameter) =>
    problem('exposureUnitForOther', 'exposure-unit-does-not-fit', 'claim.exposureUnit', { parameter }),
  valueOutside: (parameter: Parameter, seen: number, path: string, code = 'out-of-range') =>
    problem('valueOutside', code, path, { parameter, seen }),
  shareWithoutSpread: (seen: number) =>
    problem('shareWithoutSpread', 'share-without-spread', 'claim.value', { seen }),
  moreSuccesses: (successes: number, n: number) =>
    problem('moreSuccesses', 'out-of-range', 'evidence.successes', { successes, n }),
  notACount: (seen: number, index: number) =>
    problem('notACount', 'not-a-count', `evidence.values[${index}]`, { seen, index }),
  expectedOutside: (expected: number) =>
    problem('expectedOutside', 'expected-outside', 'evidence.exposure', { expected }),
  lotSizeNeeded: () => problem('lotSizeNeeded', 'lot-size-needed', 'evidence.lotSize', {}),
  finiteLotNeedsSize: () => problem('finiteLotNeedsSize', 'lot-size-needed', 'evidence.lotSize', {}),
  uncertaintyNeeded: () =>
    problem('uncertaintyNeeded', 'measurement-needed', 'evidence.measurement.systematic', {}),
  groupsOfOtherLength: (field: 'cluster' | 'stratum', seen: number, needed: number) =>
    problem('groupsOfOtherLength', 'groups-of-other-length', `evidence.${field}`, { field, seen, needed }),
  clustersAndStrata: () => problem('clustersAndStrata', 'clusters-and-strata', 'evidence.stratum', {}),
  groupsNeeded: (field: 'cluster' | 'stratum', stated: string) =>
    problem('groupsNeeded', 'missing', `evidence.${field}`, { field, stated }),
  lotMeasuredWhole: (field: 'clustersInLot' | 'strata', method: Method) =>
    problem('lotMeasuredWhole', 'lot-measured-whole', `evidence.${field}`, { method }),
  groupsAlike: (method: Method) => problem('groupsAlike', 'no-variation', 'evidence.values', { method }),
  designNeeded: (field: 'cluster' | 'stratum', method: Method) =>
    problem('designNeeded', 'groups-needed', `evidence.${field}`, { field, method }),
  tooFewClusters: (seen: number) =>
    problem('tooFewClusters', 'too-few-clusters', 'evidence.cluster', { seen }),
  clustersBeyondLot: (inLot: number, seen: number) =>
    problem('clustersBeyondLot', 'lot-too-small', 'evidence.clustersInLot', { inLot, seen }),
  strataNeeded: () => problem('strataNeeded', 'missing', 'evidence.strata', {}),
  strataSizes: (sum: number, lotSize: number) =>
    problem('strataSizes', 'strata-sizes', 'evidence.strata', { sum, lotSize }),
  stratumWithoutSize: (label: string, index: number) =>
    problem('stratumWithoutSize', 'stratum-without-size', `evidence.stratum[${index}]`, { label }),
  tooFewInStratum: (label: string, seen: number) =>
    problem('tooFewInStratum', 'too-few-in-stratum', 'evidence.stratum', { label, seen }),
  stratumTooSmall: (label: string, size: number, seen: number) =>
    problem('stratumTooSmall', 'lot-too-small', 'evidence.strata', { label, size, seen }),
  notAMark: (seen: number, index: number) =>
    problem('notAMark', 'not-a-mark', `evidence.values[${index}]`, { seen, index }),
  limitForOther: (parameter: Parameter) =>
    problem('limitForOther', 'limit-does-not-fit', 'claim.limit', { parameter }),
  limitNeeded: (method: Method) => problem('limitNeeded', 'limit-needed', 'claim.limit', { method }),
  limitNeedsReadings: () => problem('limitNeedsReadings', 'evidence-does-not-fit', 'evidence.kind', {}),
  censoredTwice: (index: number) =>
    problem('censoredTwice', 'censored-twice', 'evidence.censored', { index }),
  censoredIndexOutside: (index: number, count: number) =>
    problem('censoredIndexOutside', 'out-of-range', 'evidence.censored', { index, count }),
  censoredReadings: (method: Method, count: number) =>
    problem('censoredReadings', 'censored-readings', 'evidence.censored', { method, count }),
  censoredBeyondClaim: (path: string, value: number, from: number, to: number) =>
    problem('censoredBeyondClaim', 'censored-beyond-claim', path, { value, from, to }),
  censoredMiddle: () => problem('censoredMiddle', 'censored-middle', 'evidence.censored', {}),
  guardNeedsReading: () =>
    problem('guardNeedsReading', 'measurement-needed', 'evidence.measurement.reading', {}),
  intervalNotOfMethod: (interval: string, method: Method) =>
    problem('intervalNotOfMethod', 'interval-does-not-fit', 'test.interval', { interval, method }),
  lotTooLarge: (lotSize: number, max: number) =>
    problem('lotTooLarge', 'out-of-range', 'evidence.lotSize', { lotSize, max }),
  twoSidedOnly: (method: Method) => problem('twoSidedOnly', 'two-sided-only', 'test.method', { method }),
  allEqualToClaim: (value: number) =>
    problem('allEqualToClaim', 'no-variation', 'evidence.values', { value }),
  tooManyDraws: (n: number, resamples: number, max: number) =>
    problem('tooManyDraws', 'too-many-draws', 'test.resamples', { n, resamples, max }),
  standardDeviationNeeded: () =>
    problem('standardDeviationNeeded', 'standard-deviation-needed', 'evidence', {}),
  knownStandardDeviationNeeded: () =>
    problem(
      'knownStandardDeviationNeeded',
      'known-standard-deviation-needed',
      'test.knownStandardDeviation',
      {},
    ),
  toleranceNeeded: (relation: Relation) =>
    problem('toleranceNeeded', 'tolerance-needed', 'claim.tolerance', { relation }),
  cannotContradictDifference: () =>
    problem('cannotContradictDifference', 'cannot-contradict-difference', 'claim.burden', {}),
  alternativeNotFree: (stated: string) =>
    problem('alternativeNotFree', 'alternative-not-free', 'test.alternative', { stated }),
  bothSpreads: (path: string) => problem('bothSpreads', 'both-spreads', path, {}),
  indexOutside: (index: number, count: number, position: number) =>
    problem('indexOutside', 'out-of-range', `evidence.setAside[${position}]`, { index, count }),
  indexTwice: (index: number, position: number) =>
    problem('indexTwice', 'set-aside-twice', `evidence.setAside[${position}]`, { index }),
  lotTooSmall: (lotSize: number, sampleSize: number) =>
    problem('lotTooSmall', 'lot-too-small', 'evidence.lotSize', { lotSize, sampleSize }),
  contentNeeded: (isBoth: boolean) =>
    problem('contentNeeded', isBoth ? 'one-of-two' : 'missing', 'content.values', { isBoth }),
  tareOfNet: () => problem('tareOfNet', 'evidence-does-not-fit', 'content.tare', {}),
  tareNeeded: () => problem('tareNeeded', 'missing', 'content.tare', {}),
  taresOfOtherLength: (seen: number, needed: number) =>
    problem('taresOfOtherLength', 'of-other-length', 'content.tare', { seen, needed }),
  tareAboveGross: (index: number, gross: number, tare: number) =>
    problem('tareAboveGross', 'tare-above-gross', `content.gross[${index}]`, { index, gross, tare }),
  tooFewEmptyPacks: (seen: number, needed: number) =>
    problem('tooFewEmptyPacks', 'too-few-readings', 'content.tare.emptyPacks', { seen, needed }),
  densityOfMass: (unit: string, isDensity: boolean) =>
    problem('densityOfMass', 'units-differ', isDensity ? 'content.density' : 'content.massUnit', { unit }),
  densityNeeded: (massUnit: string, unit: string) =>
    problem('densityNeeded', 'missing', 'content.density', { massUnit, unit }),
  nominalBeyondPlan: (nominal: number, unit: string, max: number) =>
    problem('nominalBeyondPlan', 'nominal-beyond-plan', 'content.nominal', { nominal, unit, max }),
  controlPlan: (fault: PlanFault) =>
    problem('controlPlan', 'control-plan', `content.plan.${fault.path}`, { fault }),
  claimOrContent: (isBoth: boolean) =>
    problem('claimOrContent', isBoth ? 'one-of-two' : 'missing', 'groups.claim', { isBoth }),
  listOfOtherLength: (field: string, seen: number, needed: number) =>
    problem('listOfOtherLength', 'of-other-length', `groups.${field}`, { field, seen, needed }),
  lotTwice: (label: string) => problem('lotTwice', 'label-twice', 'lots.lots', { label }),
  lotWithoutEvidence: (label: string, isClaimed: boolean) =>
    problem('lotWithoutEvidence', 'evidence-does-not-fit', 'lots.lots', { label, isClaimed }),
  poolNeedsReadings: (label: string) =>
    problem('poolNeedsReadings', 'readings-needed', 'lots.pool', { label }),
  drawBeyondLot: (count: number, lotSize: number) =>
    problem('drawBeyondLot', 'out-of-range', 'draw.count', { count, lotSize }),
  noLabel: (n: number) => problem('noLabel', 'no-group', 'labels', { n }),
  groupEmpty: () => problem('groupEmpty', 'too-few-readings', 'values', {}),
  levelNeeded: (significanceLevel: number) =>
    problem('levelNeeded', 'confidence-level-needed', 'test.confidenceLevel', { significanceLevel }),
  planNeeds: (field: string, find: string) =>
    problem('planNeeds', 'missing', `plan.${field}`, { field, find }),
  planTooSmall: (seen: number, min: number) =>
    problem('planTooSmall', 'out-of-range', 'plan.n', { seen, min }),
  planBeyondLot: (seen: number, lotSize: number) =>
    problem('planBeyondLot', 'out-of-range', 'plan.n', { seen, lotSize }),
  planNotWhole: (seen: number) => problem('planNotWhole', 'out-of-range', 'plan.n', { seen }),
  planMethod: (seen: string, allowed: readonly string[]) =>
    problem('planMethod', 'method-does-not-fit', 'plan.test.method', { seen, allowed }),
  planRange: () => problem('planRange', 'relation-not-planned', 'plan.claim.relation', {}),
  differenceInside: () => problem('differenceInside', 'relation-not-planned', 'plan.find', {}),
  powerNotReached: (power: number, max: number) =>
    problem('powerNotReached', 'not-reached', 'plan.power', { power, max }),
  differenceNotReached: (power: number, n: number) =>
    problem('differenceNotReached', 'not-reached', 'plan.n', { power, n }),
  requestOutOfRange: (path: string) => problem('requestOutOfRange', 'figures-out-of-range', path, {}),
  onePointNeeded: (stated: number) =>
    problem('onePointNeeded', stated === 0 ? 'missing' : 'too-many-points', 'reckon', { stated }),
  reckoningOutOfRange: () => problem('reckoningOutOfRange', 'figures-out-of-range', 'reckon', {}),
  quantileOutOfRange: (request: 'reckon' | 'critical') =>
    problem('quantileOutOfRange', 'figures-out-of-range', request, {}),
  /** @param path - of the figure that is larger than the lot */
  moreThanTheLot: (path: string, seen: number, lotSize: number) =>
    problem('moreThanTheLot', 'out-of-range', path, { path, seen, lotSize }),
  figuresOutOfRange: () => problem('figuresOutOfRange', 'figures-out-of-range', 'evidence', {}),
} as const

/** A problem as the computation meets it: a code with figures, and no words. */
export type ClaimProblem = ReturnType<(typeof problems)[keyof typeof problems]>
