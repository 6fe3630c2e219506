import 'server-only'
import { asc, desc, eq } from 'drizzle-orm'
import type { Connection } from './client'
import { cases, claims } from './schema'

export type CaseRow = typeof cases.$inferSelect
/** A claim as a list shows it. */
export type ClaimLine = Pick<
  typeof claims.$inferSelect,
  'id' | 'caseId' | 'wording' | 'parameter' | 'quantity' | 'relation' | 'claimedValue' | 'unit' | 'outcome'
>
export type CaseWithClaims = CaseRow & Readonly<{ claims: readonly ClaimLine[] }>

const withClaims = {
  claims: {
    columns: {
      id: true,
      caseId: true,
      wording: true,
      parameter: true,
      quantity: true,
      relation: true,
      claimedValue: true,
      unit: true,
      outcome: true,
    },
    orderBy: asc(claims.position),
  },
} as const

/** Every case with its claims, the one that changed last first. */
export function listCases(db: Connection): Promise<readonly CaseWithClaims[]> {
  return db.query.cases.findMany({ with: withClaims, orderBy: [desc(cases.updatedAt)] })
}

export function findCase(db: Connection, id: string): Promise<CaseWithClaims | undefined> {
  return db.query.cases.findFirst({ with: withClaims, where: eq(cases.id, id) })
}

export async function insertCase(db: Connection, row: typeof cases.$inferInsert): Promise<void> {
  await db.insert(cases).values(row)
}

/** @returns whether there is such a case */
export async function updateCase(
  db: Connection,
  id: string,
  change: Partial<Pick<CaseRow, 'reference' | 'subject' | 'party' | 'state'>> & Pick<CaseRow, 'updatedAt'>,
): Promise<boolean> {
  const changed = await db.update(cases).set(change).where(eq(cases.id, id)).returning({ id: cases.id })
  return changed.length > 0
}
