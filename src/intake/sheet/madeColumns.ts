import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { MadeColumn } from '@/desk/madeColumn'
import { isOfOne } from '@/desk/madeColumn'
import type { ColumnWords, SampleDraft } from '@/desk/sampleDraft'
import type { Limits, UnreadEntry } from '../reading/readings'
import { asNumbers, hasDigits, isOfTexts, numberColumn } from './asNumbers'
import { cellText, type Column, numberAt } from './columns'
import { columnNotFound } from './keepRows'
import { type MadeFrom, notMade, type SourceColumn, workOf } from './madeWork'
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
      return failure(notMade(own, 'the sheet has a column of that name. Give it another.'))
    const limited = [own.first, own.second].find((name) => limits[name])
    if (limited !== undefined)
      return failure(
        notMade(
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
  column: SourceColumn
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

/** One value for each row; NaN where a source has none. */
function cellsOf(own: MadeColumn, sources: MadeFrom, sample: Sample): Outcome<Float64Array> {
  const isOfDays = own.kind === 'days' || own.kind === 'working-days'
  const wrong = sources.find(({ kind }) => (kind === 'date') !== isOfDays)
  if (wrong)
    return failure(
      notMade(
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
    const [one, other] = [numberAt(first, row), numberAt(second, row)]
    if (Number.isNaN(one) || Number.isNaN(other)) continue
    const value = worked.value(one, other)
    if (!Number.isFinite(value))
      return failure(
        notMade(
          own,
          `in row ${row + 1} it would be over 0, or beyond what this program can hold. Correct the row, or make the column otherwise.`,
        ),
      )
    cells[row] = value
  }
  return success(cells)
}
