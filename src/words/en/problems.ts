import { beginningOf } from '@/desk/typed'
import type { CheckProblem } from '@/claims/prepareCheck'
import type { Parameter } from '@/claims/terms/names'
import type { Problem } from '@/claims/terms/outcome'
import type { Bound } from '@/claims/terms/parseRequest'
import { formatCount, formatFull } from '../figures'
import { censusSentence } from './censusWords'
import { planFaultWords } from './controlPlanWords'
import { METHOD_WORDS } from './methods'
import { PARAMETER_WORDS } from './parameters'
import { RELATION_SENTENCES } from './relations'

/** What does in place of the bootstrap. */
const INSTEAD: { readonly [Name in Parameter]?: string } = {
  mean: 'Use the t test.',
  median: 'Use the sign test.',
  'standard-deviation': 'Use the Bonett test.',
  variance: 'Use the Bonett test.',
}

/** What is wrong, with the value seen, and what would be right. */
const SENTENCES: {
  readonly [Name in CheckProblem['name']]: (
    figures: Extract<CheckProblem, { name: Name }>['figures'],
  ) => string
} = {
  tooFewReadings: ({ seen, needed }) =>
    `${seen === 1 ? 'One reading is' : `${seen} readings are`} given to be tested; this test needs at least ${needed}.`,
  tooFewToResample: ({ seen, needed, parameter }) =>
    `The bootstrap of a ${PARAMETER_WORDS[parameter].noun} needs at least ${needed} readings, and there are ${seen}: resamples of so few are too alike to tell a rare one by. ${INSTEAD[parameter] ?? ''}`.trim(),
  census: ({ request, census }) => censusSentence(request.claim, census),
  noVariation: ({ method }) =>
    `The standard deviation is 0: all readings are equal, so a ${METHOD_WORDS[method].name} cannot be made. If the instrument shows more digits, enter them; add none that it did not show.`,
  readingsNeeded: ({ method }) =>
    `The ${METHOD_WORDS[method].name} needs the readings themselves, not summary figures. Enter them, or choose another method.`,
  meanNeeded: () => 'A claim about a mean needs the sample’s mean. State it beside n.',
  evidenceForOther: ({ parameter }) =>
    `This kind of evidence says nothing of a ${PARAMETER_WORDS[parameter].noun}. ${PARAMETER_WORDS[parameter].evidenceNeeded}`,
  methodForOther: ({ method, parameter, fitting }) =>
    `The method “${method}” does not test a ${PARAMETER_WORDS[parameter].noun}; it has to be one of: auto, ${fitting.join(', ')}.`,
  intervalForOther: ({ interval, parameter, fitting }) =>
    fitting.length === 0
      ? `The interval “${interval}” is one for a share or a rate; for a ${PARAMETER_WORDS[parameter].noun} leave it as "auto".`
      : `The interval “${interval}” is none of a ${PARAMETER_WORDS[parameter].noun}; it has to be one of: auto, ${fitting.join(', ')}.`,
  valueOutside: ({ parameter, seen }) => PARAMETER_WORDS[parameter].outside(seen),
  shareWithoutSpread: ({ seen }) =>
    `At a share of ${seen} every unit is alike, so the score test has no spread to measure by. Choose the exact binomial test, or another value.`,
  moreSuccesses: ({ successes, n }) => `“evidence.successes” is ${successes}; it has to be at most n, ${n}.`,
  notACount: ({ seen, index }) =>
    `“evidence.values[${index}]” is ${seen}; a count of events is a whole number from 0 to 1,000,000,000. Correct it, or set it aside.`,
  expectedOutside: ({ expected }) =>
    `At the claimed rate ${expected} events would be expected over this exposure; a test needs more than 0, and can be worked out up to 1,000,000,000. Look at the exposure, its unit and the claimed value.`,
  exposureUnitForOther: ({ parameter }) =>
    `A ${PARAMETER_WORDS[parameter].noun} is not per anything: “claim.exposureUnit” belongs to a rate. Leave it out, or claim a rate.`,
  claimOrContent: ({ isBoth }) =>
    isBoth
      ? 'Both “groups.claim” and “groups.content” are given. Give the one that the groups are held against.'
      : 'Nothing is claimed. Give “groups.claim”, or “groups.content” for a control of net content.',
  listOfOtherLength: ({ field, seen, needed }) =>
    `“groups.${field}” has ${formatCount(seen)} ${seen === 1 ? 'entry' : 'entries'}, and there ${needed === 1 ? 'is 1 reading' : `are ${formatCount(needed)} readings`}. Give one for each.`,
  lotTwice: ({ label }) =>
    `Two lots are called “${label}”. Give each a name of its own, so that the finding says which it is of.`,
  lotWithoutEvidence: ({ label, isClaimed }) =>
    isClaimed
      ? `The lot “${label}” needs the evidence that the claim is held against, and no control.`
      : `The lot “${label}” needs its control of net content, since nothing else is claimed. State “lots.claim”, or “content” for each lot.`,
  poolNeedsReadings: ({ label }) =>
    `The lots can be pooled only by their readings, and “${label}” has none, or some that are limits. Leave it out, or look at each lot by itself.`,
  drawBeyondLot: ({ count, lotSize }) =>
    `${formatCount(count)} units can’t be drawn of a lot of ${formatCount(lotSize)}. Draw fewer.`,
  noLabel: ({ n }) =>
    `${n === 1 ? 'One reading has' : `${formatCount(n)} readings have`} no entry that says which group ${n === 1 ? 'it is' : 'they are'} of.`,
  groupEmpty: () => 'There is nothing to test: no reading, or every one is set aside.',
  contentNeeded: ({ isBoth }) =>
    isBoth
      ? 'Both “content.values” and “content.gross” are given. Give the contents, or what was weighed with the package.'
      : 'Nothing is known of the packs. Give “content.values”, the content of each, or “content.gross” with its tare.',
  tareOfNet: () =>
    '“content.values” are contents already, so no tare is taken off. Give what was weighed with the package as “content.gross”, or leave the tare out.',
  tareNeeded: () =>
    'What was weighed with its package needs a tare: one for each pack, one for all, or the empty packs whose mean is taken.',
  taresOfOtherLength: ({ seen, needed }) =>
    `There are ${seen} tares and ${needed} packs. Give one for each pack, in their order, one for all, or the empty packs whose mean is taken.`,
  tareAboveGross: ({ index, gross, tare }) =>
    `Pack ${index + 1} weighs ${formatFull(gross)} with its package, and the package by itself ${formatFull(tare)}. The two may stand in each other’s place; correct them, or set the pack aside and say why.`,
  tooFewEmptyPacks: ({ seen, needed }) =>
    `A mean tare needs at least ${needed} empty packs, and there ${seen === 1 ? 'is 1' : `are ${seen}`}. Weigh more, weigh the package of each pack, or state the tare.`,
  densityOfMass: ({ unit }) =>
    `The label states a mass, in ${unit}, so nothing is converted by a density. Leave the density and its unit out, or state the content in a unit of volume.`,
  densityNeeded: ({ massUnit, unit }) =>
    `The packs were weighed in ${massUnit} and the label states a volume in ${unit}: state the density, in g/mL.`,
  nominalBeyondPlan: ({ nominal, unit, max }) =>
    `The control plan has tolerable deficiencies up to ${formatCount(max)} g or mL, and the label says ${formatFull(nominal)} ${unit}. Choose a plan that goes so far.`,
  controlPlan: ({ fault }) => planFaultWords(fault),
  lotSizeNeeded: () =>
    'The hypergeometric test needs the size of the lot that was sampled. State it, or choose the exact binomial test.',
  finiteLotNeedsSize: () =>
    'To allow for a finite lot its size is needed: state “evidence.lotSize”, or leave “test.finiteLot” out.',
  uncertaintyNeeded: () =>
    'To allow for the measurement its uncertainty is needed: state “evidence.measurement.systematic”, the standard uncertainty that all readings share (U over k of the certificate), or leave “test.allowForMeasurement” out.',
  groupsOfOtherLength: ({ field, seen, needed }) =>
    `“evidence.${field}” names the ${field === 'cluster' ? 'clusters' : 'layers'} of ${seen} readings, and there are ${needed}. Name one for each reading, those set aside included.`,
  clustersAndStrata: () =>
    'Both clusters and layers are named. Keep “evidence.cluster” where whole groups were drawn, “evidence.stratum” where each layer of the lot was sampled.',
  groupsNeeded: ({ field, stated }) =>
    `“evidence.${stated}” is stated, but no “evidence.${field}”, a list with one name for each reading. State it, or leave “${stated}” out.`,
  lotMeasuredWhole: ({ method }) =>
    `As stated, nothing of the lot was left unmeasured, so no sample stands for it and the ${METHOD_WORDS[method].name} has nothing to test. Compare the lot’s own figure with the claim, or correct the sizes.`,
  groupsAlike: ({ method }) =>
    `The groups do not differ by what is tested, so the standard error is 0 and the ${METHOD_WORDS[method].name} cannot be made. Take more of them, or choose a test that takes the units one by one: its conditions say what that leaves open.`,
  designNeeded: ({ field, method }) =>
    `The ${METHOD_WORDS[method].name} needs to know ${field === 'cluster' ? 'the cluster' : 'the layer'} of each reading. State “evidence.${field}”, or choose another method.`,
  tooFewClusters: ({ seen }) =>
    `The readings are all of ${seen === 1 ? 'one cluster' : 'no cluster'}, so nothing tells how clusters differ. At least two are needed.`,
  clustersBeyondLot: ({ inLot, seen }) =>
    `The lot is said to have ${inLot} clusters, and readings of ${seen} are given. It has at least as many.`,
  strataNeeded: () =>
    'The layers need the sizes that they have in the lot. State “evidence.strata”, such as { "north": 400, "south": 250 }.',
  strataSizes: ({ sum, lotSize }) =>
    `The sizes of the layers add up to ${sum}, and the lot is said to have ${lotSize} units. Correct one of them.`,
  stratumWithoutSize: ({ label }) =>
    `No size is stated for the layer ${shown(label)}. Add it to “evidence.strata”, or correct the name.`,
  tooFewInStratum: ({ label, seen }) =>
    `The layer ${shown(label)} has ${seen === 0 ? 'no reading' : 'one reading'}; at least two are needed of each, or the layer’s scatter is not known. Take more, or join it with another layer.`,
  stratumTooSmall: ({ label, size, seen }) =>
    `The layer ${shown(label)} is said to have ${size} units, and ${seen} readings of it are given. It has at least as many.`,
  notAMark: ({ seen, index }) =>
    `“evidence.values[${index}]” is ${seen}. Rows of a share are 1 where the row counts and 0 where not; for measurements state “claim.limit”.`,
  limitForOther: ({ parameter }) =>
    `“claim.limit” says which items count in a share; a ${PARAMETER_WORDS[parameter].noun} has none. Leave it out, or claim a share.`,
  limitNeeded: ({ method }) =>
    `The ${METHOD_WORDS[method].name} tells a share of items from their readings. State “claim.limit”, which one reading is held against, or choose another method.`,
  limitNeedsReadings: () =>
    'The claim says which items count by their readings, and this evidence has none to hold against “claim.limit”. Give the readings, or for the normal test of a share their summary figures; or leave the limit out.',
  censoredTwice: ({ index }) =>
    `Reading ${index} is named twice in “evidence.censored”. Name each once, below or above.`,
  censoredIndexOutside: ({ index, count }) =>
    `“evidence.censored” names reading ${index}: the ${count} readings are counted from 0 to ${count - 1}.`,
  censoredReadings: ({ method, count }) =>
    `${count === 1 ? 'One reading says' : `${count} readings say`} only that ${count === 1 ? 'it lies' : 'they lie'} below or above a limit, and the ${METHOD_WORDS[method].name} needs the values themselves. A claim about the median, or about the share of items beyond a limit, can be tested by counting: as long as its value lies where every reading is known to be on one side.`,
  censoredBeyondClaim: ({ value, from, to }) =>
    `Readings that say only “below” or “above” do not tell on which side of ${value} they lie: everything is known ${Number.isFinite(from) ? (Number.isFinite(to) ? `from ${from} to ${to}` : `from ${from} on`) : `up to ${to}`} only. Hold a value there against them, or measure those again.`,
  censoredMiddle: () =>
    'The reading in the middle says only that it lies below or above a limit, so the median is not known. Claim the share of items beyond a limit instead.',
  guardNeedsReading: () =>
    'A guard band needs the standard uncertainty of one reading: state “evidence.measurement.reading”, or leave “claim.limit.guardFactor” out.',
  intervalNotOfMethod: ({ interval, method }) =>
    `The interval “${interval}” is none of the ${METHOD_WORDS[method].name}, which has its own. Leave “test.interval” out, or choose another method.`,
  lotTooLarge: ({ lotSize, max }) =>
    `A share is worked out for lots of up to ${max} units; this one is said to have ${lotSize}. Leave the size out: so large a lot is as good as endless.`,
  twoSidedOnly: ({ method }) =>
    `The ${METHOD_WORDS[method].name} can tell that two spreads differ, not which way. Choose the F test, or a claim that they are equal or different.`,
  allEqualToClaim: ({ value }) =>
    `Every reading is ${value} itself, so none is left to test it by. If the instrument shows more digits, enter them; add none that it did not show.`,
  tooManyDraws: ({ n, resamples, max }) =>
    `${resamples} resamples of ${n} readings are too many to draw. State at most ${Math.floor(max / n)} resamples, or choose another method.`,
  standardDeviationNeeded: () =>
    'This test needs the sample’s standard deviation or variance. State one of them; for a mean, a known standard deviation will do instead.',
  knownStandardDeviationNeeded: () =>
    'The z test needs a known standard deviation of the population. State it, or choose the t test.',
  toleranceNeeded: ({ relation }) => RELATION_SENTENCES[relation].toleranceNeeded,
  cannotContradictDifference: () =>
    '“Different from” holds for every value but one, so no sample can contradict it. Let the claim be one that must be shown, or choose another relation.',
  alternativeNotFree: ({ stated }) =>
    `The alternative “${stated}” cannot be chosen for a claim with a tolerance; leave it as "auto".`,
  bothSpreads: () =>
    'Both a standard deviation and a variance are stated. State exactly one of them; the other follows from it.',
  indexOutside: ({ index, count }) =>
    `Reading ${index} cannot be set aside: the ${count} readings are counted from 0 to ${count - 1}.`,
  indexTwice: ({ index }) => `Reading ${index} is set aside twice. Name each reading once.`,
  lotTooSmall: ({ lotSize, sampleSize }) =>
    `The lot size ${lotSize} is smaller than the sample of ${sampleSize}. A lot holds at least the readings taken from it.`,
  levelNeeded: ({ significanceLevel }) =>
    `At the significance level ${significanceLevel} no confidence level follows from it. State one between 0 and 1.`,
  planNeeds: ({ field, find }) => `To find “${find}”, “plan.${field}” is needed; state it.`,
  planNotWhole: ({ seen }) => `“plan.n” is ${seen}; units are counted, so it has to be a whole number.`,
  planBeyondLot: ({ seen, lotSize }) =>
    `“plan.n” is ${seen}, and the lot has ${lotSize} units; state no more than these.`,
  planTooSmall: ({ seen, min }) => `“plan.n” is ${seen}; this test needs at least ${min}.`,
  planMethod: ({ seen, allowed }) =>
    `The method “${seen}” is not planned for this parameter; it has to be one of: auto, ${allowed.join(', ')}.`,
  planRange: () =>
    'A tolerance is planned for a mean only. Choose another relation, or plan for the nearer limit.',
  differenceInside: () =>
    'A claim that must be shown to lie within a tolerance has no smallest difference. Find the power or n for an assumed value.',
  powerNotReached: ({ power, max }) =>
    `A power of ${power} is not reached with up to ${max} units. Assume a value farther from the claimed one on the side that the test looks for, or ask for less power.`,
  differenceNotReached: ({ power, n }) =>
    `With n = ${n} a difference is not found with a power of ${power}. State a larger n, or ask for less power.`,
  requestOutOfRange: () =>
    'These figures are too large or too close together to compute with. State them in a unit that gives them a size nearer to 1.',
  onePointNeeded: ({ stated }) =>
    `${stated === 0 ? 'None' : `${stated}`} of “x”, “lower” and “upper” is stated; state exactly one of them.`,
  reckoningOutOfRange: () =>
    'These parameters are too large or too small to compute with. State some nearer to 1.',
  quantileOutOfRange: () =>
    'A point that leaves that probability lies beyond what this program can hold, about 1.8 × 10³⁰⁸, or nearer to zero than it can. State a larger probability, or more degrees of freedom or larger shapes.',
  moreThanTheLot: ({ path, seen, lotSize }) =>
    `“${path}” is ${seen}; it has to be at most the lot size, ${lotSize}.`,
  figuresOutOfRange: () =>
    'These figures are too large or too close together to compute with. State them in a unit that gives them a size nearer to 1.',
  unknownField: ({ path }) => `“${path}” is not a field that is known here. Leave it out.`,
  notInList: ({ path, seen, allowed }) =>
    `${named(path)} is ${shown(seen)}; it has to be one of: ${allowed.join(', ')}.`,
  missingChoice: ({ path, allowed }) => `${named(path)} is missing; state one of: ${allowed.join(', ')}.`,
  outOfRange: ({ path, seen, bound }) =>
    `${named(path)} is ${shown(seen)}; it has to be ${boundWords(bound)}.`,
  wrongType: ({ path, seen, expected }) =>
    `${named(path)} is ${shown(seen)}; it has to be ${EXPECTED[expected] ?? expected}.`,
  missingValue: ({ path, expected }) => `${named(path)} is missing; state ${EXPECTED[expected] ?? expected}.`,
  invalid: ({ path, issue }) => `${named(path)} cannot be read: ${issue}.`,
}

/** A problem of the computation in words. */
export function problemWords(problem: CheckProblem): Problem {
  const { name, code, path, figures } = problem
  const sentence = SENTENCES[name] as (figures: CheckProblem['figures']) => string
  return { code, path, message: sentence(figures) }
}

const EXPECTED: Readonly<Record<string, string>> = {
  int: 'a whole number',
  number: 'a number that this program can hold (up to about 1.8 × 10³⁰⁸)',
  string: 'a text',
  object: 'an object',
  array: 'a list',
  boolean: 'true or false',
}

function boundWords({ side, limit, isIncluded }: Bound): string {
  if (side === 'min') return `${isIncluded ? 'at least' : 'more than'} ${limit}`
  return `${isIncluded ? 'at most' : 'less than'} ${limit}`
}

function named(path: string): string {
  return path === '' ? 'The check document' : `“${path}”`
}

/** The longest piece of what was seen that a message repeats. */
const MAX_SHOWN = 60

function shown(value: unknown): string {
  if (typeof value === 'number') return String(value)
  const text = JSON.stringify(value) ?? String(value)
  return text.length > MAX_SHOWN ? `${beginningOf(text, MAX_SHOWN)}…` : text
}
