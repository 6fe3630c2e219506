import type { SampleDraft } from '@/desk/sampleDraft'
import { dateQuestion, nextQuestion, type Question } from './reading/questions'
import type { UnreadEntry } from './reading/readings'
import type { Said } from './reading/ways'
import { isOfTexts } from './sheet/asNumbers'
import { READINGS_COLUMN, type TypedSheet, writingOf } from './sheet/typedSheet'

type Written = Pick<SampleDraft, 'kind' | 'columns' | 'decimalMark'>

/** What is to be asked of the entries of a sample that are not read: of the first column that has any. */
export function questionOf(
  sample: Written,
  typed: TypedSheet,
  unread: readonly UnreadEntry[],
): Question | undefined {
  const first = unread.find(({ reason }) => reason !== 'not-a-date')
  if (!first) return undefined
  const own = unread.filter(({ column }) => column === first.column)
  const words = sample.columns.find(({ name }) => name === first.column)
  const writing = writingOf(sample.decimalMark, words)
  if (first.reason === 'two-dates') return dateQuestion(own, first, writing)
  const isList = sample.kind === 'typed' && sample.columns.length <= 1
  return nextQuestion(own, writing, { isMarkUsed: hasDecimals(typed), isList })
}

/** Whether any number of a typed sheet has decimals; of a file each column is written in its own way. */
const hasDecimals = ({ columns }: TypedSheet): boolean =>
  columns.some(
    (column) =>
      !isOfTexts(column) &&
      column.chunks.some((chunk) =>
        chunk.some((value) => value !== Math.trunc(value) && !Number.isNaN(value)),
      ),
  )

/**
 * The sample once somebody says how the entries of a column are to be read. A unit that is taken off is then the column's.
 *
 * @param name - of the column
 */
export function withSaid(
  { columns }: Pick<Written, 'columns'>,
  name: string,
  { mark, rules }: Said,
): Pick<SampleDraft, 'columns' | 'decimalMark'> {
  const known = columns.length === 0 ? [READINGS_COLUMN] : columns
  const changed = known.map((column, at) => {
    if (known.length > 1 ? column.name !== name : at > 0) return column
    const before = column.readAs ?? []
    const unit = rules.find(({ rule }) => rule === 'unit' && !before.some((one) => one.rule === 'unit'))
    return { ...column, readAs: [...rules], ...(unit ? { unit: unit.text } : {}) }
  })
  return { columns: changed, decimalMark: mark }
}
