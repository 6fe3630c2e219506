import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { Writing } from '@/intake/reading/entry'
import { trimmed } from '@/intake/reading/trimmed'
import { cellText, type Column } from '@/intake/sheet/columns'
import { bare, numberIn } from '@/intake/sheet/nearEntry'
import { needed, readingAt } from './csvParts'

/**
 * Whether a row counts by its entry, as `--success` states it: as a number in a column of numbers, else letter for letter.
 *
 * @returns what tells it of a row, undefined of one without an entry; refused where a kept entry is the one stated but for
 *   how it is written, its capitals or spaces, as it may be meant or not
 */
export function marksOf(
  { column, kept, writing }: Readonly<{ column: Column; kept: Uint8Array; writing: Writing }>,
  marked: string | undefined,
): Outcome<(row: number) => boolean | undefined> {
  if (marked === undefined || trimmed(marked) === '')
    return failure(needed('--success', 'the value in the column that counts as a success'))
  if (column.kind === 'number') {
    const value = numberIn(marked, writing)
    if (value === undefined) return failure(notOfNumbers(marked, column.name))
    return success((row) => {
      const own = readingAt(column, row)
      return own === undefined ? undefined : own === value
    })
  }
  const known = new Map<string, boolean>([[marked, false]])
  const alike = kept.findIndex((one, row) => {
    if (one === 0) return false
    const text = cellText(column, row)
    if (!known.has(text)) known.set(text, bare(text, writing) === bare(marked, writing))
    return known.get(text)!
  })
  if (alike >= 0)
    return failure(nearly(marked, cellText(column, alike), `row ${alike + 2} of “${column.name}”`))
  return success((row) => (cellText(column, row) === '' ? undefined : cellText(column, row) === marked))
}

const notOfNumbers = (marked: string, column: string) => ({
  code: 'not-a-number',
  path: '--success',
  message: `--success is “${marked}”, and the column “${column}” is one of numbers. State the number that counts, such as --success 1.`,
})

const nearly = (marked: string, seen: string, where: string) => ({
  code: 'two-ways',
  path: '--success',
  message: `“${seen}” in ${where} is --success “${marked}” but for how it is written, and whether it counts can't be told. Write them alike; where they mean different things, name them apart.`,
})
