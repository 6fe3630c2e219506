import 'server-only'
import { type CaseWithClaims, findCase } from '@/data/caseRepository'
import { findClaim, type StoredClaim } from '@/data/claimRepository'
import { database } from './database'
import { isIdentifier } from './identifier'

/** A claim with the case that it belongs to. */
export async function readClaim(
  caseId: string,
  claimId: string,
): Promise<Readonly<{ claim: StoredClaim; ownCase: CaseWithClaims }> | undefined> {
  if (!isIdentifier(caseId) || !isIdentifier(claimId)) return undefined
  const db = await database()
  const claim = await findClaim(db, claimId)
  const ownCase = claim?.caseId === caseId ? await findCase(db, caseId) : undefined
  return claim && ownCase ? { claim, ownCase } : undefined
}
