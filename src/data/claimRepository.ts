import 'server-only'
import { and, asc, eq, exists, max, or, sql } from 'drizzle-orm'
import { type ClaimDraft, claimDraftSchema } from '@/desk/claimDraft'
import type { FindingOutcome } from '@/claims/finding'
import type { Connection } from './connection'
import { cases, claims } from './schema'

/** What a claim's check comes to: null where nothing can be computed, `computing` until it is known. */
export type KnownOutcome = FindingOutcome | 'computing' | null

export type StoredClaim = Readonly<{
  id: string
  caseId: string
  draft: ClaimDraft
  revision: number
  createdAt: Date
  updatedAt: Date
}>

export async function findClaim(db: Connection, id: string): Promise<StoredClaim | undefined> {
  const row = await db.query.claims.findFirst({ where: eq(claims.id, id) })
  return row && storedClaim(row)
}

/** The claims that a sample serves. */
export async function listClaimsOf(db: Connection, sampleId: string): Promise<readonly StoredClaim[]> {
  const rows = await db.query.claims.findMany({
    where: or(
      eq(claims.sampleId, sampleId),
      eq(claims.secondSampleId, sampleId),
      sql`${claims.lots} @> ${JSON.stringify([sampleId])}::jsonb`,
    ),
    orderBy: asc(claims.position),
  })
  return rows.map(storedClaim)
}

/** The claims of a case, in their order, those that are discarded too. */
export async function listClaims(db: Connection, caseId: string): Promise<readonly StoredClaim[]> {
  const rows = await db.query.claims.findMany({
    where: eq(claims.caseId, caseId),
    orderBy: asc(claims.position),
  })
  return rows.map(storedClaim)
}

/**
 * Gives the claims of a case a new order.
 *
 * @param ids - all of them, the first first
 */
export async function orderClaims(db: Connection, ids: readonly string[]): Promise<void> {
  // No two may have the same place, not even meanwhile.
  for (const sign of [-1, 1]) {
    for (const [index, id] of ids.entries())
      await db
        .update(claims)
        .set({ position: sign * (index + 1) })
        .where(eq(claims.id, id))
  }
}

/** Puts a claim behind the last one of a case. */
export async function insertClaim(
  db: Connection,
  claim: Readonly<{
    id: string
    caseId: string
    draft: ClaimDraft
    outcome: KnownOutcome
    now: Date
    /** Where it was kept elsewhere before. */
    revision?: number
    updatedAt?: Date
  }>,
): Promise<void> {
  const { id, caseId, draft, outcome, now, revision = 1, updatedAt = now } = claim
  const [last] = await db
    .select({ position: max(claims.position) })
    .from(claims)
    .where(eq(claims.caseId, caseId))
  const position = (last?.position ?? 0) + 1
  const times = { createdAt: now, updatedAt }
  await db.insert(claims).values({ id, caseId, position, ...draft, ...stored(outcome), revision, ...times })
}

/**
 * Stores a changed claim, if the change was made to the revision that is stored.
 *
 * @returns the new revision, or undefined where the stored claim is another revision, or none
 */
export async function updateClaim(
  db: Connection,
  change: Readonly<{
    id: string
    revision: number
    draft: ClaimDraft
    outcome: KnownOutcome
    now: Date
  }>,
): Promise<number | undefined> {
  const { id, draft, outcome, now: updatedAt } = change
  const [changed] = await db
    .update(claims)
    .set({ ...draft, ...stored(outcome), updatedAt, revision: sql`${claims.revision} + 1` })
    .where(and(eq(claims.id, id), eq(claims.revision, change.revision)))
    .returning({ revision: claims.revision })
  return changed?.revision
}

/** What a claim's check comes to after its sample has changed; the claim itself stays the same revision. */
export async function updateOutcome(db: Connection, id: string, outcome: KnownOutcome): Promise<void> {
  await db.update(claims).set(stored(outcome)).where(eq(claims.id, id))
}

const stored = (outcome: KnownOutcome) =>
  outcome === 'computing' ? { outcome: null, isComputing: true } : { outcome, isComputing: false }

/** A claim whose outcome is still to be computed, and where its case stands. */
export async function findComputing(
  db: Connection,
): Promise<Readonly<{ id: string; draft: ClaimDraft; trailHash: string }> | undefined> {
  const [row] = await db
    .select({ claim: claims, trailHash: cases.trailHash })
    .from(claims)
    .innerJoin(cases, eq(cases.id, claims.caseId))
    .where(eq(claims.isComputing, true))
    .limit(1)
  return row && { id: row.claim.id, draft: storedClaim(row.claim).draft, trailHash: row.trailHash }
}

/** Stores what was computed of a claim, if its case still stands where it stood. */
export async function settleOutcome(
  db: Connection,
  claim: Readonly<{ id: string; trailHash: string }>,
  outcome: FindingOutcome | null,
): Promise<void> {
  const isSame = exists(
    db
      .select({ id: cases.id })
      .from(cases)
      .where(and(eq(cases.id, claims.caseId), eq(cases.trailHash, claim.trailHash))),
  )
  await db
    .update(claims)
    .set(stored(outcome))
    .where(and(eq(claims.id, claim.id), eq(claims.isComputing, true), isSame))
}

function storedClaim(row: typeof claims.$inferSelect): StoredClaim {
  const { id, caseId, revision, updatedAt, createdAt, position, outcome, isComputing, ...words } = row
  return {
    id,
    caseId,
    revision,
    createdAt,
    updatedAt,
    // Names are stored as text: what a later version may have written is not taken for a draft.
    draft: claimDraftSchema.parse(words),
  }
}
