import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { KeptRows } from '@/desk/rowCondition'
import type { DecimalMark } from '@/desk/typed'
import { cellText, type Column } from './columns'
import { columnNotFound, keptRows } from './keepRows'
import type { Sheet } from './readSheet'
import type { Count } from '../reading/count'

export type TakenCount = Count &
  Readonly<{
    /** The same with the rows that are set aside. */
    withSetAside: Count
    /** Rows kept that have no entry to tell by, and so are not counted; those that are set aside are not among them. */
    missing: number
    /** Of each row that is counted, those set aside too: its place in the sheet, and 1 where it has the property; where asked for. */
    listed?: Readonly<{ rows: readonly number[]; marks: readonly number[] }>
  }>

/**
 * How many of the rows kept have the property that is claimed.
 *
 * A row without an entry in a column that the property goes by is neither: it is left out and told of.
 *
 * @param question.counted - what a row must meet to count
 * @returns the counts, or the problem `column-not-found` or `condition-not-read`
 */
export function takeCount(
  sheet: Pick<Sheet, 'columns' | 'rowCount'>,
  question: Readonly<{
    kept: KeptRows
    counted: KeptRows
    mark: DecimalMark
    /** Rows that are set aside. */
    setAside: readonly number[]
    /** Whether each row is wanted, and not only how many there are. */
    listed?: 'rows' | undefined
  }>,
): Outcome<TakenCount> {
  const { kept, counted, mark } = question
  const inQuestion = keptRows(sheet, kept, mark)
  if (!inQuestion.ok) return inQuestion
  const withProperty = keptRows(sheet, counted, mark)
  if (!withProperty.ok) return withProperty
  const told = toldBy(sheet.columns, counted)
  if (!told.ok) return told
  const left = new Set(question.setAside)
  const [all, tested] = [
    { n: 0, successes: 0 },
    { n: 0, successes: 0 },
  ]
  let missing = 0
  const [rows, marks]: [number[], number[]] = [[], []]
  for (let row = 0; row < sheet.rowCount; row += 1) {
    if (inQuestion.value[row] === 0) continue
    if (told.value.some((column) => cellText(column, row) === '')) {
      if (!left.has(row)) missing += 1
      continue
    }
    if (question.listed) {
      rows.push(row)
      marks.push(withProperty.value[row]!)
    }
    for (const count of left.has(row) ? [all] : [all, tested]) {
      count.n += 1
      count.successes += withProperty.value[row]!
    }
  }
  const listed = question.listed ? { listed: { rows, marks } } : {}
  return success({ ...tested, withSetAside: all, missing, ...listed })
}

/** The columns whose entries tell whether a row has the property; a condition on emptiness needs no entry. */
function toldBy(columns: readonly Column[], counted: KeptRows): Outcome<readonly Column[]> {
  const told: Column[] = []
  for (const { column: name, relation } of counted.flat()) {
    if (relation === 'is-empty' || relation === 'is-not-empty') continue
    const column = columns.find((one) => one.name === name)
    if (!column) return failure(columnNotFound(name, columns))
    told.push(column)
  }
  return success(told)
}
