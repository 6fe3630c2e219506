import type { Problem } from '../outcome'

const problem = (code: string, path: string, message: string): Problem => ({ code, path, message })

/** Every problem the computation can meet: what is wrong, with the value seen, and what would be right. */
export const problems = {
  tooFewReadings: (seen: number, needed: number) =>
    problem(
      'too-few-readings',
      'evidence',
      `${seen === 1 ? '1 reading is' : `${seen} readings are`} left to test; this test needs at least ${needed}.`,
    ),
  noVariation: (path: string) =>
    problem(
      'no-variation',
      path,
      'The standard deviation is 0: all readings are equal, so a t test cannot be made. Check the readings, or enter them with more decimals.',
    ),
  standardDeviationNeeded: () =>
    problem(
      'standard-deviation-needed',
      'evidence',
      'The t test needs the sample’s standard deviation or variance. State one of them, or a known standard deviation for the z test.',
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
  bothSpreads: () =>
    problem(
      'both-spreads',
      'evidence',
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
