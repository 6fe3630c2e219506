import 'server-only'
import { insertCase, listCases } from '@/data/caseRepository'
import { insertClaim } from '@/data/claimRepository'
import type { Database } from '@/data/client'
import { newIdentifier } from '../identifier'
import { outcomeOf } from '../outcomeOf'
import { WINTER_HEATING_AUDIT } from './winterHeatingAudit'

/** Puts the demo's cases into a database that has none; one that has any is left as it is. */
export async function fillWithDemo(database: Database): Promise<void> {
  await database.transaction(async (transaction) => {
    if ((await listCases(transaction)).length > 0) return
    const now = new Date()
    for (const { claims, ...words } of WINTER_HEATING_AUDIT) {
      const caseId = newIdentifier()
      await insertCase(transaction, { id: caseId, ...words, createdAt: now, updatedAt: now })
      for (const draft of claims) {
        const ids = { id: newIdentifier(), sampleId: newIdentifier() }
        await insertClaim(transaction, { ...ids, caseId, draft, outcome: outcomeOf(draft), now })
      }
    }
  })
}
