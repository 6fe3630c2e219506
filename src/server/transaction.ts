import 'server-only'
import { failure, type Outcome } from '@/claims/terms/outcome'
import type { Connection, Database } from '@/data/client'
import { computeOutcomes, wantsOutcomes } from './check/laterOutcomes'

/**
 * Does several things as one: in the end all of it is there, or nothing.
 *
 * @returns the problem `disk-full` where there is no room for it
 */
export function inTransaction<T>(
  db: Database,
  work: (connection: Connection) => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  return unlessFull(async () => {
    let isWanting = false
    const outcome = await db.inTransaction(async (transaction) => {
      const done = await work(transaction)
      isWanting = wantsOutcomes(transaction)
      return done
    })
    // Not before it is committed: they would not be found.
    if (isWanting) computeOutcomes(db)
    return outcome
  })
}

/** The outcome of a change, or the problem `disk-full`. */
export async function unlessFull<T>(change: () => Promise<Outcome<T>>): Promise<Outcome<T>> {
  try {
    return await change()
  } catch (error) {
    if (!isDiskFull(error)) throw error
    const message = 'The disk is full: nothing was changed. Make room on it; what is there can still be read.'
    return failure({ code: 'disk-full', path: '', message })
  }
}

/** PostgreSQL's own code for it, wherever in the chain of causes it stands. */
const DISK_FULL = '53100'

function isDiskFull(error: unknown): boolean {
  if (typeof error !== 'object' || error === null) return false
  const { name, code, cause } = error as Readonly<{ name?: unknown; code?: unknown; cause?: unknown }>
  return name === 'DiskFull' || code === DISK_FULL || code === 'ENOSPC' || isDiskFull(cause)
}
