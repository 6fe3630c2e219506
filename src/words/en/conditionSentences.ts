import type { Method } from '@/statistics/inference/procedure'
import { formatNumber, formatPValue } from '../figures'
import { METHOD_NAMES } from './methodWords'

const p = (pValue: number) =>
  `p ${pValue < 0.001 ? formatPValue(pValue, 0.05) : `= ${formatPValue(pValue, 0.05)}`}`

/** What was seen of each condition, and what follows from it for the finding. */
export const conditionSentences = {
  randomSample: (state: 'unknown' | 'met' | 'not-met') =>
    ({
      unknown: 'Nobody has said whether the sample was drawn at random. The finding holds only if it was.',
      met: 'It is stated that the sample was drawn at random.',
      'not-met':
        'It is stated that the sample was not drawn at random: the finding speaks of these readings, and of others only as far as these stand for them.',
    })[state],
  independence: (
    stated: 'independent' | 'not-independent' | undefined,
    share: number | undefined,
    mostShare: number,
  ) => {
    if (stated === 'not-independent')
      return 'It is stated that the readings were not taken independently of one another. The standard error can then be far too small, and the test is not to be relied on.'
    const answer = stated ? 'It is stated that the readings were taken independently of one another. ' : ''
    return answer + (share === undefined ? lotNotStated(stated) : shareOfLot(share, share <= mostShare))
  },
  order: (pValue: number, isUsual: boolean, lag1: number) =>
    isUsual
      ? `If the readings stand in the order in which they were taken, they show no drift or pattern (runs test, ${p(pValue)}; lag-1 autocorrelation ${formatNumber(lag1, 2)}).`
      : `If the readings stand in the order in which they were taken, they do not look like chance (runs test, ${p(pValue)}; lag-1 autocorrelation ${formatNumber(lag1, 2)}). They may not be independent; the standard error can then be too small or too large.`,
  sampleSize: ({
    n,
    method,
    largeFrom,
    isLarge,
  }: Readonly<{ n: number; method: Method; largeFrom: number; isLarge: boolean }>) =>
    isLarge
      ? `With ${n} readings, ${largeFrom} or more, the ${METHOD_NAMES[method]} bears most populations that are not normal.`
      : `With ${n} reading${n === 1 ? '' : 's'}, fewer than ${largeFrom}, the ${METHOD_NAMES[method]} rests on a near-normal population.`,
  normalityUnknown: (method: Method) =>
    `From these figures it cannot be told whether the population is near-normal, on which the ${METHOD_NAMES[method]} rests. The readings themselves would show it.`,
  normality: ({
    test,
    p: pValue,
    isAgainst,
    isBorne,
    isTelling,
    method,
  }: Readonly<{
    test: string
    p: number
    isAgainst: boolean
    isBorne: boolean
    isTelling: boolean
    method: Method
  }>) => {
    const name = METHOD_NAMES[method]
    const seen = `${test} test, ${p(pValue)}`
    if (!isAgainst && isTelling) return `The readings show no sign against a normal population (${seen}).`
    if (!isAgainst)
      return `So few readings would show only a gross departure from a normal population, and show none (${seen}).`
    if (isBorne)
      return `The readings do not look normal (${seen}), but a mean of so many that are not extremely skewed bears it.`
    return method === 'chi-square' || method === 'f'
      ? `The readings do not look normal (${seen}), and the ${name} is not to be relied on then, at any size of sample. A robust method stands beside it.`
      : `The readings do not look normal (${seen}), and with so few, or so skewed, the ${name} is not to be relied on.`
  },
  symmetryUnknown: () =>
    'The readings are too few, or too equal, to tell whether the population is symmetric, on which the signed-rank test rests.',
  symmetry: (isUsual: boolean) =>
    isUsual
      ? 'The readings are no more skewed than a symmetric population would show.'
      : 'The readings are skewed, while the signed-rank test rests on a symmetric population. The sign test does not.',
  outliers: (count: number) =>
    count === 0
      ? 'No reading stands out (generalised ESD test at 5\u202f%).'
      : `${count === 1 ? 'One reading stands' : `${count} readings stand`} out (generalised ESD test at 5\u202f%). Look into ${count === 1 ? 'it' : 'each'}; a reading is set aside only for a reason of its own, and both results are shown.`,
  expectedCounts: ({
    least,
    needed,
    isEnough,
    isExact,
  }: Readonly<{ least: number; needed: number; isEnough: boolean; isExact: boolean }>) => {
    const shown = formatNumber(least, least < needed ? 2 : 1)
    if (isEnough)
      return `At the claimed value at least ${shown} successes and as many failures are expected, ${needed} or more.`
    return isExact
      ? `At the claimed value only ${shown} successes or failures are expected, fewer than ${needed}; the exact test needs no more.`
      : `At the claimed value only ${shown} successes or failures are expected, fewer than ${needed}. The score test is rough then; the exact test is not.`
  },
} as const

function lotNotStated(stated: 'independent' | undefined): string {
  const rule = 'Up to a tenth of it may be sampled as if readings were independent.'
  return stated
    ? 'The size of the lot is not stated.'
    : `Nobody has said whether the readings were taken independently of one another, and the size of the lot is not stated. ${rule}`
}

function shareOfLot(share: number, isSmall: boolean): string {
  const taken = `The sample is ${formatNumber(share * 100, 1)}\u202f% of the lot`
  return isSmall
    ? `${taken}, no more than a tenth, so drawing without replacement does not make them depend on one another.`
    : `${taken}, more than a tenth. A test that takes them as independent is stricter than it seems: the true standard error is smaller.`
}
