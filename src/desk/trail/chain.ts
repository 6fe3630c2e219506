import { canonicalJson } from '../canonicalJson'

export const TRAIL_ACTIONS = [
  'opened',
  'changed',
  'closed',
  'reopened',
  'archived',
  'claim-added',
  'claim-changed',
  'claims-reordered',
  'sample-added',
  'sample-changed',
  'brought-in',
  'set-aside',
  'brought-back',
  'signed',
  'imported',
] as const
export type TrailAction = (typeof TRAIL_ACTIONS)[number]

/** One change of a case: who, when, what, before and after. */
export type TrailEntry = Readonly<{
  id: string
  caseId: string
  /** Counts the entries of a case, from 1. */
  number: number
  /** The instant, in UTC as ISO 8601 has it. */
  at: string
  who: string
  action: TrailAction
  claimId: string | null
  sampleId: string | null
  detail: string
  /** What was and what became of it, as canonical JSON; empty for none. */
  before: string
  after: string
}>

/** An entry with the hash of the one before it, and its own over both. */
export type ChainedEntry = TrailEntry & Readonly<{ previous: string; hash: string }>

/** Where the chain stands: how many entries it has and the hash of the last; 0 and empty for none. */
export type ChainHead = Readonly<{ length: number; hash: string }>

/** SHA-256 of a text in UTF-8, in hexadecimal digits. */
export type Hash = (text: string) => string

/** The entry that follows the head of a chain. */
export function chained(entry: Omit<TrailEntry, 'number'>, head: ChainHead, hash: Hash): ChainedEntry {
  const linked = { ...entry, number: head.length + 1, previous: head.hash }
  return { ...linked, hash: hash(canonicalJson(linked)) }
}

export type ChainVerdict =
  | Readonly<{ holds: true; length: number; hash: string }>
  /** The number of the first entry that does not fit, and why. */
  | Readonly<{ holds: false; number: number; why: 'out-of-order' | 'altered' | 'cut-short' }>

/**
 * Whether every entry is the one that was written, in its place, and none is missing.
 *
 * @param entries - in their order
 * @param head - what the chain is said to end with; absent: only the links are looked at
 */
export function verifyChain(entries: readonly ChainedEntry[], hash: Hash, head?: ChainHead): ChainVerdict {
  let last: ChainHead = { length: 0, hash: '' }
  for (const entry of entries) {
    const { hash: stated, previous, ...own } = entry
    const number = last.length + 1
    if (own.number !== number || previous !== last.hash) return { holds: false, number, why: 'out-of-order' }
    if (chained(own, last, hash).hash !== stated) return { holds: false, number, why: 'altered' }
    last = { length: number, hash: stated }
  }
  if (head && (head.length !== last.length || head.hash !== last.hash))
    return { holds: false, number: last.length + 1, why: 'cut-short' }
  return { holds: true, ...last }
}

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
  let end = 0
  while (end < shorter - start && one.at(-1 - end) === other.at(-1 - end)) end += 1
  const stretch = (text: string): Stretch => ({ from: start, text: text.slice(start, text.length - end) })
  return [stretch(one), stretch(other)]
}

type Stretch = Readonly<{ from: number; text: string }>

/** Whether a value of a change is a stretch of a long text. */
export function isStretch(value: unknown): value is Stretch {
  return typeof value === 'object' && value !== null && 'from' in value && 'text' in value
}

/** The fields that the text of a change holds. One that was altered may hold none, and is then shown as it stands. */
export function valuesIn(text: string): Values {
  try {
    const read: unknown = JSON.parse(text || '{}')
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
  const seen = new Set<string>()
  for (const { before, after } of changes) {
    const [earlier, later] = [before, after].map(valuesIn)
    for (const field of new Set([...Object.keys(earlier!), ...Object.keys(later!)])) {
      if (isStretch(earlier![field]) || isStretch(later![field])) return undefined
      if (!(field in was)) was[field] = earlier![field] ?? null
      is[field] = later![field] ?? null
      seen.add(canonicalJson([field, earlier![field] ?? null]))
      if (seen.has(canonicalJson([field, is[field]]))) return undefined
    }
  }
  return { before: canonicalJson(was), after: canonicalJson(is) }
}
