import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import type { MadeColumn } from '@/desk/madeColumn'
import { isOfOne } from '@/desk/madeColumn'
import type { ColumnWords, SampleDraft } from '@/desk/sampleDraft'
import type { DecimalMark } from '@/desk/typed'
import { dateText, daysMeant } from '../reading/date'
import type { Limits, UnreadEntry } from '../reading/readings'
import { readNumber } from '../reading/number'
import { conversionBetween } from '../reading/units'
import { workingDays } from '../reading/workingDays'
import { asNumbers, hasDigits, isOfTexts, numberColumn } from './asNumbers'
import { cellText, CHUNK_LENGTH, type Column } from './columns'
import { columnNotFound } from './keepRows'
import { writingOf } from './typedSheet'

type Sample = Pick<SampleDraft, 'columns' | 'made' | 'decimalMark'>

/** The names of the columns that others are made of, in place of the names of those. */
export function sourcesOf(names: readonly string[], made: readonly MadeColumn[]): readonly string[] {
  return [
    ...new Set(
      names.flatMap((name) => {
        const own = made.find((one) => one.name === name)
        return own ? [own.first, ...(isOfOne(own.kind) ? [] : [own.second])] : [name]
      }),
    ),
  ]
}

/** The unit of a column that is made; empty where it has none. */
export function unitOfMade({ kind, first, unit }: MadeColumn, columns: readonly ColumnWords[]): string {
  switch (kind) {
    case 'difference':
    case 'sum':
      return columns.find(({ name }) => name === first)?.unit ?? ''
    case 'ratio':
      return ''
    case 'percent-change':
    case 'percent-cut':
      return '%'
    case 'scaled':
    case 'density':
      return unit
    case 'days':
      return 'd'
    case 'working-days':
      return 'working days'
    default:
      return kind satisfies never
  }
}

type Made = Readonly<{ columns: readonly Column[]; unread: readonly UnreadEntry[] }>

/**
 * The columns of a sheet with those made of them, of which some are wanted.
 *
 * A row in which one of the two has no entry has none of its own; one that cannot be worked out, such as over 0, is refused.
 *
 * @param input.limits - entries of a column that are limits, of which nothing can be worked out
 */
export function withMade(
  columns: readonly Column[],
  input: Readonly<{
    names: readonly string[]
    sample: Sample
    limits: Readonly<Record<string, Limits>>
  }>,
): Outcome<Made> {
  const { names, sample, limits } = input
  const made: Column[] = [...columns]
  const unread: UnreadEntry[] = []
  for (const own of sample.made.filter(({ name }) => names.includes(name))) {
    if (columns.some(({ name }) => name === own.name))
      return failure(problemOf(own, 'the sheet has a column of that name. Give it another.'))
    const limited = [own.first, own.second].find((name) => limits[name])
    if (limited !== undefined)
      return failure(
        problemOf(
          own,
          `“${limited}” has entries that are limits, such as “< 0.5”, of which nothing can be worked out.`,
        ),
      )
    const first = sourceOf(columns, own.first, sample)
    if (!first.ok) return first
    const second = isOfOne(own.kind) ? first : sourceOf(columns, own.second, sample)
    if (!second.ok) return second
    const cells = cellsOf(own, [first.value.column, second.value.column], sample)
    if (!cells.ok) return cells
    unread.push(...first.value.unread, ...(second === first ? [] : second.value.unread))
    made.push(numberColumn(own.name, cells.value))
  }
  return success({ columns: made, unread })
}

type Source = Readonly<{
  column: Extract<Column, { kind: 'number' | 'date' }>
  unread: readonly UnreadEntry[]
}>

/** A column of numbers or of days; texts are read as numbers, and what can't be read is told of. */
function sourceOf(
  columns: readonly Column[],
  name: string,
  { columns: words, decimalMark }: Sample,
): Outcome<Source> {
  const found = columns.find((column) => column.name === name)
  if (!found) return failure(columnNotFound(name, columns))
  if (!isOfTexts(found)) return success({ column: found, unread: [] })
  if (!hasDigits(found)) {
    const row =
      Array.from({ length: found.length }, (_, at) => at).find((at) => cellText(found, at) !== '') ?? 0
    const message = `“${name}” holds texts, such as “${cellText(found, row)}” in row ${row + 1}. A column is made of numbers or of days.`
    return failure({ code: 'not-numbers', path: 'column', message })
  }
  const { column, unread } = asNumbers(
    found,
    writingOf(
      decimalMark,
      words.find((one) => one.name === name),
    ),
  )
  return success({ column, unread })
}

const problemOf = ({ name }: MadeColumn, message: string): Problem => ({
  code: 'not-made',
  path: 'made',
  message: `“${name}” can’t be worked out: ${message}`,
})

type Sources = readonly [Source['column'], Source['column']]

