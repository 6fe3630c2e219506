import 'server-only'
import type { Connection } from '@/data/client'
import { appendToTrail, type Change } from '@/data/trailRepository'
import { newIdentifier } from './identifier'

/** Writes a change on the trail of its case, in the transaction that makes it. */
export function record(db: Connection, change: Omit<Change, 'id'>): Promise<void> {
  return appendToTrail(db, { id: newIdentifier(), ...change, who: change.who.trim() })
}
