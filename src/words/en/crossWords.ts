import type { Asked, LeftOut, NamedReading, Remark } from '@/claims/crossexamination/asked'
import { type Examined, standing } from '@/claims/crossexamination/question'
import { formatCount, formatFull, formatPercent, formatReading, withUnit } from '../figures'
import { METHOD_WORDS } from './methods'
import { PARAMETER_NOUNS } from './parameters'
import { problemWords } from './problems'

/** Readings named one by one; more are counted. */
const MAX_NAMED = 4

const sourceWords = (of: NamedReading['of']) => (of ? ` of the ${of} source` : '')

function readingWords({ index, value, of, claim }: NamedReading): string {
  return `no. ${index + 1}${sourceWords(of)} (${withUnit(formatReading(value), claim.unit)})`
}

function listed(names: readonly string[], count: number): string {
  if (names.length > MAX_NAMED) return `${formatCount(count)} readings`
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`
}

/** What is asked in a cross-examination: it ends the sentence "Would the finding stand if …". */
export function askedWords(asked: Asked): string {
  switch (asked.ask) {
    case 'one-back':
      return `${readingWords(asked.reading)}, which is set aside, were put back`
    case 'all-back':
      return 'everything that is set aside were put back'
    case 'unreadable': {
      const { values, count, of, claim } = asked
      const shown = values.map((value) => withUnit(formatReading(value), claim.unit))
      const what = values.length === 1 ? 'the reading' : 'the readings'
      const some = values.length < count ? `${formatCount(values.length)} of the ` : 'the '
      const entries = count === 1 ? 'entry' : 'entries'
      return `${some}${entries} set aside as unreadable${sourceWords(of)} were ${what} ${listed(shown, shown.length)}`
    }
    case 'without': {
      const { readings } = asked
      const how = asked.by === 'test' ? 'by the test for outliers' : 'beyond the fences'
      const many = readings.length > MAX_NAMED ? sourceWords(readings[0]?.of) : ''
      return `${listed(readings.map(readingWords), readings.length)}${many}, ${how}, were left out`
    }
    case 'each-left-out':
      return `each single ${asked.unit} were left out in turn`
    case 'burden':
      return asked.burden === 'challenge'
        ? 'the claim stood unless contradicted'
        : 'the claim had to be shown'
    case 'level':
      return `the significance level were ${formatFull(asked.level)} (${formatPercent(asked.level)})`
    case 'method': {
      const { name, insteadOf } = METHOD_WORDS[asked.method]
      return insteadOf?.[asked.used] ?? `the ${name} were used`
    }
    case 'mid-p':
      return `the mid-p rule were ${asked.isUsed ? 'used' : 'not used'}`
    case 'continuity':
      return `the count were ${asked.isCorrected ? '' : 'not '}corrected for continuity`
    case 'parameter':
      return `the claim were held of the ${PARAMETER_NOUNS[asked.parameter]} (${METHOD_WORDS[asked.method].name})`
    case 'turning':
      return 'the claimed value were another one'
    case 'planned': {
      const what = asked.isInside
        ? 'a value like this were to be shown inside the tolerance'
        : 'a gap like this were to be found'
      return `${what} with a power of ${formatPercent(asked.power)}`
    }
    default:
      return asked satisfies never
  }
}

/** What else there is to say of a question: where the finding turns, or why it could not be asked. */
export function remarkWords(remark: Remark): string {
  switch (remark.remark) {
    case 'problem':
      return problemWords(remark.problem).message
    case 'no-gap':
      return 'The sample shows no gap on the side that the test looks at.'
    case 'planned-by':
      return `Planned for the ${METHOD_WORDS[remark.method].name}.`
    case 'readings-needed':
      return 'This needs the readings themselves.'
    case 'too-few-left':
      return 'Too few readings would be left.'
    case 'left-out':
      return leftOutWords(remark)
    case 'turning-not-sought':
      return 'This is not looked for by resampling.'
    case 'never-turns':
      return 'It turns at no claimed value.'
    default:
      return remark satisfies never
  }
}

function leftOutWords({ tried, turning, names, untried }: Extract<Remark, { remark: 'left-out' }>): string {
  const rest = untried === 0 ? '' : ` ${formatCount(untried)} readings in between were not tried.`
  if (turning === 0) return `It stands without any one of ${formatCount(tried)}.${rest}`
  const which =
    names.length > MAX_NAMED ? `any of ${formatCount(turning)}` : listed(names.map(unitWords), turning)
  return `It turns without ${which}; it stands without any other of ${formatCount(tried)}.${rest}`
}

function unitWords(unit: LeftOut): string {
  if (unit.unit === 'counted')
    return unit.which === 'with' ? 'any unit that counts' : 'any unit that does not count'
  const { reading, count } = unit
  if (count === 1) return readingWords(reading)
  const value = withUnit(formatReading(reading.value), reading.claim.unit)
  return `any of the ${formatCount(count)} at ${value}${sourceWords(reading.of)}`
}

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
export function standingWords(answers: readonly Pick<Examined, 'stands' | 'asked'>[]): string {
  const { stands, of } = standing(answers)
  const turning = answers.filter((answer) => answer.stands === false)
  const rest =
    turning.length === 0
      ? ''
      : ` It turns if ${askedWords(turning[0]!.asked)}${turning.length > 1 ? `, and in ${turning.length - 1} more` : ''}.`
  return `Stands in ${stands} of ${of}.${rest}`
}
