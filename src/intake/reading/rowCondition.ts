import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { ConditionRelation, KeptRows, RowCondition } from '@/desk/rowCondition'
import { wordsOf } from '@/words/en/rowConditionWords'
import { beginningOf, type DecimalMark } from '@/desk/typed'
import { readDate } from './date'
import { plainSpellings, readNumber } from './number'

/** A condition made ready for the cells of its column, whatever kind that is. A missing cell is NaN, or an empty text. */
export type CellTest = Readonly<{
  column: string
  holdsNumber: (value: number) => boolean
  holdsText: (text: string) => boolean
  /** Days since 1970-01-01. */
  holdsDate: (days: number) => boolean
  /** What it compares with that is no number, and so holds for none or all of a column of numbers; likewise for dates. */
  noNumber?: string | undefined
  noDate?: string | undefined
  /** The texts that a cell has to be one of, or none of. */
  among?: readonly string[]
}>

const WORDS: readonly (readonly [RegExp, ConditionRelation])[] = [
  [/^(.+?)\s+is\s+not\s+empty$/i, 'is-not-empty'],
  [/^(.+?)\s+is\s+empty$/i, 'is-empty'],
  [/^(.+?)\s+(?:is\s+)?between\s+(.+?)\s+and\s+(.+)$/i, 'between'],
  [/^(.+?)\s+(?:is\s+)?one\s+of\s+(.+)$/i, 'one-of'],
  [/^(.+?)\s+(?:is\s+)?above\s+(.+)$/i, 'above'],
  [/^(.+?)\s+(?:is\s+)?below\s+(.+)$/i, 'below'],
  [/^(.+?)\s+(?:is\s+)?at\s+least\s+(.+)$/i, 'at-least'],
  [/^(.+?)\s+(?:is\s+)?at\s+most\s+(.+)$/i, 'at-most'],
  [/^(.+?)\s*<=\s*(.*)$/, 'at-most'],
  [/^(.+?)\s*>=\s*(.*)$/, 'at-least'],
  [/^(.+?)\s*!=\s*(.*)$/, 'is-not'],
  [/^(.+?)\s*=\s*(.*)$/, 'is'],
  [/^(.+?)\s*<\s*(.*)$/, 'below'],
  [/^(.+?)\s*>\s*(.*)$/, 'above'],
  [/^(.+?)\s+is\s+not\s+(.+)$/i, 'is-not'],
  [/^(.+?)\s+is\s+(.+)$/i, 'is'],
]
/** Holds a list of values as long as a condition keeps it; a longer text would be looked at for minutes. */
const LONGEST = 3000
const LONGEST_SHOWN = 100

const OR = /\s+or\s+/i
const AND = /\s+and\s+/i
/** The "and" of "between … and …" joins no conditions. */
const BETWEEN_AND = /(\bbetween\s+\S+)\s+and\s+/gi

/**
 * Reads conditions on columns: "depot = 7", "depot is 7 and mass above 10 or depot one of 8, 9". "And" binds before "or".
 *
 * @returns lists of conditions, or the problem `condition-not-read`; no list for an empty text
 */
export function readRowConditions(text: string): Outcome<KeptRows> {
  if (text.trim() === '') return success([])
  if (text.length > LONGEST) return failure(notRead(`${beginningOf(text, LONGEST_SHOWN)}…`))
  const lists: RowCondition[][] = []
  for (const alternative of text.trim().split(OR)) {
    const parts = alternative.replace(BETWEEN_AND, '$1\u0000').split(AND)
    const list: RowCondition[] = []
    for (const part of parts) {
      const words = part.replace('\u0000', ' and ')
      const condition = conditionIn(words)
      if (!condition) return failure(notRead(words))
      const test = testCells(condition, 'point')
      if (!test.ok) return test
      list.push(condition)
    }
    lists.push(list)
  }
  return success(lists)
}

function conditionIn(part: string): RowCondition | undefined {
  for (const [pattern, relation] of WORDS) {
    const [, column, value = '', upTo = ''] = pattern.exec(part.trim()) ?? []
    if (column === undefined) continue
    const isEmptiness = value === '' && (relation === 'is' || relation === 'is-not')
    if (isEmptiness) return conditionOn(column, relation === 'is' ? 'is-empty' : 'is-not-empty')
    return conditionOn(column, relation, value.trim(), upTo.trim())
  }
  return undefined
}

function conditionOn(column: string, relation: ConditionRelation, value = '', upTo = ''): RowCondition {
  return { column: column.trim(), relation, value, upTo }
}

function notRead(part: string) {
  return {
    code: 'condition-not-read',
    path: 'where',
    message: `The condition “${part}” cannot be read. Write a column, a comparison and a value, such as: depot = 7, depot is not 7, depot one of 7, 8, mass above 10, mass between 10 and 12, note is empty. Only numbers and dates (2026-01-14) are above, below or between.`,
  }
}

/** A number with its thousands set apart, and how it is written without. */
function spelledOtherwise({ value, upTo }: RowCondition, mark: DecimalMark) {
  const text = [value, upTo].find((one) => plainSpellings(one, mark).length > 0)
  if (text === undefined) return undefined
  const message = `“${text}” can be read in more than one way. Write ${plainSpellings(text, mark).join(' or ')}, whichever is meant.`
  return { code: 'condition-not-read', path: 'where', message }
}

