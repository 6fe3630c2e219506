import 'server-only'
import { outcomeOfClaim } from '@/answers/claim'
import type { FindingOutcome } from '@/claims/finding'
import { findComputing, settleOutcome } from '@/data/claimRepository'
import type { Connection, Database } from '@/data/client'
import type { ClaimDraft } from '@/desk/claimDraft'
import { isLong } from '../compute/computing'
import { inThread } from '../compute/pool'
import { documentOf } from './documentOf'

/** Nobody waits for these. */
const MINUTES = 20

type State = { isRunning: boolean; isAgain: boolean; wanting: WeakSet<object> }
/** Kept on the global object, because a server may load this file more than once. */
const kept = globalThis as typeof globalThis & { trueWeightOutcomes?: State }
const state = (): State =>
  (kept.trueWeightOutcomes ??= { isRunning: false, isAgain: false, wanting: new WeakSet() })

/** An outcome that this transaction stores as being computed is to be computed, once it is committed. */
export function wantOutcomes(transaction: Connection): void {
  state().wanting.add(transaction)
}

/** Whether a transaction stores outcomes as being computed. */
export const wantsOutcomes = (transaction: Connection): boolean => state().wanting.has(transaction)

/** Computes every outcome that is stored as being computed, one after the other, and returns at once. */
export function computeOutcomes(db: Database): void {
  const now = state()
  now.isAgain = true
  if (now.isRunning) return
  now.isRunning = true
  void computeAll(db, now)
    .catch((error: unknown) => console.error('An outcome could not be computed:', error))
    .finally(() => {
      now.isRunning = false
    })
}

/** Until none is left; what was changed meanwhile is computed anew. */
async function computeAll(db: Database, now: State): Promise<void> {
  while (now.isAgain) {
    now.isAgain = false
    for (let claim = await findComputing(db); claim; claim = await findComputing(db))
      await settleOutcome(db, claim, await outcomeOf(db, claim.draft))
  }
}

/** What can't be computed stays open, and keeps no other waiting. */
async function outcomeOf(db: Database, draft: ClaimDraft): Promise<FindingOutcome | null> {
  try {
    const document = await documentOf(db, draft)
    if (!document) return null
    const outcome = isLong(document)
      ? await inThread('outcome', document, { minutes: MINUTES })
      : outcomeOfClaim(document)
    return outcome ?? null
  } catch (error) {
    console.error('An outcome could not be computed:', error)
    return null
  }
}
