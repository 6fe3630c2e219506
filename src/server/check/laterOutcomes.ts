import 'server-only'
import { checkOutcome } from '@/claims/check'
import type { FindingOutcome } from '@/claims/finding'
import { findComputing, settleOutcome } from '@/data/claimRepository'
import type { Database } from '@/data/client'
import { isLong } from '../compute/computing'
import { inThread } from '../compute/pool'
import { documentOf } from './documentOf'

/** Nobody waits for these. */
const MINUTES = 20

/** Kept on the global object, because a server may load this file more than once. */
const kept = globalThis as typeof globalThis & {
  trueWeightOutcomes?: { isWanted: boolean; isRunning: boolean }
}
const state = () => (kept.trueWeightOutcomes ??= { isWanted: false, isRunning: false })

/** There is an outcome to be computed, once what is being changed is stored. */
export function wantOutcomes(): void {
  state().isWanted = true
}

/** Computes the outcomes that are wanted, one after the other, and returns at once. */
export function computeWanted(db: Database): void {
  const now = state()
  if (!now.isWanted || now.isRunning) return
  now.isRunning = true
  void computeAll(db)
    .catch((error: unknown) => console.error('An outcome could not be computed:', error))
    .finally(() => {
      now.isRunning = false
    })
}

/** Until none is left; what was changed meanwhile is computed anew. */
async function computeAll(db: Database): Promise<void> {
  state().isWanted = false
  for (let claim = await findComputing(db); claim; claim = await findComputing(db)) {
    const document = await documentOf(db, claim.draft)
    const outcome = document && (await computed(document))
    await settleOutcome(db, claim, outcome ?? null)
  }
  if (state().isWanted) await computeAll(db)
}

/** What can't be computed stays open. */
async function computed(
  document: NonNullable<Awaited<ReturnType<typeof documentOf>>>,
): Promise<FindingOutcome | undefined> {
  if (!isLong(document)) return checkOutcome(document)
  try {
    return await inThread('outcome', document, { minutes: MINUTES })
  } catch (error) {
    console.error('An outcome could not be computed:', error)
    return undefined
  }
}