function open(condition: RowCondition) {
  return {
    code: 'condition-open',
    path: 'where',
    message: `The condition “${wordsOf(condition).trim()} …” has no value yet. State it, or leave the condition out.`,
  }
}

type Order = Readonly<{ number: number | undefined; date: number | undefined }>

/**
 * Makes a condition ready to test cells by. Numbers are compared as numbers and dates as dates; other texts are only equal or
 * not. A missing cell is empty and "is not" anything; no other condition holds for it.
 *
 * @param mark - how numbers in the condition are written
 * @returns the test, or the problem `condition-not-read` for a comparison with what has no order
 */
export function testCells(condition: RowCondition, mark: DecimalMark): Outcome<CellTest> {
  const { column, relation, value, upTo } = condition
  const read = (text: string): Order => {
    const number = readNumber(text, mark)
    return { number: number.ok ? number.value : undefined, date: readDate(text, 'year-first') }
  }
  if (relation === 'is-empty' || relation === 'is-not-empty') {
    const wanted = relation === 'is-empty'
    const holdsNumber = (seen: number) => Number.isNaN(seen) === wanted
    return success({
      column,
      holdsNumber,
      holdsDate: holdsNumber,
      holdsText: (seen) => (seen === '') === wanted,
    })
  }
  const unread = (texts: readonly string[]) => ({
    noNumber: texts.find((text) => read(text).number === undefined),
    noDate: texts.find((text) => read(text).date === undefined),
  })
  if (relation === 'is' || relation === 'is-not' || relation === 'one-of') {
    const texts = relation === 'one-of' ? listed(value, mark) : [value.trim()]
    if (texts === undefined) return failure(separatedTwoWays(value))
    if (texts.length === 0 || texts.includes('')) return failure(open(condition))
    return success({ ...equality(column, texts, texts.map(read), relation !== 'is-not'), ...unread(texts) })
  }
  if (value.trim() === '' || (relation === 'between' && upTo.trim() === '')) return failure(open(condition))
  const [from, to] = [read(value.trim()), read(upTo.trim())]
  const isOrdered = (key: keyof Order) =>
    from[key] !== undefined && (relation !== 'between' || to[key] !== undefined)
  if (!isOrdered('number') && !isOrdered('date'))
    return failure(spelledOtherwise(condition, mark) ?? notRead(wordsOf(condition)))
  const compare = (key: keyof Order) =>
    isOrdered(key) ? comparison(relation, from[key]!, to[key] ?? Number.NaN) : () => false
  const holdsNumber = compare('number')
  const holdsText = (seen: string) => {
    const number = readNumber(seen, 'point')
    return number.ok && holdsNumber(number.value)
  }
  // The upper end is of the same kind, or there was no order.
  return success({ column, holdsNumber, holdsDate: compare('date'), holdsText, ...unread([value]) })
}

function equality(
  column: string,
  texts: readonly string[],
  wanted: readonly Order[],
  holdsWhereEqual: boolean,
): CellTest {
  const oneOf = (key: keyof Order) => {
    const values = wanted.map((one) => one[key]).filter((one) => one !== undefined)
    const [only] = values
    // To look through a list for each cell takes more than twice as long.
    return values.length === 1
      ? (seen: number) => (seen === only) === holdsWhereEqual
      : (seen: number) => values.includes(seen) === holdsWhereEqual
  }
  const holdsNumber = oneOf('number')
  const known = new Set(texts)
  const holdsText = (seen: string) => {
    if (known.has(seen)) return holdsWhereEqual
    const number = readNumber(seen, 'point')
    return number.ok ? holdsNumber(number.value) : !holdsWhereEqual
  }
  return { column, holdsNumber, holdsDate: oneOf('date'), holdsText, among: texts }
}

/** No comparison holds for NaN. */
function comparison(relation: ConditionRelation, from: number, to: number): (seen: number) => boolean {
  switch (relation) {
    case 'above':
      return (seen) => seen > from
    case 'at-least':
      return (seen) => seen >= from
    case 'below':
      return (seen) => seen < from
    case 'at-most':
      return (seen) => seen <= from
    default:
      return (seen) => seen >= from && seen <= to
  }
}

/** What a list names; undefined where what separates it could as well be a part of what it names. */
function listed(text: string, mark: DecimalMark): readonly string[] | undefined {
  const hasDecimals = mark === 'comma' && /\d,\d/.test(text)
  const bySemicolons = text.includes(';')
  if (bySemicolons ? text.includes(',') && !hasDecimals : hasDecimals) return undefined
  return text
    .split(bySemicolons ? ';' : ',')
    .map((one) => one.trim())
    .filter((one) => one !== '')
}

const separatedTwoWays = (text: string) => ({
  code: 'condition-not-read',
  path: 'where',
  message: `“${beginningOf(text, LONGEST_SHOWN)}” can be read in more than one way. Separate what is listed by semicolons alone, such as 7; 8.`,
})
