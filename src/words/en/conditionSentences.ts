import type { Condition, ConditionCode, ConditionState } from '@/claims/terms/condition'
import type { Method } from '@/claims/terms/names'
import { formatCount, formatFull, formatNumber, formatPercent, pWords } from '../figures'
import { CONDITION_STATES } from './conditionWords'
import { METHOD_WORDS } from './methods'

const p = (pValue: number) => pWords(pValue, 0.05)

type FiguresOf<Code extends ConditionCode> = Extract<Condition, { code: Code }>['figures']

const takenOf = ({ n, lotSize, share }: FiguresOf<'small-share'>) =>
  `The sample, ${formatCount(n)} of ${formatCount(lotSize)} units, is ${formatNumber(share * 100, 1)}\u202f% of the lot`

/** A risk by two digits that count: it is an estimate. */
const risk = (level: number) => formatPercent(Number(level.toPrecision(2)))
const riskWords = (level: number, stated: number) =>
  level <= stated
    ? `no more than the ${risk(stated)} stated`
    : `about ${risk(level)} instead of ${risk(stated)}`

/** What the shape of the readings does to the level of the test. */
function shapeWords(
  figures: FiguresOf<'shape-of-mean'>,
  { method, state, of = 'readings' }: Readonly<{ method: string; state: ConditionState; of?: string }>,
): string {
  const { n, skewness, excessKurtosis, standardError, level, farLevel, stated } = figures
  const [name, value] = skewness === undefined ? ['excess kurtosis', excessKurtosis!] : ['skewness', skewness]
  const shape = `The shape of the ${of} (${name} ${formatNumber(value, 2)}, standard error ${formatNumber(standardError, 2)})`
  switch (state) {
    case 'met':
      return `${shape} leaves the risk of the ${method} as it is stated, at the far end of what so many readings leave open too: ${riskWords(farLevel, stated)}.`
    case 'no-sign':
      return `${shape} is no sign that the risk of the ${method} is another than stated. But ${formatCount(n)} readings leave more open: up to ${riskWords(farLevel, stated)}.`
    default: {
      const estimate = `${shape} makes the risk of the ${method} ${riskWords(level, stated)}, by an estimate of the first order, which is rough with few readings.`
      return state === 'not-met' ? `${estimate} The test is not to be relied on.` : estimate
    }
  }
}

const asideWords = ({ setAside }: Readonly<{ setAside?: number }>) =>
  setAside === undefined
    ? ''
    : ` ${setAside === 1 ? 'One reading was' : `${formatCount(setAside)} readings were`} set aside first.`

/** What was seen with what was set aside first. */
function beforeWords({ name, withSetAside }: Condition): string {
  if (!withSetAside) return ''
  const { state, figures } = withSetAside
  if (name === 'outliers') {
    const { outliers: count = 0 } = figures
    const those = count === 0 ? 'no reading' : count === 1 ? 'one reading' : `${formatCount(count)} readings`
    return ` With what was set aside, ${those} stood out.`
  }
  const { level, stated } = figures
  return level === undefined || stated === undefined
    ? ''
    : ` With what was set aside, the risk would be ${riskWords(level, stated)} (${CONDITION_STATES[state].toLowerCase()}).`
}

const IN_ORDER = 'If the readings stand in the order in which they were taken,'
const order = ({ p: pValue, lag1, bound }: FiguresOf<'order-usual'>) =>
  `runs test, ${p(pValue)}; lag-1 autocorrelation ${formatNumber(lag1, 2)}, which chance keeps within ±${formatNumber(bound, 2)} in nine samples of ten`

/** What a correlation between neighbours does to a test of a mean. */
function correlationWords({ n, lag1, effectiveN, level, stated }: FiguresOf<'order-usual'>): string {
  if (lag1 <= 0)
    return 'Neighbours differ more than chance has it, as where two sources take turns; the risk is then not the one stated.'
  if (effectiveN === undefined || level === undefined || stated === undefined)
    return 'They may not be independent, and the risk is then not the one stated.'
  return `With such a correlation ${formatCount(n)} readings tell no more than about ${formatNumber(effectiveN, 0)} independent ones would, and the risk is ${riskWords(level, stated)}.`
}

/** What a correlation that chance explains would come to if it were real. */
function weakerWords({ n, effectiveN, level, stated }: FiguresOf<'order-usual'>): string {
  if (effectiveN === undefined || level === undefined || stated === undefined)
    return 'A weaker dependence may be there.'
  return `Were such a correlation real, ${formatCount(n)} readings would tell no more than about ${formatNumber(effectiveN, 0)} independent ones, and the risk would be ${riskWords(level, stated)}.`
}

