import type { Entries } from '@/claims/terms/entries'
import type { Evidence } from '@/claims/terms/request'
import { formatCount } from '../figures'
import { SOURCE_WORDS } from './conditionWords'

type Rule = NonNullable<Entries['readAs']>['rules'][number]

/** What was said of entries: "“,” between thousands". */
export function ruleWords({ rule, text }: Rule): string {
  const sign = text === ' ' ? 'a space' : `“${text}”`
  switch (rule) {
    case 'thousands':
      return `${sign} between thousands`
    case 'decimals':
      return `${sign} as a decimal mark too`
    case 'unit':
      return `${sign} taken off`
    case 'missing':
      return `${sign} as nothing measured`
    case 'apart':
      return 'each entry of a line as a reading'
    case 'entry':
      return 'the first line as an entry'
    case 'limits':
      return '“<” and “>” as limits'
    case 'dates':
      return text === 'month-first' ? 'the month before the day' : 'the day before the month'
    default:
      return rule satisfies never
  }
}

/** What became of the entries that the figures were taken from: empty where nothing did. */
export function basisWords(evidence: Evidence): string {
  const [first, second] = evidence.entries ?? []
  if (evidence.kind !== 'two-readings' && evidence.kind !== 'two-summaries')
    return entriesWords(first, evidence.kind === 'readings' ? evidence.setAside?.length : 0)
  const aside = evidence.kind === 'two-readings' ? evidence : undefined
  return [
    ofSource('first', entriesWords(first, aside?.firstSetAside?.length)),
    ofSource('second', entriesWords(second, aside?.secondSetAside?.length)),
  ]
    .filter((words) => words !== '')
    .join(' ')
}

const ofSource = (which: keyof typeof SOURCE_WORDS, words: string) =>
  words === '' ? '' : `Of the ${SOURCE_WORDS[which]}: ${words}`

function entriesWords(entries: Entries = {}, readingsAside = 0): string {
  const { header, unreadable, setAside, blank, readAs, converted } = entries
  const sentences = [
    header !== undefined && `The first line, “${header}”, names the column.`,
    readAs && readAsWords(readAs),
    converted !== undefined && `The figures were converted to the claim’s unit: ${converted}.`,
    unreadable && unreadableWords(unreadable),
    readingsAside > 0 && `${counted(readingsAside, 'reading')} set aside.`,
    setAside !== undefined && `${counted(setAside, 'row')} set aside.`,
    blank !== undefined && `${formatCount(blank)} ${blank === 1 ? 'row has' : 'rows have'} no entry.`,
  ]
  return sentences.filter((sentence) => sentence !== false && sentence !== undefined).join(' ')
}

const counted = (count: number, what: string) =>
  count === 1 ? `1 ${what} is` : `${formatCount(count)} ${what}s are`

function readAsWords({ rules, count, example, value }: NonNullable<Entries['readAs']>): string {
  const how = rules.map(ruleWords).join(', ')
  if (count === undefined) return `Entries were read with ${how}.`
  const entries = count === 1 ? '1 entry was' : `${formatCount(count)} entries were`
  const such = example === undefined ? '' : `, such as “${example}” as ${value}`
  return `${entries} read with ${how}${such}.`
}

function unreadableWords({ count, texts }: NonNullable<Entries['unreadable']>): string {
  const listed = texts.map((text) => `“${text}”`).join(', ')
  const more = count > texts.length ? ` and ${formatCount(count - texts.length)} more` : ''
  const entries = count === 1 ? '1 entry' : `${formatCount(count)} entries`
  return `${entries} could not be read and ${count === 1 ? 'is' : 'are'} set aside: ${listed}${more}.`
}
