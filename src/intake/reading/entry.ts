import type { ReadRule } from '@/desk/sampleDraft'
import type { DecimalMark } from '@/desk/typed'
import { withoutThousands } from './thousands'
import { type NumberReading, readNumber } from './number'

/** How the numbers of a column are written, and what somebody said of those that are written otherwise. */
export type Writing = Readonly<{ mark: DecimalMark; rules: readonly ReadRule[] }>

/** Three digits behind a mark may be thousands: "1,234". */
const MAYBE_THOUSANDS = /^[+-]?[1-9]\d{0,2}[.,]\d{3}$/
const QUOTED = /^(?:"([^"]*)"|'([^']*)'|“([^”]*)”|'([^']+))$/
const BYTES: Readonly<Record<DecimalMark, number>> = { point: 0x2e, comma: 0x2c }
export const MARKS: Readonly<Record<DecimalMark, '.' | ','>> = { point: '.', comma: ',' }

/**
 * Reads one entry as one number: plainly, without the quotes round it, or as somebody said that such entries are to be read.
 *
 * @returns the number; NaN for a text that stands for nothing measured; or why it is none
 */
export function readEntry(text: string, writing: Writing): NumberReading {
  const plain = readNumber(text, writing.mark)
  if (plain.ok) return plain
  const entry = unquoted(text)
  const { rules } = writing
  const limit = rules.some(({ rule }) => rule === 'limits') ? limitAt(entry) : undefined
  if (limit) {
    const beyond = readEntry(limit.number, writing)
    const isNumber = beyond.ok && !Number.isNaN(beyond.value) && beyond.side === undefined
    return isNumber ? { ...beyond, side: limit.side } : { ok: false, reason: 'not-a-number' }
  }
  if (rules.some((one) => one.rule === 'missing' && one.text === entry))
    return { ok: true, value: Number.NaN }
  const bare = signed(withoutUnit(entry, rules))
  const reading = readNumber(bare, writing.mark)
  if (reading.ok) return reading
  for (const { rule, text: sign } of rules) {
    const value = rule === 'thousands' ? grouped(bare, sign, writing.mark) : undefined
    if (value !== undefined) return { ok: true, value }
    const isOther = rule === 'decimals' && sign !== MARKS[writing.mark] && !MAYBE_THOUSANDS.test(bare)
    const other = isOther ? readNumber(bare, sign === ',' ? 'comma' : 'point') : reading
    if (other.ok) return other
  }
  return reading
}

/** Entries of a column that are read as somebody said and not plainly: how many, and the first of them. */
export type ReadAsSaid = Readonly<{ count: number; example: string; value: number }>

/**
 * Which entries are read as somebody said.
 *
 * @param entries - each with how often it comes
 * @returns nothing where there are none
 */
export function readAsSaid(
  entries: Iterable<readonly [text: string, times: number]>,
  writing: Writing,
): ReadAsSaid | undefined {
  if (writing.rules.length === 0) return undefined
  let said: ReadAsSaid | undefined
  for (const [example, times] of entries) {
    if (example === '' || readNumber(example, writing.mark).ok) continue
    const reading = readEntry(example, writing)
    if (!reading.ok || Number.isNaN(reading.value)) continue
    said = { example, value: reading.value, ...said, count: (said?.count ?? 0) + times }
  }
  return said
}

const signed = (text: string) => text.replace(/^[\u2212\u2013]/, '-')

function grouped(text: string, sign: string, mark: DecimalMark): number | undefined {
  if (sign === MARKS[mark]) return undefined
  return withoutThousands(text, sign as ',' | '.' | ' ' | "'", BYTES[mark])
}

export function unquoted(text: string): string {
  const parts = QUOTED.exec(text.trim())
  return (parts?.slice(1).find((part) => part !== undefined) ?? text).trim()
}

const LIMIT = /^([<>])\s*([^<>=\s][^<>=]*)$/

/** What an entry says to lie below or above: "< 0.5". */
export function limitAt(text: string): Readonly<{ side: 'below' | 'above'; number: string }> | undefined {
  if (text.length > LONGEST) return undefined
  const [, sign, number] = LIMIT.exec(text) ?? []
  return number === undefined ? undefined : { side: sign === '<' ? 'below' : 'above', number }
}

/** A number with a unit behind it, or a currency before it. */
const BEHIND = /^([+\-\u2212\u2013]?[\d.,][\d.,'\u2019\s]*?)\s*([\p{L}%‰°\p{Sc}]\S{0,11})$/u
const BEFORE = /^([+\-\u2212\u2013]?)\s*(\p{Sc}|[A-Z]{3})\s*([+\-\u2212\u2013]?[\d.,][\d.,'\u2019\s]*)$/u

/** No number with its unit is longer; a line of a million spaces would be looked at for ever. */
const LONGEST = 60

/** The unit or sign that stands at a number, and the number without it. */
export function unitAt(text: string): Readonly<{ unit: string; number: string }> | undefined {
  if (text.length > LONGEST) return undefined
  const behind = BEHIND.exec(text)
  if (behind) return { unit: behind[2]!, number: behind[1]! }
  const before = BEFORE.exec(text)
  return before ? { unit: before[2]!, number: `${before[1]}${before[3]}` } : undefined
}

/** The number of an entry whose unit is taken off, as somebody said. */
export function withoutUnit(text: string, rules: readonly ReadRule[]): string {
  if (!rules.some(({ rule }) => rule === 'unit')) return text
  const at = unitAt(text)
  return at && rules.some((one) => one.rule === 'unit' && one.text === at.unit) ? at.number : text
}