/** One value for each row; NaN where a source has none. */
function cellsOf(own: MadeColumn, sources: Sources, sample: Sample): Outcome<Float64Array> {
  const isOfDays = own.kind === 'days' || own.kind === 'working-days'
  const wrong = sources.find(({ kind }) => (kind === 'date') !== isOfDays)
  if (wrong)
    return failure(
      problemOf(
        own,
        isOfDays
          ? `“${wrong.name}” holds no days.`
          : `“${wrong.name}” holds days, which are not added or divided.`,
      ),
    )
  const worked = workOf(own, sources, sample)
  if (!worked.ok) return worked
  const [first, second] = sources
  const cells = new Float64Array(first.length).fill(Number.NaN)
  for (let row = 0; row < first.length; row += 1) {
    const [one, other] = [valueAt(first, row), valueAt(second, row)]
    if (Number.isNaN(one) || Number.isNaN(other)) continue
    const value = worked.value(one, other)
    if (!Number.isFinite(value))
      return failure(
        problemOf(
          own,
          `in row ${row + 1} it would be over 0, or beyond what this program can hold. Correct the row, or make the column otherwise.`,
        ),
      )
    cells[row] = value
  }
  return success(cells)
}

const valueAt = ({ chunks }: Source['column'], row: number): number =>
  chunks[Math.floor(row / CHUNK_LENGTH)]![row % CHUNK_LENGTH]!

type Work = (one: number, other: number) => number

function workOf(own: MadeColumn, [first, second]: Sources, sample: Sample): Outcome<Work> {
  const { kind } = own
  switch (kind) {
    case 'days':
      return success((from, to) => Math.floor(to) - Math.floor(from))
    case 'working-days': {
      const holidays = holidaysOf(own)
      return holidays.ok ? success((from, to) => workingDays(from, to, holidays.value)) : holidays
    }
    case 'scaled':
    case 'density':
      return scaledWork(own, sample.decimalMark)
    default: {
      const unitOf = (name: string) => sample.columns.find((one) => one.name === name)?.unit ?? ''
      const converted = conversionBetween(unitOf(own.second), unitOf(own.first))
      if (!converted.ok) return failure(problemOf(own, converted.problem.message))
      const inFirst = converted.value?.reading ?? ((value: number) => value)
      // Sums of decimals are the decimals that they would be on paper.
      const exact = rounding(Math.max(decimalsOf(first), converted.value ? Infinity : decimalsOf(second)))
      return success(PAIRS[kind](inFirst, exact))
    }
  }
}

const PAIRS: Readonly<
  Record<
    'difference' | 'sum' | 'ratio' | 'percent-change' | 'percent-cut',
    (inFirst: (value: number) => number, exact: (value: number) => number) => Work
  >
> = {
  difference: (inFirst, exact) => (one, other) => exact(one - inFirst(other)),
  sum: (inFirst, exact) => (one, other) => exact(one + inFirst(other)),
  ratio: (inFirst) => (one, other) => dusted(one / inFirst(other)),
  'percent-change': (inFirst) => (one, other) => dusted((100 * (inFirst(other) - one)) / one),
  'percent-cut': (inFirst) => (one, other) => dusted((100 * (one - inFirst(other))) / one),
}

/** Without the last digit, in which decimals that divide to a whole number would show that they are doubles. */
const dusted = (value: number): number => (Number.isFinite(value) ? Number(value.toPrecision(15)) : value)

function scaledWork(own: MadeColumn, mark: DecimalMark): Outcome<Work> {
  const read = (text: string, usual: number) => {
    if (text.trim() === '') return usual
    const reading = readNumber(text, mark)
    return reading.ok ? reading.value : undefined
  }
  const [factor, offset] = [read(own.factor, Number.NaN), read(own.offset, 0)]
  const what = own.kind === 'density' ? 'density' : 'factor'
  if (
    factor === undefined ||
    offset === undefined ||
    Number.isNaN(factor) ||
    (own.kind === 'density' && factor <= 0)
  ) {
    const seen = factor === undefined || Number.isNaN(factor) ? own.factor : own.offset
    return failure(
      problemOf(own, `its ${what} is “${seen}”. State a number${own.kind === 'density' ? ' above 0' : ''}.`),
    )
  }
  return success(
    own.kind === 'density' ? (one) => dusted(one / factor) : (one) => dusted(one * factor + offset),
  )
}

const MOST_DECIMALS = 9

/** The most decimals that a column is written with; without end where they are more than are told apart. */
function decimalsOf({ chunks }: Source['column']): number {
  let decimals = 0
  for (const chunk of chunks)
    for (const value of chunk) {
      if (Number.isNaN(value)) continue
      while (decimals <= MOST_DECIMALS && Number(value.toFixed(decimals)) !== value) decimals += 1
      if (decimals > MOST_DECIMALS) return Infinity
    }
  return decimals
}

const rounding = (decimals: number) =>
  Number.isFinite(decimals) ? (value: number) => Number(value.toFixed(decimals)) : (value: number) => value

/** The holidays of a list, as days since 1970-01-01. */
function holidaysOf(own: MadeColumn): Outcome<ReadonlySet<number>> {
  const days = new Set<number>()
  for (const line of own.holidays.split('\n').filter((one) => one.trim() !== '')) {
    const [day, other] = daysMeant(line.trim())
    if (day === undefined || other !== undefined)
      return failure(
        problemOf(
          own,
          `“${line.trim().slice(0, 40)}” is no day of its holidays. Write it such as ${dateText(20_000)}.`,
        ),
      )
    days.add(Math.floor(day))
  }
  return success(days)
}
