import 'server-only'
import { type Outcome, success } from '@/claims/terms/outcome'
import { findCasesOpenedAs, removeCase } from '@/data/caseRepository'
import type { Connection } from '@/data/client'
import { holdCase, listWholeTrail } from '@/data/trailRepository'
import { computeOutcomes } from '../check/laterOutcomes'
import { database } from '../keeping/database'
import { inTransaction, unlessFull } from '../transaction'
import { DEMO_DETAIL, fillWithDemo } from '../demo/fillWithDemo'
import { WINTER_HEATING_AUDIT } from '../demo/winterHeatingAudit'

/** How many cases the demo has. */
export const DEMO_CASES = WINTER_HEATING_AUDIT.length

/** Lays out the demo's cases on a docket that is empty; on another one nothing is changed. */
export async function layOutDemo(): Promise<Outcome<null>> {
  const db = await database()
  return unlessFull(async () => {
    await fillWithDemo(db)
    computeOutcomes(db)
    return success(null)
  })
}

/** Whether any of the demo's cases are on the docket as they were laid out. */
export async function hasDemo(): Promise<boolean> {
  const db = await database()
  for (const { id } of await demoCases(db)) if (await isUntouched(db, id)) return true
  return false
}

/**
 * Takes the demo's cases away again; one in which anything was done since stays.
 *
 * @returns the references of those that stay
 */
export async function clearDemo(): Promise<Outcome<readonly string[]>> {
  return inTransaction(await database(), async (transaction) => {
    const stay: string[] = []
    for (const { id, reference } of await demoCases(transaction)) {
      await holdCase(transaction, id)
      if (await isUntouched(transaction, id)) await removeCase(transaction, id)
      else stay.push(reference)
    }
    return success(stay.toSorted())
  })
}

const demoCases = (db: Connection) =>
  findCasesOpenedAs(db, {
    references: WINTER_HEATING_AUDIT.map(({ reference }) => reference),
    detail: DEMO_DETAIL,
  })

/** Whether nothing was done in a case since it was laid out: all of that is of one instant. */
async function isUntouched(db: Connection, caseId: string): Promise<boolean> {
  const trail = await listWholeTrail(db, caseId)
  return new Set(trail.map(({ at }) => at)).size === 1
}
