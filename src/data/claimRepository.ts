import 'server-only'
import { and, eq, max, sql } from 'drizzle-orm'
import type { ClaimDraft } from '@/core/claim/draft'
import type { FindingOutcome } from '@/core/claim/finding'
import type { Connection } from './client'
import { claims, samples } from './schema'

export type StoredClaim = Readonly<{
  id: string
  caseId: string
  draft: ClaimDraft
  revision: number
  updatedAt: Date
}>

export async function findClaim(db: Connection, id: string): Promise<StoredClaim | undefined> {
  const row = await db.query.claims.findFirst({ where: eq(claims.id, id), with: { sample: true } })
  if (!row) return undefined
  const { caseId, revision, updatedAt } = row
  return { id, caseId, revision, updatedAt, draft: draftOf(row, row.sample) }
}

/** Puts a claim and its sample behind the last ones of a case. */
export async function insertClaim(
  db: Connection,
  claim: Readonly<{
    id: string
    sampleId: string
    caseId: string
    draft: ClaimDraft
    outcome: FindingOutcome | null
    now: Date
  }>,
): Promise<void> {
  const { id, sampleId, caseId, outcome, now } = claim
  const { readings, decimalMark, ...words } = claim.draft
  const times = { createdAt: now, updatedAt: now }
  const [last] = await db
    .select({ position: max(claims.position) })
    .from(claims)
    .where(eq(claims.caseId, caseId))
  const position = (last?.position ?? 0) + 1
  await db.insert(samples).values({ id: sampleId, caseId, readings, decimalMark, ...times })
  await db.insert(claims).values({ id, caseId, sampleId, position, ...words, outcome, revision: 1, ...times })
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
    outcome: FindingOutcome | null
    now: Date
  }>,
): Promise<number | undefined> {
  const { id, outcome, now: updatedAt } = change
  const { readings, decimalMark, ...words } = change.draft
  const [changed] = await db
    .update(claims)
    .set({ ...words, outcome, updatedAt, revision: sql`${claims.revision} + 1` })
    .where(and(eq(claims.id, id), eq(claims.revision, change.revision)))
    .returning({ revision: claims.revision, sampleId: claims.sampleId })
  if (!changed) return undefined
  await db.update(samples).set({ readings, decimalMark, updatedAt }).where(eq(samples.id, changed.sampleId))
  return changed.revision
}

type Words = Omit<ClaimDraft, 'readings' | 'decimalMark'>

function draftOf(words: Words, sample: Pick<ClaimDraft, 'readings' | 'decimalMark'>): ClaimDraft {
  return {
    source: words.source,
    wording: words.wording,
    quantity: words.quantity,
    relation: words.relation,
    claimedValue: words.claimedValue,
    toleranceBelow: words.toleranceBelow,
    toleranceAbove: words.toleranceAbove,
    unit: words.unit,
    burden: words.burden,
    significanceLevel: words.significanceLevel,
    confidenceLevel: words.confidenceLevel,
    knownStandardDeviation: words.knownStandardDeviation,
    decimals: words.decimals,
    readings: sample.readings,
    decimalMark: sample.decimalMark,
  }
}
