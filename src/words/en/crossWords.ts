import type { Asked, LeftOut, NamedReading, Remark } from '@/claims/crossexamination/asked'
import type { FindingOutcome } from '@/claims/finding'
import { type Examined, isScored, standing } from '@/claims/crossexamination/question'
import { formatCount, formatFull, formatPercent, formatReading, withUnit } from '../figures'
import { METHOD_WORDS } from './methods'
import { PARAMETER_NOUNS } from './parameters'
import { problemWords } from './problems'

/** Readings named one by one; more are counted. */
const MAX_NAMED = 4

const sourceWords = (of: NamedReading['of']) => (of ? ` of the ${of} source` : '')

/** How a reading is named: by its row of the sheet where that is known. */
export type ReadingName = (reading: NamedReading) => string

const byPlace: ReadingName = ({ index, value, of, claim }) =>
  `reading ${formatCount(index + 1)}${sourceWords(of)} (${withUnit(formatReading(value), claim.unit)})`

/** Where readings stand in their sheet, and what they were before they were converted. */
type Placed = Readonly<{
  rows: readonly number[]
  measured?: Readonly<{ values: readonly number[]; unit: string }> | undefined
}>

/**
 * Names readings by their rows, as they were measured and then as they were converted: "row 13,839 (74 h, 3.083333 d)".
 *
 * @param placed - of the one source, or of both
 */
export function byRow(placed: Readonly<{ first: Placed; second?: Placed | undefined }>): ReadingName {
  return (reading) => {
    const { rows, measured } = placed[reading.of ?? 'first'] ?? placed.first
    const row = rows[reading.index]
    if (row === undefined) return byPlace(reading)
    const value = withUnit(formatReading(reading.value), reading.claim.unit)
    const before = measured?.values[reading.index]
    const shown =
      before === undefined ? value : `${withUnit(formatReading(before), measured!.unit)}, ${value}`
    return `row ${formatCount(row + 1)}${sourceWords(reading.of)} (${shown})`
  }
}

function listed(names: readonly string[], count: number): string {
  if (names.length > MAX_NAMED) return `${formatCount(count)} readings`
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`
}

/** What is asked in a cross-examination: it ends the sentence "Would the finding stand if …". */
export function askedWords(asked: Asked, name: ReadingName = byPlace): string {
  switch (asked.ask) {
    case 'one-back':
      return `${name(asked.reading)}, which is set aside, were put back`
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
      return `${listed(readings.map(name), readings.length)}${many}, ${how}, were left out`
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
    case 'smallest-gap':
      return `the gap were as small as this sample finds with a power of ${formatPercent(asked.power)}`
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
export function remarkWords(remark: Remark, name: ReadingName = byPlace): string {
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
      return leftOutWords(remark, name)
    case 'turning-not-sought':
      return 'This is not looked for by resampling.'
    case 'never-turns':
      return 'It turns at no claimed value.'
    default:
      return remark satisfies never
  }
}

function leftOutWords(
  { tried, turning, names, untried }: Extract<Remark, { remark: 'left-out' }>,
  name: ReadingName,
): string {
  const rest = untried === 0 ? '' : ` ${formatCount(untried)} readings in between were not tried.`
  if (turning === 0) return `It stands without any one of ${formatCount(tried)}.${rest}`
  const which =
    names.length > MAX_NAMED
      ? `any of ${formatCount(turning)}`
      : listed(
          names.map((unit) => unitWords(unit, name)),
          turning,
        )
  return `It turns without ${which}; it stands without any other of ${formatCount(tried)}.${rest}`
}

function unitWords(unit: LeftOut, name: ReadingName): string {
  if (unit.unit === 'counted')
    return unit.which === 'with' ? 'any unit that counts' : 'any unit that does not count'
  const { reading, count } = unit
  if (count === 1) return name(reading)
  const value = withUnit(formatReading(reading.value), reading.claim.unit)
  return `any of the ${formatCount(count)} readings of ${value}${sourceWords(reading.of)}`
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

/** What a headline is made of. */
export type Examination = Readonly<{
  answers: readonly Pick<Examined, 'stands' | 'asked' | 'figure'>[]
  outcome: FindingOutcome
  /** A gap in the claim's unit. */
  gap: (size: number) => string
  name?: ReadingName | undefined
}>

/**
 * How a finding fared: "Stands in 7 of 8. It turns if …". Where the sample showed nothing there is no score, since a weak
 * sample shows nothing whatever is asked: then what it could have found.
 */
export function standingWords({ answers, outcome, gap, name }: Examination): string {
  if (outcome === 'not-contradicted' || outcome === 'not-supported') return couldHaveFound(answers, gap)
  const { stands, of } = standing(answers)
  if (of === 0) return 'Only other levels and the other burden could be asked about: they are not counted.'
  const turning = answers.filter((answer) => isScored(answer) && answer.stands === false)
  const rest =
    turning.length === 0
      ? ''
      : ` It turns if ${askedWords(turning[0]!.asked, name)}${turning.length > 1 ? `, and in ${turning.length - 1} more` : ''}.`
  const isLeftOut = answers.some((answer) => answer.stands !== undefined && !isScored(answer))
  const leftOut = isLeftOut ? ' Levels and the burden are not counted.' : ''
  return `Stands in ${stands} of ${of}.${rest}${leftOut}`
}

function couldHaveFound(answers: Examination['answers'], gap: (size: number) => string): string {
  const figureOf = (kind: NonNullable<Examined['figure']>['kind']) =>
    answers.find(({ figure }) => figure?.kind === kind)?.figure?.value
  const [smallest, units, exposure] = [
    figureOf('smallest-gap'),
    figureOf('sample-size'),
    figureOf('exposure'),
  ]
  const found =
    smallest === undefined
      ? 'What gap this sample could have found is not planned for this test.'
      : `A sample of this size finds a gap of ${gap(smallest)} in nine of ten; a smaller one it may well miss.`
  const needed =
    units === undefined
      ? exposure && `an exposure of ${formatCount(exposure)}`
      : `${formatCount(units)} units`
  return needed ? `${found} To find a gap like the one seen would take ${needed}.` : found
}
