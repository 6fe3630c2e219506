import type { RowCondition } from '@/desk/rowCondition'
import type { DecimalMark } from '@/desk/typed'
import { readEntry, type Writing } from '../reading/entry'
import { readNumber } from '../reading/number'
import { type CellTest, testCells } from '../reading/rowCondition'
import { trimmed } from '../reading/trimmed'
import { isOfTexts } from './asNumbers'
import type { Column } from './columns'

/** An entry that is told from a text that a condition states only by how it is written. */
export type NearEntry = Readonly<{ column: string; seen: string; text: string }>

/**
 * The first entry that conditions of equality tell from the text they state only by its capitals, spaces or digits, and that
 * none of them names: it may be meant or not.
 *
 * @param mark - how numbers in the conditions are written
 * @param writing - how those in the columns are
 * @returns undefined where there is none
 */
export function nearEntry(
  columns: readonly Column[],
  conditions: readonly RowCondition[],
  mark: DecimalMark,
  writing: Writing,
): NearEntry | undefined {
  for (const column of columns.filter(isOfTexts)) {
    const tests = conditions
      .filter((condition) => condition.column === column.name)
      .flatMap((condition) => {
        const test = testCells(condition, mark)
        return test.ok ? [test.value] : []
      })
    const named = tests.flatMap(({ among }) => among ?? [])
    if (named.length === 0) continue
    const stated = new Map(named.map((text) => [bare(text, writing), text]))
    for (const seen of column.kind === 'text' ? column.texts : column.dictionary) {
      const text = stated.get(bare(seen, writing))
      if (text === undefined || named.includes(seen)) continue
      const isToldApart = ({ holdsText }: CellTest) => holdsText(seen) !== holdsText(text)
      if (tests.some(isToldApart)) return { column: column.name, seen, text }
    }
  }
  return undefined
}

/** What a text comes to, however it is written: two that come to the same may be meant to be one, or not. */
export const bare = (text: string, writing: Writing): number | string =>
  numberIn(text, writing) ?? trimmed(text).normalize('NFKC').replace(/\s+/g, ' ').toLowerCase()

export function numberIn(text: string, writing: Writing): number | undefined {
  // No number is written without a digit, or with a letter but an e; to read a code takes ten times as long as to see that.
  if (!/\d/.test(text) || /[a-df-z]/i.test(text)) return undefined
  for (const read of [readEntry(text, writing), readNumber(text, 'point')])
    if (read.ok && !Number.isNaN(read.value)) return read.value
  return undefined
}
