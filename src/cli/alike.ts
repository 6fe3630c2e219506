import type { Problem } from '@/claims/terms/outcome'
import type { KeptRows } from '@/desk/rowCondition'
import { readEntry, type Writing } from '@/intake/reading/entry'
import { readNumber } from '@/intake/reading/number'
import { type CellTest, testCells } from '@/intake/reading/rowCondition'
import { trimmed } from '@/intake/reading/trimmed'
import { isOfTexts } from '@/intake/sheet/asNumbers'
import type { WrittenSheet } from './sheetFile'

/** What a text comes to, however it is written: two that come to the same may be meant to be one, or not. */
export const bare = (text: string, writing: Writing): number | string =>
  numberIn(text, writing) ?? trimmed(text).normalize('NFKC').replace(/\s+/g, ' ').toLowerCase()

export function numberIn(text: string, writing: Writing): number | undefined {
  for (const read of [readEntry(text, writing), readNumber(text, 'point')])
    if (read.ok && !Number.isNaN(read.value)) return read.value
  return undefined
}

/**
 * An entry that a condition of equality tells from the one it states only by how it is written, its capitals or spaces, and
 * that no condition names itself; undefined where there is none.
 */
export function nearlyKept({ columns, writing }: WrittenSheet, kept: KeptRows): Problem | undefined {
  for (const column of columns.filter(isOfTexts)) {
    const tests = kept
      .flat()
      .filter((condition) => condition.column === column.name)
      .flatMap((condition) => {
        const test = testCells(condition, 'point')
        return test.ok ? [test.value] : []
      })
    const named = tests.flatMap(({ among }) => among ?? [])
    if (named.length === 0) continue
    const stated = new Map(named.map((text) => [bare(text, writing), text]))
    for (const seen of column.kind === 'text' ? new Set(column.texts) : column.dictionary) {
      const text = stated.get(bare(seen, writing))
      const isToldApart = ({ holdsText }: CellTest) => holdsText(seen) !== holdsText(text!)
      if (text !== undefined && !named.includes(seen) && tests.some(isToldApart))
        return nearly(text, seen, column.name)
    }
  }
  return undefined
}

const nearly = (text: string, seen: string, column: string) => ({
  code: 'two-ways',
  path: '--where',
  message: `“${seen}” in the column “${column}” is the “${text}” of --where but for how it is written, and whether it is meant can't be told. Write them alike, or name both: “${column} one of ${text}; ${seen}” takes both, a further condition “${column} is not ${seen}” only one.`,
})
