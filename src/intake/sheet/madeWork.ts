import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import type { MadeColumn } from '@/desk/madeColumn'
import type { SampleDraft } from '@/desk/sampleDraft'
import type { DecimalMark } from '@/desk/typed'
import { dateText, daysMeant } from '../reading/date'
import { readNumber } from '../reading/number'
import { conversionBetween } from '../reading/units'
import { workingDays } from '../reading/workingDays'
import type { Column } from './columns'

/** A column of numbers or of days, and the two that another is made of: twice the same where it is of one. */
export type SourceColumn = Extract<Column, { kind: 'number' | 'date' }>
export type MadeFrom = readonly [SourceColumn, SourceColumn]

/** A column that can't be made, and why. */
export const notMade = ({ name }: MadeColumn, message: string): Problem => ({
  code: 'not-made',
  path: 'made',
  message: `“${name}” can’t be worked out: ${message}`,
})

type Work = (one: number, other: number) => number

/** How one row of a column is worked out of those that it is made of. */
export function workOf(
  own: MadeColumn,
  [first, second]: MadeFrom,
  sample: Pick<SampleDraft, 'columns' | 'decimalMark'>,
): Outcome<Work> {
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
      if (!converted.ok) return failure(notMade(own, converted.problem.message))
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
      notMade(own, `its ${what} is “${seen}”. State a number${own.kind === 'density' ? ' above 0' : ''}.`),
    )
  }
  return success(
    own.kind === 'density' ? (one) => dusted(one / factor) : (one) => dusted(one * factor + offset),
  )
}

const MOST_DECIMALS = 9

/** The most decimals that a column is written with; without end where they are more than are told apart. */
function decimalsOf({ chunks }: SourceColumn): number {
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
        notMade(
          own,
          `“${line.trim().slice(0, 40)}” is no day of its holidays. Write it such as ${dateText(20_000)}.`,
        ),
      )
    days.add(Math.floor(day))
  }
  return success(days)
}
