import { readDate } from './date'
import { readEntry, unitAt, unquoted, type Writing } from './entry'
import { piecesOf } from './lists'
import type { UnreadEntry } from './readings'
import { type Way, waysToRead } from './ways'

/** An entry that can be read if somebody says how, and how many others would be read so too. */
export type Question = Readonly<{
  entry: UnreadEntry
  ways: readonly (Way & Readonly<{ count: number }>)[]
}>

/** More are not looked at for the next question; they come to be asked about once these are answered. */
const MAX_ASKED = 200

/**
 * What is to be asked of entries that are not read: of one that can be read in the fewest ways, since that may settle others.
 *
 * @param unread - of one column
 * @param known - whether other entries have decimals behind the usual mark, and whether entries may be lists
 * @returns undefined where no entry can be read in any way
 */
export function nextQuestion(
  unread: readonly UnreadEntry[],
  writing: Writing,
  known: Readonly<{ isMarkUsed: boolean; isList: boolean }>,
): Question | undefined {
  const among = { ...known, commonUnits: commonUnits(unread) }
  const asked = unread.slice(0, MAX_ASKED).flatMap((entry) => {
    const ways = waysToRead(entry.text, writing, among)
    return ways.length > 0 ? [{ entry, ways }] : []
  })
  const fewest = asked.reduce((least, { ways }) => Math.min(least, ways.length), Infinity)
  const first = asked.find(({ ways }) => ways.length === fewest)
  return (
    first && { entry: first.entry, ways: first.ways.map((way) => ({ ...way, count: countSo(unread, way) })) }
  )
}

/** What is to be asked of dates whose day and month can change places. */
export function dateQuestion(
  unread: readonly UnreadEntry[],
  entry: UnreadEntry,
  { mark, rules }: Writing,
): Question {
  const count = unread.filter(({ reason }) => reason === 'two-dates').length
  const ways = (['day-first', 'month-first'] as const).map((text) => ({
    mark,
    rules: [...rules, { rule: 'dates' as const, text }],
    values: [readDate(entry.text, text)!],
    count,
  }))
  return { entry, ways }
}

/** How many of the entries are read once it is said. */
function countSo(unread: readonly UnreadEntry[], { mark, rules }: Way): number {
  const writing = { mark, rules }
  const isApart = rules.some(({ rule }) => rule === 'apart')
  return unread.filter(({ text }) => (isApart && piecesOf(text, writing)) || readEntry(text, writing).ok)
    .length
}

function commonUnits(unread: readonly UnreadEntry[]): ReadonlySet<string> {
  const [seen, common] = [new Set<string>(), new Set<string>()]
  for (const { text } of unread) {
    const unit = unitAt(unquoted(text))?.unit
    if (unit === undefined) continue
    if (seen.has(unit)) common.add(unit)
    seen.add(unit)
  }
  return common
}
