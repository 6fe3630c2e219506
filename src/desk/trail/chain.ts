import { canonicalJson, spellingsOf } from '../canonicalJson'

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
  'planned',
  'signed',
  'sealed',
  'discarded',
  'taken-up',
  'imported',
  'clock-back',
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

/** What links an entry of any chain: its place from 1, the hash of the one before it, and its own over everything else. */
export type Link = Readonly<{ number: number; previous: string; hash: string }>

/** The entry that follows the head of a chain. */
export function chained<Entry extends object>(entry: Entry, head: ChainHead, hash: Hash): Entry & Link {
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
export function verifyChain(entries: readonly Link[], hash: Hash, head?: ChainHead): ChainVerdict {
  let last: ChainHead = { length: 0, hash: '' }
  for (const entry of entries) {
    const { hash: stated, previous, ...own } = entry
    const number = last.length + 1
    if (own.number !== number || previous !== last.hash) return { holds: false, number, why: 'out-of-order' }
    if (!spellingsOf({ ...own, previous }).some((text) => hash(text) === stated))
      return { holds: false, number, why: 'altered' }
    last = { length: number, hash: stated }
  }
  if (head && (head.length !== last.length || head.hash !== last.hash))
    return { holds: false, number: last.length + 1, why: 'cut-short' }
  return { holds: true, ...last }
}
