import type { Condition, ConditionCode } from '@/claims/terms/condition'
import type { Method } from '@/claims/terms/names'
import { formatNumber, formatPValue } from '../figures'
import { METHOD_WORDS } from './methods'

const p = (pValue: number) =>
  `p ${pValue < 0.001 ? formatPValue(pValue, 0.05) : `= ${formatPValue(pValue, 0.05)}`}`

type FiguresOf<Code extends ConditionCode> = Extract<Condition, { code: Code }>['figures']

const INDEPENDENT = 'It is stated that the readings were taken independently of one another. '
const takenOf = (share: number) => `The sample is ${formatNumber(share * 100, 1)}\u202f% of the lot`
const smallShare = ({ share }: Readonly<{ share: number }>) =>
  `${takenOf(share)}, no more than a tenth, so drawing without replacement does not make them depend on one another.`
const largeShare = ({ share }: Readonly<{ share: number }>) =>
  `${takenOf(share)}, more than a tenth. A test that takes them as independent is stricter than it seems: the true standard error is smaller.`
const order = ({ p: pValue, lag1 }: FiguresOf<'order-usual'>) =>
  `(runs test, ${p(pValue)}; lag-1 autocorrelation ${formatNumber(lag1, 2)})`
const normality = (figures: FiguresOf<'normal'>) =>
  `${'w' in figures ? 'Shapiro-Wilk' : 'Anderson-Darling'} test, ${p(figures.p)}`
const expected = ({ least, needed }: FiguresOf<'counts-enough'>) =>
  formatNumber(least, least < needed ? 2 : 1)

/** What was seen of each condition, and what follows from it for the finding; `method` is the test's name. */
const SENTENCES: {
  readonly [Code in ConditionCode]: (figures: FiguresOf<Code>, method: string) => string
} = {
  'random-unknown': () =>
    'Nobody has said whether the sample was drawn at random. The finding holds only if it was.',
  'random-stated': () => 'It is stated that the sample was drawn at random.',
  'not-random': () =>
    'It is stated that the sample was not drawn at random: the finding speaks of these readings, and of others only as far as these stand for them.',
  'not-independent': () =>
    'It is stated that the readings were not taken independently of one another. The standard error can then be far too small, and the test is not to be relied on.',
  'independent-stated': () => `${INDEPENDENT}The size of the lot is not stated.`,
  'independence-unknown': () =>
    'Nobody has said whether the readings were taken independently of one another, and the size of the lot is not stated. Up to a tenth of it may be sampled as if readings were independent.',
  'small-share-stated': (figures) => `${INDEPENDENT}${smallShare(figures)}`,
  'small-share': smallShare,
  'large-share-stated': (figures) => `${INDEPENDENT}${largeShare(figures)}`,
  'large-share': largeShare,
  'order-usual': (figures) =>
    `If the readings stand in the order in which they were taken, they show no drift or pattern ${order(figures)}.`,
  'order-unusual': (figures) =>
    `If the readings stand in the order in which they were taken, they do not look like chance ${order(figures)}. They may not be independent; the standard error can then be too small or too large.`,
  'sample-large': ({ n, largeFrom }, method) =>
    `With ${n} readings, ${largeFrom} or more, the ${method} bears most populations that are not normal.`,
  'sample-small': ({ n, largeFrom }, method) =>
    `With ${n} reading${n === 1 ? '' : 's'}, fewer than ${largeFrom}, the ${method} rests on a near-normal population.`,
  'normality-unknown': (_, method) =>
    `From these figures it cannot be told whether the population is near-normal, on which the ${method} rests. The readings themselves would show it.`,
  normal: (figures) => `The readings show no sign against a normal population (${normality(figures)}).`,
  'normal-as-far-as-told': (figures) =>
    `So few readings would show only a gross departure from a normal population, and show none (${normality(figures)}).`,
  'not-normal-but-borne': (figures) =>
    `The readings do not look normal (${normality(figures)}), but a mean of so many that are not extremely skewed bears it.`,
  'not-normal': (figures, method) =>
    `The readings do not look normal (${normality(figures)}), and with so few, or so skewed, the ${method} is not to be relied on.`,
  'not-normal-at-any-size': (figures, method) =>
    `The readings do not look normal (${normality(figures)}), and the ${method} is not to be relied on then, at any size of sample. A robust method stands beside it.`,
  'symmetry-unknown': () =>
    'The readings are too few, or too equal, to tell whether the population is symmetric, on which the signed-rank test rests.',
  symmetric: () => 'The readings are no more skewed than a symmetric population would show.',
  skewed: () =>
    'The readings are skewed, while the signed-rank test rests on a symmetric population. The sign test does not.',
  'no-outliers': () => 'No reading stands out (generalised ESD test at 5\u202f%).',
  outliers: ({ outliers: count }) =>
    `${count === 1 ? 'One reading stands' : `${count} readings stand`} out (generalised ESD test at 5\u202f%). Look into ${count === 1 ? 'it' : 'each'}; a reading is set aside only for a reason of its own, and both results are shown.`,
  'counts-enough': (figures) =>
    `At the claimed value at least ${expected(figures)} successes and as many failures are expected, ${figures.needed} or more.`,
  'counts-few': (figures) =>
    `At the claimed value only ${expected(figures)} successes or failures are expected, fewer than ${figures.needed}. The score test is rough then; the exact test is not.`,
  'counts-few-but-exact': (figures) =>
    `At the claimed value only ${expected(figures)} successes or failures are expected, fewer than ${figures.needed}; the exact test needs no more.`,
}

/** A condition in a sentence. */
export function conditionSentence({ code, figures }: Condition, method: Method): string {
  const sentence = SENTENCES[code] as (figures: Condition['figures'], method: string) => string
  return sentence(figures, METHOD_WORDS[method].name)
}
