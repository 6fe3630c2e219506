import 'server-only'
import type { Connection } from '@/data/client'
import { appendToTrail, type Change } from '@/data/trailRepository'
import { newIdentifier } from './identifier'

/** Writes a change on the trail of its case, in the transaction that makes it. */
export function record(db: Connection, change: Omit<Change, 'id'>): Promise<void> {
  return recordAll(db, [change])
}

/** Writes several changes of one case on its trail, in their order. */
export function recordAll(db: Connection, changes: readonly Omit<Change, 'id'>[]): Promise<void> {
  return appendToTrail(
    db,
    changes.map((change) => ({ id: newIdentifier(), ...change, who: change.who.trim() })),
  )
}