const dayCount = (days: number) => `${formatCount(days)} ${days === 1 ? 'day' : 'days'}`

const spreadOf = ({ standardDeviation }: FiguresOf<'resolution-fine'>) =>
  formatFull(Number(standardDeviation.toPrecision(3)))

const expectedEvents = ({ expected: count }: FiguresOf<'events-enough'>) =>
  formatFull(Number(count.toFixed(2)))
const expected = ({ least }: FiguresOf<'counts-enough'>) => formatFull(Number(least.toFixed(2)))

const scatter = ({ dispersion, df, p: pValue }: FiguresOf<'overdispersed'>) =>
  `dispersion ${formatNumber(dispersion, 1)} on ${formatCount(df)} ${df === 1 ? 'degree' : 'degrees'} of freedom, ${p(pValue)}`

/** What was seen of each condition, and what follows from it for the finding; `method` is the test's name. */
const SENTENCES: {
  readonly [Code in ConditionCode]: (
    figures: FiguresOf<Code>,
    method: string,
    state: ConditionState,
  ) => string
} = {
  'random-unknown': () =>
    'Nobody has said whether the sample was drawn at random. The finding holds only if it was.',
  'random-stated': () => 'It is stated, and was not checked, that the sample was drawn at random.',
  'not-random': () =>
    'It is stated that the sample was not drawn at random: the finding speaks of these readings, and of others only as far as these stand for them.',
  'clusters-enough': ({ groups, n }) =>
    `The ${formatCount(n)} readings were taken in ${formatCount(groups)} clusters. The test takes each cluster as one, so that readings of one may be alike; it rests on the clusters being drawn one by one.`,
  'clusters-few': ({ groups, n, needed }) =>
    `The ${formatCount(n)} readings were taken in ${formatCount(groups)} clusters, fewer than ${formatCount(needed)}. The test takes each cluster as one, but so few tell little of how clusters differ.`,
  'clusters-ignored': ({ groups, n }) =>
    `The ${formatCount(n)} readings were taken in ${formatCount(groups)} clusters, and this test takes them as taken one by one. Readings of one cluster may be alike; the standard error can then be far too small. The t test by clusters allows for it.`,
  'strata-ignored': ({ groups, n }) =>
    `The ${formatCount(n)} readings were taken in ${formatCount(groups)} layers of the lot, and this test takes them as drawn from the lot as a whole: a layer with more than its part of the readings counts for too much. The t test by layers weighs them.`,
  'not-independent': () =>
    'It is stated that the units were taken in groups. Units of one group may be alike; the standard error can then be far too small, and the risk is not the one stated.',
  'independent-stated': () => 'It is stated, and was not checked, that the units were taken one by one.',
  'independence-unknown': () =>
    'Nobody has said whether the units were taken one by one or in groups (by pallet, batch, day or instrument). Units of one group may be alike; the risk is then not the one stated.',
  'small-share': (figures) =>
    `${takenOf(figures)}, no more than a tenth, so that drawing without putting back hardly matters.`,
  'large-share': (figures) =>
    `${takenOf(figures)}, more than a tenth. A test that does not allow for it is stricter than it seems: the true standard error is smaller.`,
  'order-usual': (figures) =>
    `${IN_ORDER} nothing in it stands out: ${order(figures)}. ${weakerWords(figures)}`,
  'order-unusual': (figures) =>
    `${IN_ORDER} it does not look like chance: ${order(figures)}. ${correlationWords(figures)}`,
  'normality-unknown': (_, method) =>
    `From these figures it cannot be told whether the shape of the population leaves the ${method} its risk. The readings themselves would show it.`,
  'shape-of-mean': (figures, method, state) =>
    `${shapeWords(figures, { method, state })}${asideWords(figures)}`,
  'shape-of-spread': (figures, method, state) =>
    `${shapeWords(figures, { method, state })}${asideWords(figures)}`,
  'shape-of-groups': (figures, method, state) =>
    shapeWords(figures, { method, state, of: 'clusters’ totals, or of readings weighed by their layers' }),
  'symmetry-unknown': () =>
    'The readings are too few, or too equal, to tell whether the population is symmetric, on which the signed-rank test rests.',
  symmetric: () => 'The readings are no more skewed than a symmetric population would show.',
  skewed: () =>
    'The readings are skewed, while the signed-rank test rests on a symmetric population. The sign test does not.',
  'equal-left-out': ({ equal, n }) =>
    `${equal === 1 ? 'One' : formatCount(equal)} of ${formatCount(n)} readings ${equal === 1 ? 'equals' : 'equal'} the claimed value, and the sign test leaves ${equal === 1 ? 'it' : 'them'} out: it says on which side most of the others lie, and not where the median is.`,
  'no-outliers': (figures) =>
    `No reading stands out (generalised ESD test at 5\u202f%).${asideWords(figures)}`,
  outliers: ({ outliers: count, setAside }) =>
    `${count === 1 ? 'One reading stands' : `${count} readings stand`} out (generalised ESD test at 5\u202f%). Look into ${count === 1 ? 'it' : 'each'}; a reading is set aside only for a reason of its own, and both results are shown.${asideWords({ setAside })}`,
  'counts-enough': (figures) =>
    `At the claimed value at least ${expected(figures)} units of either kind are expected, ${figures.needed} or more.`,
  'counts-few': (figures) =>
    `At the claimed value only ${expected(figures)} units of one kind are expected, fewer than ${figures.needed}. The score test is rough then; the exact test is not.`,
  'counts-few-but-exact': (figures) =>
    `At the claimed value only ${expected(figures)} units of one kind are expected, fewer than ${figures.needed}; the exact test needs no more.`,
  'events-enough': (figures) =>
    `At the claimed rate ${expectedEvents(figures)} events are expected, ${figures.needed} or more.`,
  'events-few': (figures) =>
    `At the claimed rate only ${expectedEvents(figures)} events are expected, fewer than ${figures.needed}. The score test is rough then; the exact test is not.`,
  'events-few-but-exact': (figures) =>
    `At the claimed rate only ${expectedEvents(figures)} events are expected, fewer than ${figures.needed}; the exact test needs no more.`,
  'resolution-fine': (figures) =>
    `The instrument shows steps of ${formatFull(figures.resolution)}, no more than the standard deviation of the readings, ${spreadOf(figures)}.`,
  'resolution-coarse': (figures) =>
    `The instrument shows steps of ${formatFull(figures.resolution)}, more than the standard deviation of the readings, ${spreadOf(figures)}: much of the scatter that is seen is rounding.`,
  'resolution-hides': ({ resolution }) =>
    `All readings are equal, as an instrument with steps of ${formatFull(resolution)} may show them: how much they differ is hidden by rounding.`,
  'calibration-unknown': () =>
    'It is stated when the instrument was calibrated, and not when the readings were taken: whether it was in date cannot be told.',
  'calibration-in-date': ({ days }) =>
    `As is stated, the calibration of the instrument was in date on the day of measurement, ${days === 0 ? 'its last day' : `for ${dayCount(days)} more`}.`,
  'calibration-open': ({ days }) =>
    `As is stated, the instrument was calibrated ${days === 0 ? 'on the day of measurement' : `${dayCount(days)} before the readings were taken`}; until when that holds is not stated.`,
  'calibrated-after': ({ days }) =>
    `As is stated, the instrument was calibrated only ${dayCount(days)} after the readings were taken. What it read before, nobody has shown.`,
  'calibration-overdue': ({ days }) =>
    `As is stated, the calibration of the instrument had been overdue for ${dayCount(days)} when the readings were taken. They are not to be relied on until it is shown that the instrument still read rightly.`,
  'dispersion-unknown': () =>
    'Whether the events come singly and at one rate cannot be told from their total. Where one brings others with it, or the rate changes, counts scatter more, and the risk is not the one stated. Counts of several stretches would show it.',
  'dispersion-usual': (figures) =>
    `The counts of the ${formatCount(figures.stretches)} stretches scatter no more than those of events that come singly at one rate may: ${scatter(figures)}. A small excess may be there.`,
  overdispersed: (figures) =>
    `The counts of the ${formatCount(figures.stretches)} stretches scatter more than those of events that come singly at one rate: ${scatter(figures)}. The test does not allow for that; the risk is then larger than the one stated.`,
}

/** A condition in a sentence. */
export function conditionSentence(condition: Condition, method: Method): string {
  const { code, figures, state } = condition
  const sentence = SENTENCES[code] as (
    figures: Condition['figures'],
    method: string,
    state: ConditionState,
  ) => string
  return `${sentence(figures, METHOD_WORDS[method].name, state)}${beforeWords(condition)}`
}
