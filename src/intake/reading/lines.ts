import { readEntry, type Writing } from './entry'
import { listIn, piecesOf } from './lists'
import type { NumberReading } from './number'
import { trimmed } from './trimmed'

export type Entry = Readonly<{ start: number; text: string; reading: NumberReading }>
/** A line of one entry, as nearly every line is, or of several. */
type Line = Entry & Readonly<{ line: number; from: number; entries?: readonly Entry[] }>

const [LINE_FEED, CARRIAGE_RETURN] = [0x0a, 0x0d]

/** What was read last, so that of thousands of lines only those from a key on are read anew. */
let known: Readonly<{ text: string; how: string; lines: readonly Line[] }> | undefined

/**
 * Lines that are not blank, with their entries.
 *
 * @param isApart - whether somebody said that entries stand beside each other
 * @returns the lines, counted from 1, and how many there are with the blank ones
 */
export function readLines(
  text: string,
  writing: Writing,
  isApart: boolean,
): Readonly<{ lines: readonly Line[]; lineCount: number }> {
  const how = JSON.stringify(writing)
  const before = known?.how === how ? known : undefined
  const same = before ? lengthInCommon(before.text, text) : 0
  const lines = before?.lines.slice(0, before.lines.findLastIndex((one) => one.from < same) + 1) ?? []
  // The last of those that begin alike may go on otherwise.
  const again = lines.pop()
  let [line, from] = again ? [again.line, again.from] : [1, 0]
  const take = (to: number) => {
    const entry = trimmed(text.slice(from, to))
    if (entry === '') return
    const reading = readEntry(entry, writing)
    const start = text.indexOf(entry, from)
    if (reading.ok) return void lines.push({ line, from, start, text: entry, reading })
    const entries = entriesOf(entry, start, writing, isApart)
    lines.push({
      line,
      from,
      start,
      text: entry,
      reading,
      ...(entries.length > 1 ? { entries } : entries[0]),
    })
  }
  for (let at = from; at < text.length; at += 1) {
    const code = text.charCodeAt(at)
    if (code !== LINE_FEED && code !== CARRIAGE_RETURN) continue
    take(at)
    if (code === CARRIAGE_RETURN && text.charCodeAt(at + 1) === LINE_FEED) at += 1
    from = at + 1
    line += 1
  }
  take(text.length)
  // The beginning of a list is also looked at by itself.
  if (!before || same < text.length) known = { text, how, lines }
  return { lines, lineCount: line }
}

function lengthInCommon(one: string, other: string): number {
  let length = 0
  while (length < other.length && one.charCodeAt(length) === other.charCodeAt(length)) length += 1
  return length
}

function entriesOf(text: string, start: number, writing: Writing, isApart: boolean): readonly Entry[] {
  const entries: Entry[] = []
  let from = start
  for (const segment of text.split(';')) {
    const entry = segment.trim()
    const at = from + segment.length - segment.trimStart().length
    from += segment.length + 1
    if (entry === '') continue
    const pieces = (isApart ? piecesOf(entry, writing) : undefined) ?? listIn(entry, writing) ?? [entry]
    let place = at
    for (const piece of pieces) {
      const pieceStart = start + text.indexOf(piece, place - start)
      entries.push({ start: pieceStart, text: piece, reading: readEntry(piece, writing) })
      place = pieceStart + piece.length
    }
  }
  return entries
}
