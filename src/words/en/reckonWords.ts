import type { PointFigures } from '@/statistics/distributions/pointFigures'
import { formatFull, formatFullPValue, withUnit } from '../figures'
import type { Ends } from '@/statistics/inference/interval'
import type { FigureLine } from './testLines'
import type { DistributionField, DistributionName, ReckonDraft, ReckonTail } from '@/desk/reckonDraft'

/** A distribution in the sentence "Of … distribution with … degrees of freedom": its name, and what stands round its figures. */
export const DISTRIBUTION_WORDS: Readonly<
  Record<
    DistributionName,
    Readonly<{
      name: string
      spots: readonly Readonly<{ before: string; field: DistributionField }>[]
      after: string
    }>
  >
> = {
  normal: { name: 'a standard normal', spots: [], after: '' },
  t: { name: 'a t', spots: [{ before: ' with', field: 'df' }], after: 'degrees of freedom' },
  'chi-square': {
    name: 'a chi-square',
    spots: [{ before: ' with', field: 'df' }],
    after: 'degrees of freedom',
  },
  f: {
    name: 'an F',
    spots: [
      { before: ' with', field: 'df1' },
      { before: ' and', field: 'df2' },
    ],
    after: 'degrees of freedom',
  },
  beta: {
    name: 'a beta',
    spots: [
      { before: ' with the shapes', field: 'a' },
      { before: ' and', field: 'b' },
    ],
    after: '',
  },
  'noncentral-t': {
    name: 'a noncentral t',
    spots: [
      { before: ' with', field: 'df' },
      { before: ' degrees of freedom and a noncentrality of', field: 'ncp' },
    ],
    after: '',
  },
  binomial: {
    name: 'a binomial',
    spots: [
      { before: ' of', field: 'n' },
      { before: ' units, of which each counts with a chance of', field: 'p' },
    ],
    after: '',
  },
  hypergeometric: {
    name: 'a hypergeometric',
    spots: [
      { before: ' of', field: 'n' },
      { before: ' units out of a lot of', field: 'lotSize' },
      { before: ', of which', field: 'marked' },
    ],
    after: 'count',
  },
  poisson: { name: 'a Poisson', spots: [{ before: ' with a mean of', field: 'mean' }], after: 'events' },
  'signed-rank': { name: 'a signed-rank', spots: [{ before: ' of', field: 'n' }], after: 'ranks' },
}

export const FIELD_NAMES: Readonly<Record<DistributionField, string>> = {
  df: 'number of degrees of freedom',
  df1: 'number of degrees of freedom of the numerator',
  df2: 'number of degrees of freedom of the denominator',
  a: 'first shape',
  b: 'second shape',
  ncp: 'noncentrality',
  n: 'number of units',
  p: 'chance',
  lotSize: 'size of the lot',
  marked: 'number that counts in the lot',
  mean: 'mean',
}

/** What stands behind the figures of a distribution. */
export const afterFigures = ({ name, fields }: Pick<ReckonDraft, 'name' | 'fields'>): string => {
  const { after } = DISTRIBUTION_WORDS[name]
  const isOne = fields.df?.trim() === '1' && after.startsWith('degrees')
  return after && ` ${isOne ? after.replace('degrees', 'degree') : after}`
}

/** Where something lies, of a curve and of whole numbers. */
export const TAIL_WORDS: Readonly<Record<'curve' | 'whole', Readonly<Record<ReckonTail, string>>>> = {
  curve: { lower: 'below', upper: 'above', both: 'beyond' },
  whole: { lower: 'at or below', upper: 'at or above', both: 'at or beyond' },
}

/** A probability; one that a double has no room for has its natural logarithm only. */
export type Share = Readonly<{ pValue?: number; logPValue?: number }>

export const shareOf = (pValue: number | undefined, logPValue: number | undefined): Share => ({
  ...(pValue === undefined ? {} : { pValue }),
  ...(logPValue === undefined ? {} : { logPValue }),
})

/** Digits that are read at a glance, and below what part of a percent a percentage says less than a power of ten. */
const [GLANCE_DIGITS, LEAST_PERCENT] = [6, 1e-5]

/** A figure of the reckoner, to as many digits as are read at a glance. */
export const shownFigure = (value: number): string => formatFull(Number(value.toPrecision(GLANCE_DIGITS)))

/** A probability in percent, or where that is next to nothing as it is. */
export function shownShare({ pValue, logPValue }: Share): string {
  if (pValue !== undefined && (pValue === 0 || pValue >= LEAST_PERCENT)) {
    const shown = shownFigure(Number((pValue * 100).toPrecision(12)))
    // Nearly all is not all.
    return withUnit(pValue < 1 && shown === '100' ? '> 99.9999' : shown, '%')
  }
  return formatFullPValue({ logPValue: logPValue ?? Math.log(pValue!) })
}

/** The figures at one point, each with its name; P is of the distribution's own variable X. */
export function pointLines(
  { x, lower, upper, logLower, logUpper, density, below, atLeast, both }: PointFigures,
  isWhole: boolean,
): readonly FigureLine[] {
  const at = shownFigure(x)
  const line = (name: string, pValue: number | undefined, logPValue?: number): readonly FigureLine[] =>
    pValue === undefined && logPValue === undefined
      ? []
      : [
          {
            name,
            shown: shownShare(shareOf(pValue, logPValue)),
            full: formatFullPValue(shareOf(pValue, logPValue)),
          },
        ]
  return isWhole
    ? [
        ...line(`below ${at}`, below),
        ...line(`exactly ${at}`, density),
        ...line(`at or below ${at}`, lower, logLower),
        ...line(`at or above ${at}`, atLeast),
        ...line(`above ${at}`, upper, logUpper),
        ...line('twice the smaller tail', both),
      ]
    : [
        ...line(`below ${at}`, lower, logLower),
        ...line(`above ${at}`, upper, logUpper),
        ...line('twice the smaller tail', both),
      ]
}

/**
 * What stands round the two numbers: "at most 5 % lies at or below 5", or where a point is typed "4.1 % is twice what lies at or
 * beyond 5", since whole numbers on the other side leave another share.
 */
export function reckonWords(
  { tail, given }: Pick<ReckonDraft, 'tail' | 'given'>,
  isWhole: boolean,
): Readonly<{ before: string; verb: string; after: string }> {
  const isTwice = isWhole && tail === 'both' && given === 'point'
  return {
    before: isWhole && given === 'probability' ? 'at most ' : '',
    verb: isTwice ? 'is twice what lies' : 'lies',
    after: tail === 'both' && !isWhole ? ', half of it on either side.' : '.',
  }
}

/** A reckoning as one sentence, with the figures as they are shown. */
export function spokenReckoning(
  draft: ReckonDraft,
  { ends, share: own, isWhole }: Readonly<{ ends: Ends; share: Share; isWhole: boolean }>,
): string {
  const { name, fields, given, text, tail } = draft
  const { name: what, spots } = DISTRIBUTION_WORDS[name]
  const known = spots.map(({ before, field }) => `${before} ${fields[field] ?? ''}`)
  const words = reckonWords(draft, isWhole)
  const points = [ends.lower, ends.upper].filter((end) => end !== undefined).map(shownFigure)
  const inFact = isWhole && given === 'probability' ? ` In fact it is ${shownShare(own)}.` : ''
  const probability = given === 'probability' ? text.trim() : shownShare(own)
  return `Of ${what} distribution${known.join('')}${afterFigures(draft)}, ${words.before}${probability} ${words.verb} ${TAIL_WORDS[isWhole ? 'whole' : 'curve'][tail]} ${points.join(' and ')}${words.after}${inFact}`
}
