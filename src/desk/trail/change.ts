import { parseJson } from '../parseJson'
import { isWithinCharacter } from '../typed'
import { canonicalJson } from '../canonicalJson'
import type { TrailEntry } from './chain'

/** Texts longer than this are told by what changed in them, not whole. */
const LONGEST_WHOLE = 1000

type Values = Readonly<Record<string, unknown>>

/**
 * What two states of a thing differ in: of each field that changed, the value before and after; of a long text, only the
 * stretch that changed and where it stands.
 *
 * @returns canonical JSON of both, or undefined where nothing differs
 */
export function changeBetween(
  before: Values,
  after: Values,
): Readonly<{ before: string; after: string }> | undefined {
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (key) => canonicalJson([before[key]]) !== canonicalJson([after[key]]),
  )
  if (keys.length === 0) return undefined
  const parts = keys.map((key) => [key, ...stretchOf(before[key], after[key])] as const)
  return {
    before: canonicalJson(Object.fromEntries(parts.map(([key, one]) => [key, one]))),
    after: canonicalJson(Object.fromEntries(parts.map(([key, , other]) => [key, other]))),
  }
}

/** Both values; of long texts what lies between their common beginning and their common end. */
function stretchOf(one: unknown, other: unknown): readonly [unknown, unknown] {
  if (typeof one !== 'string' || typeof other !== 'string') return [one, other]
  if (one.length <= LONGEST_WHOLE && other.length <= LONGEST_WHOLE) return [one, other]
  const shorter = Math.min(one.length, other.length)
  let start = 0
  while (start < shorter && one[start] === other[start]) start += 1
  if (isWithinCharacter(one, start) || isWithinCharacter(other, start)) start -= 1
  let end = 0
  while (end < shorter - start && one.at(-1 - end) === other.at(-1 - end)) end += 1
  if (isWithinCharacter(one, one.length - end) || isWithinCharacter(other, other.length - end)) end -= 1
  const stretch = (text: string): Stretch => ({ from: start, text: text.slice(start, text.length - end) })
  return [stretch(one), stretch(other)]
}

type Stretch = Readonly<{ from: number; text: string }>

/** Whether a value of a change is a stretch of a long text. */
export function isStretch(value: unknown): value is Stretch {
  if (typeof value !== 'object' || value === null) return false
  const { from, text } = value as Readonly<{ from?: unknown; text?: unknown }>
  return typeof from === 'number' && typeof text === 'string'
}

/** The fields that the text of a change holds. One that was altered may hold none, and is then shown as it stands. */
export function valuesIn(text: string): Values {
  try {
    const read = parseJson(text || '{}')
    if (typeof read === 'object' && read !== null && !Array.isArray(read)) return read as Values
  } catch {
    // Told by the hash of the entry.
  }
  return { text }
}

type Change = Pick<TrailEntry, 'before' | 'after'>

/**
 * What several changes come to: of each field what it was before the first of them and became by the last.
 *
 * @param changes - the first first
 * @returns undefined where that would hide something: a value that came again, or a long text of which only stretches are known
 */
export function changeOver(changes: readonly Change[]): Change | undefined {
  const was: Record<string, unknown> = {}
  const is: Record<string, unknown> = {}
  const earlierValues = new Set<string>()
  for (const { before, after } of changes) {
    const [earlier, later] = [before, after].map(valuesIn)
    for (const field of new Set([...Object.keys(earlier!), ...Object.keys(later!)])) {
      if (isStretch(earlier![field]) || isStretch(later![field])) return undefined
      if (!(field in was)) was[field] = earlier![field] ?? null
      is[field] = later![field] ?? null
      earlierValues.add(canonicalJson([field, earlier![field] ?? null]))
      if (earlierValues.has(canonicalJson([field, is[field]]))) return undefined
    }
  }
  return { before: canonicalJson(was), after: canonicalJson(is) }
}
