import type { ClaimWarning } from '@/claims/terms/warnings'
import { formatFull, formatNumber, formatPercent } from '../figures'
import { METHOD_WORDS } from './methods'
import { RELATION_WORDS } from './relations'

type Code = ClaimWarning['code']
type FiguresOf<C extends Code> = Extract<ClaimWarning, { code: C }>['figures']

const significant = (value: number) => formatFull(Number(value.toPrecision(4)))

/** What a reader of a result should know of what was done. */
const MESSAGES: { readonly [C in Code]: (figures: FiguresOf<C>) => string } = {
  'alternative-disagrees-with-claim': ({ alternative, relation }) =>
    `The alternative “${alternative}” was stated and used; it is not the one that follows from “${RELATION_WORDS[relation]}” and its burden.`,
  'tolerance-not-used': ({ relation }) => `The tolerance plays no part in “${RELATION_WORDS[relation]}”.`,
  'alternative-points-away': ({ isAbove }) =>
    `The sample lies ${isAbove ? 'above' : 'below'} the claimed value, the alternative hypothesis ${isAbove ? 'below' : 'above'} it; such a sample cannot speak for it.`,
  'unusual-level': ({ significanceLevel }) =>
    `A significance level of ${formatPercent(significanceLevel)} is unlike those in use. Where 95\u202f% confidence is meant, the level is 0.05.`,
  'known-standard-deviation-not-used': ({ method }) =>
    `A known standard deviation was stated, but the ${METHOD_WORDS[method].name} does not use it.`,
  'unusual-known-standard-deviation': ({ stated, standardDeviation, from, to }) =>
    `The known standard deviation is ${formatFull(stated)}, but the sample’s is ${significant(standardDeviation)}: for a normal population the 99.9\u202f% interval from it runs from ${significant(from)} to ${significant(to)}. Check the figure and its unit.`,
  'continuity-correction-not-used': ({ method }) =>
    `The continuity correction plays no part in the ${METHOD_WORDS[method].name}.`,
  'exact-options-not-used': ({ method }) =>
    `The two-sided rule and mid-p belong to the exact binomial test; they play no part in the ${METHOD_WORDS[method].name}.`,
  'finite-lot-not-used': ({ method }) =>
    `The test was to allow for the size of the lot; the ${METHOD_WORDS[method].name} does not.`,
  'measurement-not-used': ({ method }) =>
    `The test was to allow for the uncertainty of the measurement; the ${METHOD_WORDS[method].name} does not.`,
  'measurement-not-allowed-for': ({ systematic }) =>
    `A standard uncertainty of ${formatFull(systematic)} is stated that all readings share, and the test does not allow for it: taking more readings does not make it smaller.`,
  'mid-p': () =>
    'Half of the observed outcome’s probability is counted (mid-p): the true risk can then be a little above the level.',
  'wald-interval': () =>
    'The Wald interval holds the true share less often than its level says, far less near 0 and 1. It is here so that a hand calculation can be checked; a finding should rest on another.',
  'interval-beyond-shares': ({ method }) =>
    `The interval of the ${METHOD_WORDS[method].name} reaches beyond 0\u202f% or 100\u202f%, where no share lies: the groups are too few, or too unlike, to tell the share closely.`,
  'interval-disagrees': intervalDisagrees,
  'large-share-of-lot': ({ share, method }) =>
    `The sample is ${formatNumber(share * 100, 1)}\u202f% of the lot, more than a tenth; the ${METHOD_WORDS[method].name} takes readings as independent and is stricter than it seems.`,
  'censored-counted': ({ below, above }) =>
    `${[below > 0 && `${below} ${below === 1 ? 'reading says' : 'readings say'} only “below”`, above > 0 && `${above} only “above”`].filter(Boolean).join(' and ')} a limit: counted on that side, where each is known to lie.`,
  'no-variation': () =>
    'All readings are equal. If the instrument shows more digits, enter them; add none that it did not show.',
  'few-readings': ({ fewerThan }) =>
    `With fewer than ${fewerThan} readings the result rests on what is assumed of the population more than on the sample.`,
  'sample-too-small-to-reject': ({ significanceLevel }) =>
    `At a significance level of ${formatPercent(significanceLevel)} no outcome of a sample of this size would reject the null hypothesis. Only a larger sample can.`,
  'p-value-below-range': () =>
    'The p-value is smaller than a double can hold; it is shown as a power of ten, from its log.',
  'no-interval': missingInterval,
  'interval-without-end': () =>
    'One end of the interval cannot be computed from this sample at this level; it is left out.',
  'no-critical-estimates': () =>
    'With readings tied, or equal to the claimed value, no estimate can be named at which the decision turns.',
  'no-effect-size': ({ why }) =>
    why === 'too-large'
      ? 'The sample’s standard deviation is too small beside the gap, or rests on too few readings, to measure the gap by it; no effect size is given.'
      : 'The sample has no standard deviation above 0 to measure the gap by; no effect size is given.',
}

function intervalDisagrees(figures: FiguresOf<'interval-disagrees'>): string {
  const { level, significanceLevel, isOneSided, holds } = figures
  const interval = `two-sided ${formatPercent(level)} interval`
  const beyond = formatPercent(Number(((1 - level) / 2).toPrecision(6)))
  if (!isOneSided)
    return `The ${interval} ${holds ? 'holds the claimed value, and yet the test rejects it' : 'leaves the claimed value out, and yet the test does not reject it'}: the two are of different kinds or levels, and so near to the edge they part.`
  return holds
    ? `The ${interval} holds the claimed value, and yet the test rejects it: the interval leaves ${beyond} beyond either end, the test looks to one side and leaves ${formatPercent(significanceLevel)} there. The one-sided bound is what goes with the test.`
    : `The ${interval} leaves the claimed value out, and yet the test does not reject it: the sample lies on the side that the test does not look at, or the two are of different kinds.`
}

function missingInterval(figures: FiguresOf<'no-interval'>): string {
  if (figures.why === 'level')
    return `At the significance level ${formatFull(figures.significanceLevel)} the confidence level would round to 1, so no interval is given. State a confidence level below 1.`
  const { noInterval } = METHOD_WORDS[figures.method]
  return figures.why === 'method' && noInterval
    ? noInterval
    : 'The sample is too small, or too uneven, for an interval at this level; none is given.'
}

/** A warning in words. */
export function warningWords({ code, figures }: ClaimWarning): Readonly<{ code: Code; message: string }> {
  const message = MESSAGES[code] as (figures: ClaimWarning['figures']) => string
  return { code, message: message(figures) }
}
