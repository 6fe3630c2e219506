import type { Burden, Claim } from '@/claims/claim'
import { type Examined, standing } from '@/claims/crossexamination/question'
import type { Method } from '@/statistics/inference/procedure'
import { formatCount, formatFull, formatPercent, formatReading, withUnit } from '../figures'
import { METHOD_NAMES } from './methodWords'

type Reading = Readonly<{
  /** From 0, among all readings. */
  index: number
  value: number
  of: 'first' | 'second' | undefined
  claim: Pick<Claim, 'unit'>
}>

/** Readings named one by one; more are counted. */
const MOST_NAMED = 4

const sourceWords = (of: Reading['of']) => (of ? ` of the ${of} source` : '')

function readingWords({ index, value, of, claim }: Reading): string {
  return `no. ${index + 1}${sourceWords(of)} (${withUnit(formatReading(value), claim.unit)})`
}

function listed(names: readonly string[], count: number): string {
  if (names.length > MOST_NAMED) return `${formatCount(count)} readings`
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`
}

/** What is asked in a cross-examination: each ends the sentence "Would the finding stand if …". */
export const crossWords = {
  oneBack: (reading: Reading) => `${readingWords(reading)}, which is set aside, were put back`,
  allBack: () => 'everything that is set aside were put back',
  without: (
    input: Readonly<{
      indexes: readonly number[]
      by: 'test' | 'fences'
      list: Readonly<{ values: readonly number[]; of?: 'first' | 'second' }>
      claim: Pick<Claim, 'unit'>
    }>,
  ) => {
    const { indexes, by, list, claim } = input
    const names = indexes.map((index) =>
      readingWords({ index, value: list.values[index]!, of: list.of, claim }),
    )
    const how = by === 'test' ? 'by the test for outliers' : 'beyond the fences'
    const many = indexes.length > MOST_NAMED ? sourceWords(list.of) : ''
    return `${listed(names, indexes.length)}${many}, ${how}, were left out`
  },
  eachLeftOut: (unit: 'reading' | 'unit') => `each single ${unit} were left out in turn`,
  burden: (burden: Burden) =>
    burden === 'challenge' ? 'the claim stood unless contradicted' : 'the claim had to be shown',
  level: (level: number) => `the significance level were ${formatFull(level)} (${formatPercent(level)})`,
  method: (method: Method) => `the ${METHOD_NAMES[method]} were used`,
  spreadFromSample: () => 'the standard deviation were not taken as known (t test)',
  midP: (isUsed: boolean) => `the mid-p rule were ${isUsed ? 'used' : 'not used'}`,
  continuity: (isCorrected: boolean) =>
    isCorrected ? 'the count were corrected for continuity' : 'the count were not corrected for continuity',
  median: () => 'the claim were held of the median (signed-rank test)',
  turning: () => 'the claimed value were another one',
  planned: (power: number, isInside: boolean) => {
    const what = isInside
      ? 'a value like this were to be shown inside the tolerance'
      : 'a gap like this were to be found'
    return `${what} with a power of ${formatPercent(power)}`
  },

  noGap: () => 'The sample shows no gap on the side that the test looks at.',
  plannedBy: (method: Method) => `Planned for the ${METHOD_NAMES[method]}.`,

  reading: ({ count, ...reading }: Reading & Readonly<{ count: number }>) =>
    count === 1
      ? readingWords(reading)
      : `any of the ${formatCount(count)} at ${withUnit(formatReading(reading.value), reading.claim.unit)}${sourceWords(reading.of)}`,
  oneCounted: (which: 'with' | 'without') =>
    which === 'with' ? 'any unit that counts' : 'any unit that does not count',
  readingsNeeded: () => 'This needs the readings themselves.',
  tooFewLeft: () => 'Too few readings would be left.',
  leftOut: (
    input: Readonly<{ tried: number; turning: number; names: readonly string[]; untried: number }>,
  ) => {
    const { tried, turning, names, untried } = input
    const rest = untried === 0 ? '' : ` ${formatCount(untried)} readings in between were not tried.`
    if (turning === 0) return `It stands without any one of ${formatCount(tried)}.${rest}`
    const which = names.length > MOST_NAMED ? `any of ${formatCount(turning)}` : listed(names, turning)
    return `It turns without ${which}; it stands without any other of ${formatCount(tried)}.${rest}`
  },
  turningNotSought: () => 'This is not looked for by resampling.',
  neverTurns: () => 'It turns at no claimed value.',
} as const

/** Where a finding turns, in its own unit; a place too near to the claimed value to be told from it is named by its side. */
export function turnsAt(
  value: number,
  claimed: number,
  show: (value: number) => string,
): Readonly<{ words: string; shown: string }> {
  const shown = show(value)
  if (shown !== show(claimed)) return { words: 'it turns at', shown }
  return { words: `it turns just ${value < claimed ? 'below' : 'above'}`, shown }
}

/** How a finding fared: "Stands in 11 of 12. It turns if …". */
export function standingWords(answers: readonly Pick<Examined, 'stands' | 'words'>[]): string {
  const { stands, of } = standing(answers)
  const turning = answers.filter((answer) => answer.stands === false)
  const rest =
    turning.length === 0
      ? ''
      : ` It turns if ${turning[0]!.words}${turning.length > 1 ? `, and in ${turning.length - 1} more` : ''}.`
  return `Stands in ${stands} of ${of}.${rest}`
}
