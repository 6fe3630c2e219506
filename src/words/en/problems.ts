import type { Parameter } from '@/claims/claim'
import type { Method } from '@/statistics/inference/procedure'
import type { Problem } from '@/claims/outcome'
import { PARAMETER_NOUNS } from './claimWords'
import { METHOD_NAMES } from './methodWords'

const EVIDENCE_NEEDED: Readonly<Record<Parameter, string>> = {
  mean: 'Give readings, or a summary of n, mean and standard deviation.',
  'standard-deviation': 'Give readings, or a summary of n and standard deviation.',
  variance: 'Give readings, or a summary of n and variance.',
  proportion: 'Give a count: n and successes.',
  'variance-ratio': 'Give two lists of readings, or two summaries.',
  median: 'Give readings.',
}

const problem = (code: string, path: string, message: string): Problem => ({ code, path, message })

/** Every problem the computation can meet: what is wrong, with the value seen, and what would be right. */
export const problems = {
  tooFewReadings: (seen: number, needed: number, path = 'evidence') =>
    problem(
      'too-few-readings',
      path,
      `${seen === 1 ? '1 reading is' : `${seen} readings are`} left to test; this test needs at least ${needed}.`,
    ),
  noVariation: (path: string, method: Method) =>
    problem(
      'no-variation',
      path,
      `The standard deviation is 0: all readings are equal, so a ${METHOD_NAMES[method]} cannot be made. Check the readings, or enter them with more decimals.`,
    ),
  readingsNeeded: (method: Method) =>
    problem(
      'readings-needed',
      'evidence',
      `The ${METHOD_NAMES[method]} needs the readings themselves, not summary figures. Enter them, or choose another method.`,
    ),
  meanNeeded: () =>
    problem(
      'mean-needed',
      'evidence.mean',
      'A claim about a mean needs the sample’s mean. State it beside n.',
    ),
  evidenceForOther: (parameter: Parameter) =>
    problem(
      'evidence-does-not-fit',
      'evidence.kind',
      `This kind of evidence says nothing of a ${PARAMETER_NOUNS[parameter]}. ${EVIDENCE_NEEDED[parameter]}`,
    ),
  methodForOther: (method: Method, parameter: Parameter, fitting: readonly Method[]) =>
    problem(
      'method-does-not-fit',
      'test.method',
      `The method “${method}” does not test a ${PARAMETER_NOUNS[parameter]}; it has to be one of: auto, ${fitting.join(', ')}.`,
    ),
  intervalForOther: (interval: string, parameter: Parameter) =>
    problem(
      'interval-does-not-fit',
      'test.interval',
      `The interval “${interval}” is one for a share; for a ${PARAMETER_NOUNS[parameter]} leave it as "auto".`,
    ),
  valueOutside: (parameter: Parameter, seen: number, path: string) =>
    problem(
      parameter === 'proportion' && seen > 1 ? 'share-above-one' : 'out-of-range',
      path,
      parameter === 'proportion'
        ? `A share lies between 0 and 1; the value here is ${seen}. ${seen > 1 && seen <= 100 ? `If ${seen} % is meant, state ${Number((seen / 100).toPrecision(15))}.` : 'State one between 0 and 1.'}`
        : `A ${PARAMETER_NOUNS[parameter]} is above 0; the value here is ${seen}. State one above 0.`,
    ),
  shareWithoutSpread: (seen: number) =>
    problem(
      'share-without-spread',
      'claim.value',
      `At a share of ${seen} every unit is alike, so the score test has no spread to measure by. Choose the exact binomial test, or another value.`,
    ),
  moreSuccesses: (successes: number, n: number) =>
    problem(
      'out-of-range',
      'evidence.successes',
      `“evidence.successes” is ${successes}; it has to be at most n, ${n}.`,
    ),
  lotSizeNeeded: () =>
    problem(
      'lot-size-needed',
      'evidence.lotSize',
      'The hypergeometric test needs the size of the lot that was sampled. State it, or choose the exact binomial test.',
    ),
  twoSidedOnly: (method: Method) =>
    problem(
      'two-sided-only',
      'test.method',
      `The ${METHOD_NAMES[method]} can tell that two spreads differ, not which way. Choose the F test, or a claim that they are equal or different.`,
    ),
  allEqualToClaim: (value: number) =>
    problem(
      'no-variation',
      'evidence.values',
      `Every reading is ${value} itself, so none is left to test it by. Check the readings, or enter them with more decimals.`,
    ),
  tooManyDraws: (n: number, resamples: number, most: number) =>
    problem(
      'too-many-draws',
      'test.resamples',
      `${resamples} resamples of ${n} readings are too many to draw. State at most ${Math.floor(most / n)} resamples, or choose another method.`,
    ),
  standardDeviationNeeded: () =>
    problem(
      'standard-deviation-needed',
      'evidence',
      'This test needs the sample’s standard deviation or variance. State one of them; for a mean, a known standard deviation will do instead.',
    ),
  knownStandardDeviationNeeded: () =>
    problem(
      'known-standard-deviation-needed',
      'test.knownStandardDeviation',
      'The z test needs a known standard deviation of the population. State it, or choose the t test.',
    ),
  toleranceNeeded: (relation: string) =>
    problem(
      'tolerance-needed',
      'claim.tolerance',
      relation === 'within'
        ? 'The claim says “within”, so it needs a tolerance below and above the claimed value.'
        : 'That a value is exactly equal cannot be shown by a sample. State a tolerance below and above it, or let the claim stand unless contradicted.',
    ),
  cannotContradictDifference: () =>
    problem(
      'cannot-contradict-difference',
      'claim.burden',
      '“Different from” holds for every value but one, so no sample can contradict it. Let the claim be one that must be shown, or choose another relation.',
    ),
  alternativeNotFree: (stated: string) =>
    problem(
      'alternative-not-free',
      'test.alternative',
      `The alternative “${stated}” cannot be chosen for a claim with a tolerance; leave it as "auto".`,
    ),
  bothSpreads: (path: string) =>
    problem(
      'both-spreads',
      path,
      'Both a standard deviation and a variance are stated. State exactly one of them; the other follows from it.',
    ),
  indexOutside: (index: number, count: number, position: number) =>
    problem(
      'out-of-range',
      `evidence.setAside[${position}]`,
      `Reading ${index} cannot be set aside: the ${count} readings are counted from 0 to ${count - 1}.`,
    ),
  indexTwice: (index: number, position: number) =>
    problem(
      'set-aside-twice',
      `evidence.setAside[${position}]`,
      `Reading ${index} is set aside twice. Name each reading once.`,
    ),
  lotTooSmall: (lotSize: number, sampleSize: number) =>
    problem(
      'lot-too-small',
      'evidence.lotSize',
      `The lot size ${lotSize} is smaller than the sample of ${sampleSize}. A lot holds at least the readings taken from it.`,
    ),
  levelNeeded: (significanceLevel: number) =>
    problem(
      'confidence-level-needed',
      'test.confidenceLevel',
      `At the significance level ${significanceLevel} no confidence level follows from it. State one between 0 and 1.`,
    ),
  planNeeds: (field: string, find: string) =>
    problem('missing', `plan.${field}`, `To find “${find}”, “plan.${field}” is needed; state it.`),
  planTooSmall: (seen: number, least: number) =>
    problem('out-of-range', 'plan.n', `“plan.n” is ${seen}; this test needs at least ${least}.`),
  planMethod: (seen: string, allowed: readonly string[]) =>
    problem(
      'method-does-not-fit',
      'plan.test.method',
      `The method “${seen}” is not planned for this parameter; it has to be one of: auto, ${allowed.join(', ')}.`,
    ),
  planParameter: (parameter: Parameter) =>
    problem(
      'parameter-not-planned',
      'plan.claim.parameter',
      `Samples for a ${PARAMETER_NOUNS[parameter]} are not planned here; plan for a mean, a spread or a share.`,
    ),
  planRange: () =>
    problem(
      'relation-not-planned',
      'plan.claim.relation',
      'A tolerance is planned for a mean only. Choose another relation, or plan for the nearer limit.',
    ),
  differenceInside: () =>
    problem(
      'relation-not-planned',
      'plan.find',
      'A claim that must be shown to lie within a tolerance has no smallest difference. Find the power or n for an assumed value.',
    ),
  powerNotReached: (power: number, most: number) =>
    problem(
      'not-reached',
      'plan.power',
      `A power of ${power} is not reached with up to ${most} units. Assume a value farther from the claimed one on the side that the test looks for, or ask for less power.`,
    ),
  differenceNotReached: (power: number, n: number) =>
    problem(
      'not-reached',
      'plan.n',
      `With n = ${n} no difference is found with a power of ${power}. State a larger n, or ask for less power.`,
    ),
  requestOutOfRange: (path: string) =>
    problem(
      'figures-out-of-range',
      path,
      'These figures are too large or too close together to compute with in double precision. State them in a unit that gives them a size nearer to 1.',
    ),
  onePointNeeded: (stated: number) =>
    problem(
      stated === 0 ? 'missing' : 'too-many-points',
      'reckon',
      `${stated === 0 ? 'None' : `${stated}`} of “x”, “lower” and “upper” is stated; state exactly one of them.`,
    ),
  reckoningOutOfRange: () =>
    problem(
      'figures-out-of-range',
      'reckon',
      'These parameters are too large or too small to compute with in double precision. State some nearer to 1.',
    ),
  quantileOutOfRange: () =>
    problem(
      'figures-out-of-range',
      'reckon',
      'The point that leaves so small a probability lies beyond the range of a double. State a larger probability.',
    ),
  moreThanTheLot: (field: 'marked' | 'n', seen: number, lotSize: number) =>
    problem(
      'out-of-range',
      `reckon.distribution.${field}`,
      `“reckon.distribution.${field}” is ${seen}; it has to be at most the lot size, ${lotSize}.`,
    ),
  figuresOutOfRange: () =>
    problem(
      'figures-out-of-range',
      'evidence',
      'These figures are too large or too close together to compute with in double precision. State them in a unit that gives them a size nearer to 1.',
    ),
} as const
